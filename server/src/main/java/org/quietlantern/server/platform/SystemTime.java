package org.quietlantern.server.platform;

import java.time.Instant;
import java.time.InstantSource;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;

/** The time of the machine: for leases, sessions and tokens; never shown to people. */
@Component
public class SystemTime {
  private final InstantSource source = InstantSource.system();

  public Instant now() {
    return source.instant().truncatedTo(ChronoUnit.MICROS);
  }
}
