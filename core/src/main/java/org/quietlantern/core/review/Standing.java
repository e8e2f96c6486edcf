package org.quietlantern.core.review;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** What stands of a member's events on one occasion. */
public final class Standing {
  private Standing() {}

  /** The mark in force: the last one that was not taken back. {@code events} in their order. */
  public static Optional<ReviewEvent> of(List<ReviewEvent> events) {
    Deque<ReviewEvent> marks = new ArrayDeque<>();
    for (ReviewEvent event : events) {
      if (event.mark().isPresent()) {
        marks.push(event);
      } else if (!marks.isEmpty()) {
        marks.pop();
      }
    }
    return Optional.ofNullable(marks.peek());
  }

  public static Lamp lamp(Optional<ReviewEvent> standing) {
    return standing.flatMap(ReviewEvent::mark).map(Mark::lamp).orElse(Lamp.UNLIT);
  }
}
