package org.quietlantern.server.harvest;

import java.time.Duration;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Component;

/** Harvests sources that are due, and takes back what ended ones supplied. */
@Component
class HarvestJob implements Job {
  private final Harvests harvests;
  private final Rereading rereading;
  private final SourceEnding ending;

  HarvestJob(Harvests harvests, Rereading rereading, SourceEnding ending) {
    this.ending = ending;
    this.harvests = harvests;
    this.rereading = rereading;
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
    rereading.readAgainWhatChanged();
    ending.takeBack();
    harvests.harvestDue();
  }
}
