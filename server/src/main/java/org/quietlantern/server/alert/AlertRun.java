package org.quietlantern.server.alert;

import static java.util.stream.Collectors.groupingBy;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.SystemTime;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Runs of alerts of one group, one transaction: arrivals, memory, number and the note of the run
 * change together under a lock on the alerts' rows, or not at all. What is written takes the same
 * number of statements for many alerts as for one.
 */
@Component
class AlertRun {
  private final AlertMapper mapper;
  private final ComparisonMapper comparisons;
  private final RunState.Parts states;
  private final Harvests harvests;
  private final Announcing announcing;
  private final Calendar calendar;
  private final SystemTime system;
  private final Checkpoint checkpoint;

  AlertRun(
      AlertMapper mapper,
      ComparisonMapper comparisons,
      RunState.Parts states,
      Harvests harvests,
      Announcing announcing,
      Calendar calendar,
      SystemTime system,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.comparisons = comparisons;
    this.states = states;
    this.harvests = harvests;
    this.announcing = announcing;
    this.calendar = calendar;
    this.system = system;
    this.checkpoint = checkpoint;
  }

  /**
   * Runs alerts of one group over all numbers since their last run up to that of the state, at
   * which the catalogue is at rest: all of them, or none. Answers how many works they found.
   */
  @Transactional
  public int run(List<Integer> ids, RunState state) {
    List<AlertMapper.Row> alerts = mapper.lockWatching(boxed(ids));
    if (alerts.isEmpty()) {
      return 0;
    }
    checkpoint.pass("alert: locked");
    Instant begun = system.now();
    Map<Integer, List<AlertMapper.AsideRow>> before =
        mapper.aside(boxed(ids)).stream().collect(groupingBy(AlertMapper.AsideRow::alert));
    List<Announcing.News> seen = new ArrayList<>();
    Map<Integer, RunState.Seen> runs = new LinkedHashMap<>();
    for (AlertMapper.Row alert : alerts) {
      List<AlertMapper.AsideRow> aside = before.getOrDefault(alert.id(), List.of());
      RunState.Seen one = state.seen(alert, triedAgain(aside));
      if (!aside.isEmpty()) {
        mapper.resolve(alert.id(), boxed(one.lookedAt()), calendar.now());
      }
      runs.put(alert.id(), one);
      seen.add(Announcing.came(alert, one));
    }
    Map<Integer, RoaringBitmap> aside = announcing.announce(seen);
    runs.forEach((id, one) -> one.leave(aside.getOrDefault(id, new RoaringBitmap())));
    announcing.tell(alerts.stream().filter(alert -> runs.get(alert.id()).tells()).toList());
    checkpoint.pass("alert: announced, not remembered");
    remember(alerts, runs, state.upTo(), begun);
    checkpoint.pass("alert: remembered, not committed");
    return runs.values().stream().mapToInt(RunState.Seen::found).sum();
  }

  /** The same of one, in a state of its own. */
  @Transactional
  public int runAlone(int id, long upTo) {
    try (RunState state = states.open(upTo)) {
      return run(List.of(id), state);
    }
  }

  /** What it would find if it ran, or went on, now; changes nothing. */
  @Transactional(readOnly = true)
  public RoaringBitmap trial(int id, long upTo) {
    try (RunState state = states.open(upTo)) {
      return state.seen(mapper.byId(id), triedAgain(mapper.aside(new Integer[] {id}))).works();
    }
  }

  /** What broke an alert is tried again when it changed, or when records are read better. */
  private static List<Integer> triedAgain(List<AlertMapper.AsideRow> aside) {
    return aside.stream()
        .filter(one -> one.edition() != RecordReader.EDITION)
        .map(AlertMapper.AsideRow::publication)
        .toList();
  }

  private static Integer[] boxed(Collection<Integer> ids) {
    return ids.toArray(Integer[]::new);
  }

  private static Integer[] boxed(RoaringBitmap ids) {
    return Arrays.stream(ids.toArray()).boxed().toArray(Integer[]::new);
  }

  /**
   * A run that no source is behind and that found nothing is not told: what moved may be another
   * group's alone.
   */
  private void remember(
      List<AlertMapper.Row> alerts, Map<Integer, RunState.Seen> runs, long upTo, Instant begun) {
    Integer[] ids = boxed(runs.keySet());
    Set<Integer> failed = Set.copyOf(mapper.lastFailed(ids));
    Map<Instant, List<Integer>> sources = new HashMap<>();
    Instant now = calendar.now();
    long millis = Duration.between(begun, system.now()).toMillis();
    List<AlertMapper.Run> told = new ArrayList<>();
    for (AlertMapper.Row alert : alerts) {
      List<Integer> ended = sources.computeIfAbsent(alert.ran(), harvests::endedSince);
      int found = runs.get(alert.id()).found();
      if (found > 0 || !ended.isEmpty() || failed.contains(alert.id())) {
        told.add(
            new AlertMapper.Run(
                alert.id(),
                alert.number(),
                upTo,
                boxed(ended),
                found,
                (int) Math.min(Integer.MAX_VALUE, millis),
                "",
                now));
      }
    }
    mapper.remember(
        ids,
        runs.values().stream()
            .map(one -> one.memory().with(one.matches()).text())
            .toArray(String[]::new),
        upTo,
        told.stream().map(AlertMapper.Run::alert).toArray(Integer[]::new),
        now);
    if (!told.isEmpty()) {
      mapper.addRuns(told);
    }
  }

  /** Notes that a run failed; nothing of it stands, and it is run again over the same changes. */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void failed(int id, long upTo, RuntimeException why) {
    String error = why.getMessage() == null ? why.getClass().getSimpleName() : why.getMessage();
    if (mapper.failAgain(id, upTo, error, calendar.now()) == 0) {
      mapper.addRuns(
          List.of(
              new AlertMapper.Run(
                  id, mapper.number(id), upTo, new Integer[0], 0, 0, error, calendar.now())));
    }
  }

  /**
   * The same where it could not be held against all that it finds: it is not tried in that state.
   */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void couldNotCompare(int id, String state, RuntimeException why) {
    comparisons.compared(id, state);
    failed(id, mapper.number(id), why);
  }
}
