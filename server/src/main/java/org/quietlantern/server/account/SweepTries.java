package org.quietlantern.server.account;

import java.time.Duration;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Component;

/** What strangers can make grow does not grow for ever. */
@Component
class SweepTries implements Job {
  private final Tries tries;

  SweepTries(Tries tries) {
    this.tries = tries;
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
  }
}
