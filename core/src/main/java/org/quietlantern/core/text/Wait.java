package org.quietlantern.core.text;

import java.util.List;
import java.util.Optional;

/**
 * How long a way took so far (rule T1).
 *
 * @param days the middle one of those that it took; of two the longer
 * @param n how many they were
 */
public record Wait(int days, int n) {

  /** None where nothing is known yet. */
  public static Optional<Wait> of(List<Integer> days) {
    List<Integer> sorted = days.stream().sorted().toList();
    return sorted.isEmpty()
        ? Optional.empty()
        : Optional.of(new Wait(sorted.get(sorted.size() / 2), sorted.size()));
  }

  /** In words, for people. */
  public String spoken() {
    String usual = days == 0 ? "the same day" : days == 1 ? "a day" : days + " days";
    return "usually %s, of %d".formatted(usual, n);
  }
}
