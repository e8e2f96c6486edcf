package org.quietlantern.server.platform;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Time zones that a request names, and days in them. */
public final class Zones {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH);

  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm", Locale.ENGLISH);

  private Zones() {}

  /** The day of a moment in words, {@code 24 November 2026}. */
  public static String day(Instant at, ZoneId zone) {
    return day(at.atZone(zone).toLocalDate());
  }

  /** The same of a day that is known already. */
  public static String day(LocalDate day) {
    return DAY.format(day);
  }

  /** A moment in words, {@code 24 November 2026, 14:05}. */
  public static String moment(Instant at, ZoneId zone) {
    return MOMENT.format(at.atZone(zone));
  }

  /** The id of a zone like {@code Europe/Oslo}; refused where there is none of that name. */
  public static String read(@Nullable String zone) {
    try {
      return ZoneId.of(zone == null ? "" : zone).getId();
    } catch (DateTimeException none) {
      throw Refusal.unusable("zone", "There is no time zone “%s”.".formatted(zone));
    }
  }
}
