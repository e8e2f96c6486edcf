package org.quietlantern.server.platform;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * The time that people live in: system time plus one offset of the installation. Every date a
 * person sees is of it. Another process may be up to {@link #REFRESH} late to notice a new offset.
 */
@Component
public class Calendar {
  private static final Duration REFRESH = Duration.ofSeconds(5);
  private final CalendarMapper mapper;
  private final SystemTime system;
  private volatile Reading reading = new Reading(Duration.ZERO, Instant.EPOCH);

  private record Reading(Duration offset, Instant at) {}

  Calendar(CalendarMapper mapper, SystemTime system) {
    this.mapper = mapper;
    this.system = system;
  }

  public Instant now() {
    Instant machine = system.now();
    Reading last = reading;
    if (last.at.plus(REFRESH).isBefore(machine)) {
      last = new Reading(Duration.ofMillis(mapper.offset()), machine);
      reading = last;
    }
    return machine.plus(last.offset);
  }

  public LocalDate today(ZoneId zone) {
    return now().atZone(zone).toLocalDate();
  }

  /** Moves the present of the installation. */
  public void set(Instant present) {
    Instant machine = system.now();
    Duration offset = Duration.ofMillis(Duration.between(machine, present).toMillis());
    mapper.setOffset(offset.toMillis());
    reading = new Reading(offset, machine);
  }

  /** Names this installation's database. */
  public UUID installation() {
    return mapper.installation();
  }
}
