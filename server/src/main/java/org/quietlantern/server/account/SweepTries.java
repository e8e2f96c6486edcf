package org.quietlantern.server.account;

import java.time.Duration;
import java.time.Instant;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Component;

/** What strangers can make grow does not grow for ever. */
@Component
class SweepTries implements Job {
  /** For so long a link that is void says why. */
  private static final Duration SAYS_WHY = Duration.ofDays(30);

  private final Tries tries;
  private final EntryMapper links;
  private final AddressChangeMapper changes;
  private final SystemTime system;

  SweepTries(Tries tries, EntryMapper links, AddressChangeMapper changes, SystemTime system) {
    this.tries = tries;
    this.links = links;
    this.changes = changes;
    this.system = system;
  }

  @Override
  public String name() {
    return "sweep-tries";
  }

  @Override
  public Duration every() {
    return Duration.ofMinutes(5);
  }

  @Override
  public void run() {
    tries.sweep();
    Instant before = system.now().minus(SAYS_WHY);
    links.sweep(before);
    changes.sweep(before);
  }
}
