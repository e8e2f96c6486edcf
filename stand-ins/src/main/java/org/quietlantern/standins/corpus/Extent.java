package org.quietlantern.standins.corpus;

/**
 * How much literature.
 *
 * @param past works up to {@link Literature#TODAY}, three quarters of them of the last three years
 * @param perDay on average, in the days ahead
 */
public record Extent(int past, int daysAhead, double perDay) {
  /** What the demo shows: two years ahead. */
  public static final Extent WHOLE = new Extent(4_600, 730, 3.2);

  /** Enough for tests. */
  public static final Extent SMALL = new Extent(380, 180, 2.6);
}
