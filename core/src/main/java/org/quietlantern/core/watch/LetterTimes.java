package org.quietlantern.core.watch;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * On which days, and when, somebody is written to.
 *
 * @param days at least one
 * @param hours in the person's zone, one to four
 */
public record LetterTimes(Set<DayOfWeek> days, SortedSet<LocalTime> hours) {
  /** Moments of a day. */
  public static final int MOST = 4;

  /** Throws {@link IllegalArgumentException} for no day, no hour, or more than four hours. */
  public LetterTimes {
    days = Set.copyOf(days);
    hours = new TreeSet<>(hours);
    if (days.isEmpty() || hours.isEmpty() || hours.size() > MOST) {
      throw new IllegalArgumentException("letters on no day, at no hour, or at very many");
    }
  }

  /** A moment, and the name it has in the calendar of the person. */
  public record Moment(Instant at, LocalDate day, LocalTime hour) {}

  /**
   * The first moment after {@code after}. An hour that a clock change skips is as much later as the
   * clock is moved; one that comes twice is the first of the two.
   */
  public Moment after(Instant after, ZoneId zone) {
    LocalDate day = after.atZone(zone).toLocalDate();
    while (true) {
      if (days.contains(day.getDayOfWeek())) {
        for (LocalTime hour : hours) {
          Instant at = day.atTime(hour).atZone(zone).toInstant();
          if (at.isAfter(after)) {
            return new Moment(at, day, hour);
          }
        }
      }
      day = day.plusDays(1);
    }
  }
}
