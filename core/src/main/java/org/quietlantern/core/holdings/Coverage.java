package org.quietlantern.core.holdings;

import java.time.LocalDate;
import java.time.Period;
import java.util.Optional;

/**
 * One line of a holdings file: from when to when a title can be read (KBART, NISO RP-9-2014, 6.6).
 *
 * @param from first day, {@link LocalDate#MIN} if open
 * @param to last day, {@link LocalDate#MAX} if open
 * @param wall what is younger than this cannot be read yet (embargo {@code P1Y})
 * @param window what is older than this can be read no more (embargo {@code R10Y})
 * @param free readable by anyone (access type {@code F})
 */
public record Coverage(LocalDate from, LocalDate to, Period wall, Period window, boolean free) {
  public Coverage {
    if (from.isAfter(to)) {
      throw new IllegalArgumentException("coverage ends before it begins: " + from + ", " + to);
    }
  }

  /** Whether something that appeared between two days, both in, can be read today. */
  public boolean covers(LocalDate first, LocalDate last, LocalDate today) {
    boolean inTime = !first.isBefore(from) && !last.isAfter(to);
    boolean behindWall = wall.isZero() || !last.isAfter(today.minus(wall));
    boolean inWindow = window.isZero() || !first.isBefore(today.minus(window));
    return inTime && behindWall && inWindow;
  }

  /** The day on which what appeared until {@code last} comes out from behind the moving wall. */
  public Optional<LocalDate> opens(LocalDate last, LocalDate today) {
    LocalDate day = wall.isZero() || last.isAfter(to) ? today : last.plus(wall);
    return day.isAfter(today) ? Optional.of(day) : Optional.empty();
  }

  /** The day on which it can no longer be read, where one is known. */
  public Optional<LocalDate> ends(LocalDate first) {
    return window.isZero() ? Optional.empty() : Optional.of(first.plus(window).plusDays(1));
  }
}
