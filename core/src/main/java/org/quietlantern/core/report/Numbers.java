package org.quietlantern.core.report;

import java.util.Locale;

/** Numbers as reports write them. */
public final class Numbers {
  private Numbers() {}

  /** {@code 12,345}. */
  public static String grouped(int count) {
    return String.format(Locale.ENGLISH, "%,d", count);
  }

  /** {@code 1 publication}, {@code 12,345 publications}. */
  public static String publications(int count) {
    return grouped(count) + (count == 1 ? " publication" : " publications");
  }
}
