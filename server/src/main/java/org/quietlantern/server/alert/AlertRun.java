package org.quietlantern.server.alert;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.SystemTime;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * One run of one alert, one transaction: arrivals, memory, number and the note of the run change
 * together under a lock on the alert's row, or not at all.
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
   * Runs the alert over all numbers since its last run up to that of the state, at which the
   * catalogue is at rest. Answers how many it found.
   */
  @Transactional
  public int run(int id, RunState state) {
    AlertMapper.Row alert = mapper.lock(id);
    if (!alert.state().equals("watching")) {
      return 0;
    }
    checkpoint.pass("alert: locked");
    Instant begun = system.now();
    List<AlertMapper.AsideRow> before = mapper.aside(id);
    RunState.Seen seen = state.seen(alert, triedAgain(before));
    if (!before.isEmpty()) {
      mapper.resolve(id, boxed(seen.lookedAt()), calendar.now());
    }
    RoaringBitmap matches = seen.matches();
    RoaringBitmap news = seen.news();
    RoaringBitmap aside =
        announcing.announce(alert, seen.look(), seen.strategy(), seen.changes(), news);
    matches.andNot(aside);
    news.andNot(aside);
    if (!news.isEmpty()) {
      announcing.tell(alert);
    }
    checkpoint.pass("alert: announced, not remembered");
    remember(alert, seen.memory().with(matches), state.upTo(), news.getCardinality(), begun);
    checkpoint.pass("alert: remembered, not committed");
    return news.getCardinality();
  }

  /** The same of several (row numbers, in order) in one transaction: all of them, or none. */
  @Transactional
  public void runTogether(List<Integer> ids, RunState state) {
    ids.forEach(id -> run(id, state));
  }

  /** The same of one alone. */
  @Transactional
  public int runAlone(int id, long upTo) {
    try (RunState state = states.open(upTo)) {
      return run(id, state);
    }
  }

  /** What it would find if it ran, or went on, now; changes nothing. */
  @Transactional(readOnly = true)
  public RoaringBitmap trial(int id, long upTo) {
    try (RunState state = states.open(upTo)) {
      return state.seen(mapper.byId(id), triedAgain(mapper.aside(id))).news();
    }
  }

  /** What broke an alert is tried again when it changed, or when records are read better. */
  private static List<Integer> triedAgain(List<AlertMapper.AsideRow> aside) {
    return aside.stream()
        .filter(one -> one.edition() != RecordReader.EDITION)
        .map(AlertMapper.AsideRow::publication)
        .toList();
  }

  private static Integer[] boxed(RoaringBitmap ids) {
    return Arrays.stream(ids.toArray()).boxed().toArray(Integer[]::new);
  }

  /**
   * A run that no source is behind and that found nothing is not told: what moved may be another
   * group's alone.
   */
  private void remember(AlertMapper.Row alert, Memory memory, long upTo, int found, Instant begun) {
    List<Integer> sources = harvests.endedSince(alert.ran());
    long number = Math.max(upTo, alert.number());
    if (found == 0 && sources.isEmpty() && !mapper.lastFailed(alert.id())) {
      mapper.remember(alert.id(), memory.bytes(), number, null);
      return;
    }
    mapper.remember(alert.id(), memory.bytes(), number, calendar.now());
    long millis = Duration.between(begun, system.now()).toMillis();
    mapper.addRun(
        new AlertMapper.Run(
            alert.id(),
            alert.number(),
            upTo,
            sources.toArray(Integer[]::new),
            found,
            (int) Math.min(Integer.MAX_VALUE, millis),
            "",
            calendar.now()));
  }

  /** Notes that a run failed; nothing of it stands, and it is run again over the same changes. */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void failed(int id, long upTo, RuntimeException why) {
    String error = why.getMessage() == null ? why.getClass().getSimpleName() : why.getMessage();
    if (mapper.failAgain(id, upTo, error, calendar.now()) == 0) {
      mapper.addRun(
          new AlertMapper.Run(
              id, mapper.number(id), upTo, new Integer[0], 0, 0, error, calendar.now()));
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
