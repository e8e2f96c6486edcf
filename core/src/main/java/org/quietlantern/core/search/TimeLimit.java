package org.quietlantern.core.search;

import java.time.Duration;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * How long may be searched for one question, and for whom. What is asked inside of {@link #within}
 * is given up once the time is over or whoever asked has left; what is asked outside of it has all
 * the time it needs.
 */
public final class TimeLimit {
  private static final long LOOK_EVERY = Duration.ofMillis(100).toNanos();
  private static final ThreadLocal<TimeLimit> NOW = new ThreadLocal<>();
  private final long end;
  private final BooleanSupplier left;
  private long nextLook = System.nanoTime() + LOOK_EVERY;

  private TimeLimit(Duration limit, BooleanSupplier left) {
    this.end = System.nanoTime() + limit.toNanos();
    this.left = left;
  }

  /** A question that was given up. */
  public static sealed class GivenUp extends RuntimeException permits Over, Left {
    private static final long serialVersionUID = 1;
  }

  /** One that took too long. */
  public static final class Over extends GivenUp {
    private static final long serialVersionUID = 1;
  }

  /** One whose answer nobody waits for any more. */
  public static final class Left extends GivenUp {
    private static final long serialVersionUID = 1;
  }

  /** Throws {@link Over} where the work takes longer; somebody always waits for it. */
  public static <T> T within(Duration limit, Supplier<T> work) {
    return within(limit, () -> false, work);
  }

  /**
   * The same, and throws {@link Left} where nobody waits for it any more.
   *
   * @param left whether whoever asked has left; asked ten times a second, by the thread that works
   */
  public static <T> T within(Duration limit, BooleanSupplier left, Supplier<T> work) {
    TimeLimit before = NOW.get();
    NOW.set(new TimeLimit(limit, left));
    try {
      return work.get();
    } finally {
      if (before == null) {
        NOW.remove();
      } else {
        NOW.set(before);
      }
    }
  }

  /** Called by whatever may take long, again and again. */
  static void check() {
    TimeLimit now = NOW.get();
    if (now != null) {
      now.look(System.nanoTime());
    }
  }

  private void look(long time) {
    if (time - end > 0) {
      throw new Over();
    }
    if (time - nextLook > 0) {
      nextLook = time + LOOK_EVERY;
      if (left.getAsBoolean()) {
        throw new Left();
      }
    }
  }
}
