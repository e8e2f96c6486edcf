package org.quietlantern.server.alert;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.stereotype.Service;

/**
 * Runs alerts that have not seen the newest changes, then closes rounds whose moment has come. An
 * alert that fails keeps its number and is tried again; the others go on.
 */
@Service
public class Watching implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(Watching.class);

  /** An alert that failed is tried again with the next changes, or after so long. */
  private static final Duration TRIED_AGAIN_AFTER = Duration.ofMinutes(1);

  private static final Duration EMPTY_RUNS_KEPT = Duration.ofDays(90);
  private final Map<Integer, Failure> failures = new ConcurrentHashMap<>();
  private final AlertMapper mapper;
  private final AlertRun alertRun;
  private final RoundClosing closing;
  private final Rounds rounds;
  private final Harvests harvests;
  private final IndexKeeper index;
  private final Calendar calendar;
  private final SystemTime system;

  /** Up to which change an alert was to run when it failed, and when that was. */
  private record Failure(long upTo, Instant at) {}

  Watching(
      AlertMapper mapper,
      AlertRun alertRun,
      RoundClosing closing,
      Rounds rounds,
      Harvests harvests,
      IndexKeeper index,
      Calendar calendar,
      SystemTime system) {
    this.mapper = mapper;
    this.alertRun = alertRun;
    this.closing = closing;
    this.rounds = rounds;
    this.harvests = harvests;
    this.index = index;
    this.calendar = calendar;
    this.system = system;
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
    followWorks();
    if (index.standsStill()) {
      // What came cannot be looked at: alerts wait, and so do the rounds that it belongs to.
      return;
    }
    long settled = harvests.settled();
    Instant harvested = harvests.lastEnded().orElse(Instant.EPOCH);
    for (int alert : mapper.behind(settled, harvested)) {
      if (mayTry(alert, settled)) {
        runOne(alert, settled);
      }
    }
    rounds.due(calendar.now()).forEach(closing::close);
    mapper.forgetRuns(calendar.now().minus(EMPTY_RUNS_KEPT));
  }

  private void followWorks() {
    try {
      rounds.follow();
    } catch (ConcurrencyFailureException met) {
      LOG.info("counts of rounds met a mark; they follow at the next turn");
    }
  }

  private boolean mayTry(int alert, long settled) {
    Failure last = failures.get(alert);
    return last == null
        || last.upTo() != settled
        || last.at().plus(TRIED_AGAIN_AFTER).isBefore(system.now());
  }

  private void runOne(int alert, long upTo) {
    try {
      alertRun.run(alert, upTo);
      failures.remove(alert);
    } catch (RuntimeException failed) {
      LOG.error("alert {} failed; it is run again over the same changes", alert, failed);
      failures.put(alert, new Failure(upTo, system.now()));
      alertRun.failed(alert, upTo, failed);
    }
  }
}
