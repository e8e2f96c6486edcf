package org.quietlantern.standins.supply;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Random;
import org.quietlantern.standins.corpus.Literature;

/** When sources say things: in the small hours of working days, none before they opened. */
final class Days {
  private static final int BACKLOG = 20;

  private Days() {}

  static Instant supplied(LocalDate wanted, Random random) {
    LocalDate day =
        wanted.isBefore(Literature.OPENING)
            ? Literature.OPENING.plusDays(random.nextInt(BACKLOG))
            : wanted;
    while (day.getDayOfWeek() == DayOfWeek.SATURDAY || day.getDayOfWeek() == DayOfWeek.SUNDAY) {
      day = day.plusDays(1);
    }
    return day.atTime(LocalTime.of(random.nextInt(2), random.nextInt(60), random.nextInt(60)))
        .toInstant(ZoneOffset.UTC);
  }

  /** So many days after a moment, or as soon as something is said again. */
  static Instant later(Instant from, int days, Random random) {
    return supplied(of(from).plusDays(days), random);
  }

  static LocalDate of(Instant moment) {
    return moment.atZone(ZoneOffset.UTC).toLocalDate();
  }
}
