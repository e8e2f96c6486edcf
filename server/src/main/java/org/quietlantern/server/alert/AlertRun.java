package org.quietlantern.server.alert;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.search.TimeLimit;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.LanternProperties;
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
  private static final int TIMES_A_SEARCH = 3;
  private final AlertMapper mapper;
  private final ComparisonMapper comparisons;
  private final Publications publications;
  private final Matching matching;
  private final IndexKeeper index;
  private final Harvests harvests;
  private final Announcing announcing;
  private final Calendar calendar;
  private final SystemTime system;
  private final Json json;
  private final Checkpoint checkpoint;
  private final Duration searchTime;

  AlertRun(
      AlertMapper mapper,
      ComparisonMapper comparisons,
      Publications publications,
      Matching matching,
      IndexKeeper index,
      Harvests harvests,
      Announcing announcing,
      Calendar calendar,
      SystemTime system,
      Json json,
      Checkpoint checkpoint,
      LanternProperties properties) {
    this.mapper = mapper;
    this.comparisons = comparisons;
    this.publications = publications;
    this.matching = matching;
    this.index = index;
    this.harvests = harvests;
    this.announcing = announcing;
    this.calendar = calendar;
    this.system = system;
    this.json = json;
    this.checkpoint = checkpoint;
    this.searchTime = properties.searchTime();
  }

  /**
   * Runs the alert over all numbers since its last run up to one at which the catalogue is at rest.
   * Answers how many it found.
   */
  @Transactional
  public int run(int id, long upTo) {
    AlertMapper.Row alert = mapper.lock(id);
    if (!alert.state().equals("watching")) {
      return 0;
    }
    checkpoint.pass("alert: locked");
    Instant begun = system.now();
    try (Snapshot snapshot = index.snapshot(new Viewer(alert.grp()), upTo)) {
      Seen seen = seen(alert, snapshot, upTo);
      RoaringBitmap matches = seen.matches();
      RoaringBitmap news = seen.news();
      mapper.resolve(id, boxed(seen.lookedAt()), calendar.now());
      RoaringBitmap aside =
          announcing.announce(alert, seen.look(), seen.strategy(), seen.changes(), news);
      matches.andNot(aside);
      news.andNot(aside);
      if (!news.isEmpty()) {
        announcing.tell(alert);
      }
      checkpoint.pass("alert: announced, not remembered");
      remember(alert, seen.memory().with(matches), upTo, news.getCardinality(), begun);
      checkpoint.pass("alert: remembered, not committed");
      return news.getCardinality();
    }
  }

  /** What it would find if it ran, or went on, now; changes nothing. */
  @Transactional(readOnly = true)
  public RoaringBitmap trial(int id, long upTo) {
    AlertMapper.Row alert = mapper.byId(id);
    try (Snapshot snapshot = index.snapshot(new Viewer(alert.grp()), upTo)) {
      return seen(alert, snapshot, upTo).news();
    }
  }

  /**
   * What a run sees.
   *
   * @param lookedAt what changed since, and what comes again for another reason
   * @param matches of those; {@code news}: what of the matches the alert does not know
   */
  private record Seen(
      Strategy strategy,
      Matching.Look look,
      ChangesSince changes,
      RoaringBitmap lookedAt,
      RoaringBitmap matches,
      Memory memory,
      RoaringBitmap news) {}

  private Seen seen(AlertMapper.Row alert, Snapshot snapshot, long upTo) {
    Strategy strategy = json.read(alert.strategy(), StrategyBody.class).strategy();
    Matching.Look look = matching.look(snapshot, alert.grp(), ZoneId.of(alert.zone()));
    ChangesSince changes = ChangesSince.read(publications, alert.number(), upTo);
    RoaringBitmap toLookAt = changes.touched().clone();
    // What broke this alert is tried again when it changed, or when records are read better.
    mapper.setAsideBefore(alert.id(), RecordReader.EDITION).forEach(toLookAt::add);
    // Texts come without a change to their publications.
    toLookAt.or(look.circumstances().texts().publications());
    RoaringBitmap matches =
        inTime(searchTime, () -> snapshot.among(look.compile(strategy), toLookAt));
    Memory memory = Memory.read(alert.memory());
    RoaringBitmap news = unknown(publications, memory, memory.news(matches));
    return new Seen(strategy, look, changes, toLookAt, matches, memory, news);
  }

  /** An alert may take longer than a search, for nobody waits for it; not without end. */
  static <T> T inTime(Duration searchTime, Supplier<T> work) {
    Duration most = searchTime.multipliedBy(TIMES_A_SEARCH);
    try {
      return TimeLimit.within(most, work);
    } catch (TimeLimit.Over over) {
      throw new IllegalStateException(
          "the search took longer than %d seconds and was given up".formatted(most.toSeconds()),
          over);
    }
  }

  private static Integer[] boxed(RoaringBitmap ids) {
    return Arrays.stream(ids.toArray()).boxed().toArray(Integer[]::new);
  }

  /**
   * Without what is remembered as something that was merged into it since, and without what the
   * group brought in itself, which it knows (rule N5).
   */
  static RoaringBitmap unknown(Publications publications, Memory memory, RoaringBitmap news) {
    RoaringBitmap unknown = news.clone();
    publications
        .parts(Arrays.asList(boxed(news)))
        .forEach(
            (whole, parts) -> {
              if (memory.remembersAny(parts)) {
                unknown.remove(whole);
              }
            });
    publications.own(Arrays.asList(boxed(unknown))).forEach(unknown::remove);
    return unknown;
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
