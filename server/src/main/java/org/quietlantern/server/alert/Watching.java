package org.quietlantern.server.alert;

import java.time.Duration;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.job.Job;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Runs alerts that have not seen the newest changes, then closes rounds whose moment has come. An
 * alert that fails keeps its number and is tried again; the others go on.
 */
@Service
public class Watching implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(Watching.class);
  private final AlertMapper mapper;
  private final AlertRun alertRun;
  private final RoundClosing closing;
  private final Rounds rounds;
  private final Publications publications;
  private final Calendar calendar;

  Watching(
      AlertMapper mapper,
      AlertRun alertRun,
      RoundClosing closing,
      Rounds rounds,
      Publications publications,
      Calendar calendar) {
    this.mapper = mapper;
    this.alertRun = alertRun;
    this.closing = closing;
    this.rounds = rounds;
    this.publications = publications;
    this.calendar = calendar;
  }

  @Override
  public String name() {
    return "watch";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(2);
  }

  @Override
  public void run() {
    for (int alert : mapper.behind(publications.latest())) {
      runOne(alert);
    }
    rounds.due(calendar.now()).forEach(closing::close);
  }

  private void runOne(int alert) {
    try {
      alertRun.run(alert);
    } catch (RuntimeException failed) {
      LOG.error("alert {} failed; it is run again over the same changes", alert, failed);
    }
  }
}
