package org.quietlantern.standins.corpus;

import java.time.LocalDate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * As many works as wanted, one after the other, for measuring: only what the next work needs is
 * kept of those before it. Their dates grow denser towards today, as a literature does.
 */
public final class ManyWorks {
  private static final LocalDate FIRST = LocalDate.of(1994, 1, 1);

  private ManyWorks() {}

  /** To be read once, in order; the same for the same seed and number. */
  public static Stream<Work> of(long seed, int many) {
    Works works = new Works(seed);
    return IntStream.range(0, many).mapToObj(i -> works.next(date(i, many))).sequential();
  }

  private static LocalDate date(int index, int many) {
    double span = Literature.TODAY.toEpochDay() - FIRST.toEpochDay();
    return FIRST.plusDays((long) (span * Math.sqrt((double) index / many)));
  }
}
