package org.quietlantern.core.watch;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * How often the rounds of an alert close. Slower ones than <i>at once</i> close at a fixed hour.
 */
public sealed interface Rhythm {

  /** Whether a round closes on this day. */
  boolean closesOn(LocalDate day);

  /**
   * As stored: {@code at-once}, {@code daily}, {@code weekly:MONDAY,FRIDAY}, {@code monthly:31}.
   */
  String text();

  /** A round closes as soon as something was found. */
  record AtOnce() implements Rhythm {
    @Override
    public boolean closesOn(LocalDate day) {
      return false;
    }

    @Override
    public String text() {
      return "at-once";
    }
  }

  record Daily() implements Rhythm {
    @Override
    public boolean closesOn(LocalDate day) {
      return true;
    }

    @Override
    public String text() {
      return "daily";
    }
  }

  record Weekly(Set<DayOfWeek> days) implements Rhythm {
    public Weekly {
      days = Set.copyOf(days);
      if (days.isEmpty()) {
        throw new IllegalArgumentException("weekly, but on no day");
      }
    }

    @Override
    public boolean closesOn(LocalDate day) {
      return days.contains(day.getDayOfWeek());
    }

    @Override
    public String text() {
      return "weekly:"
          + String.join(",", new TreeSet<>(days).stream().map(DayOfWeek::name).toList());
    }
  }

  /** On a day of the month, or the last day where a month has no such day. */
  record Monthly(int day) implements Rhythm {
    public Monthly {
      if (day < 1 || day > 31) {
        throw new IllegalArgumentException("no such day of a month: " + day);
      }
    }

    @Override
    public boolean closesOn(LocalDate date) {
      return date.getDayOfMonth() == Math.min(day, date.lengthOfMonth());
    }

    @Override
    public String text() {
      return "monthly:" + day;
    }
  }

  /**
   * The first closing after {@code after}; empty for <i>at once</i>. An hour that a clock change
   * skips counts as the first one after the gap, one that comes twice as the first of the two.
   */
  default Optional<Instant> nextClosing(Instant after, ZoneId zone, LocalTime hour) {
    if (this instanceof AtOnce) {
      return Optional.empty();
    }
    LocalDate day = after.atZone(zone).toLocalDate();
    while (!closesOn(day) || !day.atTime(hour).atZone(zone).toInstant().isAfter(after)) {
      day = day.plusDays(1);
    }
    return Optional.of(day.atTime(hour).atZone(zone).toInstant());
  }

  /** All closings after a moment and up to another, in order; none for <i>at once</i>. */
  default List<Instant> closings(Instant after, Instant until, ZoneId zone, LocalTime hour) {
    List<Instant> all = new ArrayList<>();
    Optional<Instant> next = nextClosing(after, zone, hour);
    while (next.isPresent() && !next.get().isAfter(until)) {
      all.add(next.get());
      next = nextClosing(next.get(), zone, hour);
    }
    return all;
  }

  /** Reads the stored form. */
  static Rhythm of(String text) {
    String[] parts = text.split(":", 2);
    String detail = parts.length > 1 ? parts[1] : "";
    return switch (parts[0]) {
      case "at-once" -> new AtOnce();
      case "daily" -> new Daily();
      case "weekly" -> new Weekly(RhythmText.days(detail));
      case "monthly" -> new Monthly(RhythmText.day(detail));
      default -> throw new IllegalArgumentException("no such rhythm: " + text);
    };
  }
}
