package org.quietlantern.server.platform;

import java.util.function.BooleanSupplier;

/** Whether somebody still waits for the answer that this thread works at. */
public final class Presence {
  private static final ThreadLocal<BooleanSupplier> LEFT = new ThreadLocal<>();

  private Presence() {}

  /** Until {@link #over}, {@code left} says whether whoever asked has left. */
  public static void begins(BooleanSupplier left) {
    LEFT.set(left);
  }

  public static void over() {
    LEFT.remove();
  }

  /** Whether whoever asked has left; false for work that nobody asked for. */
  public static boolean left() {
    BooleanSupplier left = LEFT.get();
    return left != null && left.getAsBoolean();
  }
}
