package org.quietlantern.core.review;

import java.util.Arrays;
import java.util.Collection;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What stands open between members on an occasion of a work, by their marks in force. */
public enum Unsettled {
  /** Somebody brings it to the group. */
  RAISED,
  /** Somebody waits for its text, and it cannot be read yet. */
  WAITING,
  /** Somebody waited for its text, and it can be read now. */
  READABLE,
  /** Somebody is not sure yet. */
  UNSURE,
  /** One keeps it and another passes it. */
  DISPUTED;

  private static final Set<Mark> VERDICTS =
      Arrays.stream(Mark.values()).filter(Mark::isVerdict).collect(Collectors.toUnmodifiableSet());

  /** {@code number}: of the event; later ones have greater numbers. */
  public record Said(Mark mark, int number) {}

  /**
   * @param inForce one mark of each member
   * @param readable whether the group can read its text
   * @param decided the last event before the group decided together on it, which settles what was
   *     raised and disputed till then; 0: it has not
   * @return what stands open, to the number of the last mark that has a part in it
   */
  public static Map<Unsettled, Integer> of(
      Collection<Said> inForce, boolean readable, int decided) {
    Map<Unsettled, Integer> open = new EnumMap<>(Unsettled.class);
    last(inForce, Set.of(Mark.RAISE))
        .filter(number -> number > decided)
        .ifPresent(number -> open.put(RAISED, number));
    last(inForce, Set.of(Mark.HOLD_FOR_TEXT))
        .ifPresent(number -> open.put(readable ? READABLE : WAITING, number));
    last(inForce, Set.of(Mark.HOLD)).ifPresent(number -> open.put(UNSURE, number));
    boolean both =
        VERDICTS.stream().allMatch(mark -> inForce.stream().anyMatch(one -> one.mark() == mark));
    if (both) {
      last(inForce, VERDICTS)
          .filter(number -> number > decided)
          .ifPresent(number -> open.put(DISPUTED, number));
    }
    return open;
  }

  private static Optional<Integer> last(Collection<Said> inForce, Set<Mark> marks) {
    return inForce.stream()
        .filter(one -> marks.contains(one.mark()))
        .map(Said::number)
        .max(Integer::compare);
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Unsettled> named(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
  }
}
