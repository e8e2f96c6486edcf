package org.quietlantern.server.platform;

import java.time.DateTimeException;
import java.time.ZoneId;

/** Time zones that a request names. */
public final class Zones {
  private Zones() {}

  /** The id of a zone like {@code Europe/Oslo}; refused where there is none of that name. */
  public static String read(@Nullable String zone) {
    try {
      return ZoneId.of(zone == null ? "" : zone).getId();
    } catch (DateTimeException none) {
      throw Refusal.unusable("zone", "There is no time zone “%s”.".formatted(zone));
    }
  }
}
