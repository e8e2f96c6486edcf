package org.quietlantern.server.harvest;

import java.time.Duration;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Component;

/** Harvests sources that are due. */
@Component
class HarvestJob implements Job {
  private final Harvests harvests;

  HarvestJob(Harvests harvests) {
    this.harvests = harvests;
  }

  @Override
  public String name() {
    return "harvest";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(20);
  }

  @Override
  public void run() {
    harvests.harvestDue();
  }
}
