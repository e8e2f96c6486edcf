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

  /** Whether they still have to look at what came at a moment, by their lamp on it. */
  public boolean owes(Instant came, Lamp lamp) {
    return lamp.owes() && holds(came);
  }

  /** Whether it rests: it came since they joined, and is neither reviewed nor owed (rule V2). */
  public boolean rests(Instant came, Lamp lamp) {
    return lamp != Lamp.LIT && !came.isBefore(joined) && !owes(came, lamp);
  }

  /** Whether what came at a moment is theirs (rule V5). */
  public boolean holds(Instant came) {
    return !came.isBefore(joined)
        && away.stream().noneMatch(one -> !came.isBefore(one.from()) && came.isBefore(one.to()));
  }
}
