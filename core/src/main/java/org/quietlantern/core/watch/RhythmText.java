package org.quietlantern.core.watch;

import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;

/** The parts of a stored rhythm. */
final class RhythmText {
  private RhythmText() {}

  static Set<DayOfWeek> days(String names) {
    return Arrays.stream(names.split(",")).map(DayOfWeek::valueOf).collect(Collectors.toSet());
  }

  static int day(String digits) {
    return Integer.parseInt(digits);
  }
}
