package org.quietlantern.core.watch;

/**
 * How much an alert may be expected to bring, judged by a year.
 *
 * @param year publications of twelve months that its search finds
 * @param found all that it finds
 * @param catalogue how many publications there are
 */
public record Expectation(int year, int found, int catalogue) {
  private static final int WEEKS = 52;
  private static final int MUCH_A_WEEK = 60;
  private static final int MUCH_OF_ALL = 20;

  /** Whether a group could live with it. */
  public enum Verdict {
    FINE,
    MUCH,
    LITTLE
  }

  /** How many a week, rounded. */
  public int aWeek() {
    return Math.round(year / (float) WEEKS);
  }

  /** Much: over sixty a week, or over a twentieth of the catalogue. Little: nothing in a year. */
  public Verdict verdict() {
    if (year > WEEKS * MUCH_A_WEEK || (long) found * MUCH_OF_ALL > catalogue) {
      return Verdict.MUCH;
    }
    return year == 0 ? Verdict.LITTLE : Verdict.FINE;
  }
}
