package org.quietlantern.core.review;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What stands of a member's events on one occasion (rule V7). */
public final class Standing {
  private Standing() {}

  /** The mark in force: the last one that was not taken back. {@code events} in any order. */
  public static Optional<ReviewEvent> of(List<ReviewEvent> events) {
    Set<Integer> takenBack =
        events.stream().flatMap(event -> event.undoes().stream()).collect(Collectors.toSet());
    return events.stream()
        .filter(event -> event.mark().isPresent() && !takenBack.contains(event.number()))
        .max(Comparator.comparingInt(ReviewEvent::number));
  }

  public static Lamp lamp(Optional<ReviewEvent> standing) {
    return Lamp.of(standing.flatMap(ReviewEvent::mark));
  }
}
