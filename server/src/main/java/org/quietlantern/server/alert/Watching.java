package org.quietlantern.server.alert;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.quietlantern.server.alert.AlertMapper.Behind;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.quietlantern.server.platform.job.Spread;
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

  /** Alerts of a group that are run in one transaction. */
  private static final int TOGETHER = 100;

  private static final Duration EMPTY_RUNS_KEPT = Duration.ofDays(90);
  private final Map<Integer, Failure> failures = new ConcurrentHashMap<>();
  private final AlertMapper mapper;
  private final RunState.Parts states;
  private final QuietRuns quiet;
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
      RunState.Parts states,
      QuietRuns quiet,
      AlertRun alertRun,
      RoundClosing closing,
      Rounds rounds,
      Harvests harvests,
      IndexKeeper index,
      Calendar calendar,
      SystemTime system) {
    this.mapper = mapper;
    this.states = states;
    this.quiet = quiet;
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
    List<Behind> behind =
        mapper.behind(settled, harvested).stream().filter(a -> mayTry(a.id(), settled)).toList();
    if (!behind.isEmpty()) {
      try (RunState state = states.open(settled)) {
        // Those of a group one after the other: they hold its turn, and not for long.
        Collection<List<Integer>> byGroup =
            quiet.pass(behind, state).stream()
                .collect(groupingBy(Behind::grp, mapping(Behind::id, toList())))
                .values();
        Spread.each(List.copyOf(byGroup), its -> runSome(its, state));
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

  private void runSome(List<Integer> alerts, RunState state) {
    for (int at = 0; at < alerts.size(); at += TOGETHER) {
      List<Integer> some = alerts.subList(at, Math.min(alerts.size(), at + TOGETHER));
      try {
        alertRun.run(some, state);
        some.forEach(failures::remove);
      } catch (RuntimeException one) {
        LOG.debug("one of alerts {} failed; now each by itself", some, one);
        some.forEach(alert -> runOne(alert, state));
      }
    }
  }

  private void runOne(int alert, RunState state) {
    long upTo = state.upTo();
    try {
      alertRun.run(List.of(alert), state);
      failures.remove(alert);
    } catch (RuntimeException failed) {
      LOG.error("alert {} failed; it is run again over the same changes", alert, failed);
      failures.put(alert, new Failure(upTo, system.now()));
      alertRun.failed(alert, upTo, failed);
    }
  }
}
