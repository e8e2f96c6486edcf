package org.quietlantern.core.review;

import java.time.Instant;
import java.util.List;

/** What of the arrivals is a member's to review: all since they joined but while they were away. */
public record Duty(Instant joined, List<Absence> away) {
  public Duty {
    away = List.copyOf(away);
  }

  /** {@code to}: the first moment that they are back. */
  public record Absence(Instant from, Instant to) {}

  /** Of somebody who was never away. */
  public static Duty since(Instant joined) {
    return new Duty(joined, List.of());
  }

  /** Whether what came at a moment is theirs (rule V5). */
  public boolean holds(Instant came) {
    return !came.isBefore(joined)
        && away.stream().noneMatch(one -> !came.isBefore(one.from()) && came.isBefore(one.to()));
  }
}
