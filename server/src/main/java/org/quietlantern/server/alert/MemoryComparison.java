package org.quietlantern.server.alert;

import java.time.Duration;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Set;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.watch.Cause;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.LanternProperties;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What an alert remembers, against all that its search finds. What is found, did not change since
 * the alert looked, and is not remembered has come by something that the search depends on, or was
 * missed. Both are noted with both sets; the first goes into memory quietly (rule N2), the second
 * is announced, and told to stewards.
 */
@Component
class MemoryComparison {
  private final AlertMapper mapper;
  private final ComparisonMapper comparisons;
  private final IndexKeeper index;
  private final Matching matching;
  private final Publications publications;
  private final Announcing announcing;
  private final Calendar calendar;
  private final Json json;
  private final Checkpoint checkpoint;
  private final Duration searchTime;

  /**
   * What a comparison comes to.
   *
   * @param causes by which the search can find more; none: {@code news} was missed
   * @param found how many the search finds
   * @param news what is not remembered, without what the alert is still to see
   */
  record Difference(
      Strategy strategy, Set<Cause> causes, Memory memory, int found, RoaringBitmap news) {}

  MemoryComparison(
      AlertMapper mapper,
      ComparisonMapper comparisons,
      IndexKeeper index,
      Matching matching,
      Publications publications,
      Announcing announcing,
      Calendar calendar,
      Json json,
      Checkpoint checkpoint,
      LanternProperties properties) {
    this.mapper = mapper;
    this.comparisons = comparisons;
    this.index = index;
    this.matching = matching;
    this.publications = publications;
    this.announcing = announcing;
    this.calendar = calendar;
    this.json = json;
    this.checkpoint = checkpoint;
    this.searchTime = properties.searchTime();
  }

  /** What it would find if it were compared now; changes nothing. */
  @Transactional(readOnly = true)
  public Difference trial(int id) {
    AlertMapper.Row alert = mapper.byId(id);
    try (Snapshot snapshot = index.snapshot(new Viewer(alert.grp()), alert.number())) {
      return difference(alert, look(snapshot, alert));
    }
  }

  /** {@code state}: the name of what it is compared in. */
  @Transactional
  public void compare(int id, String state) {
    AlertMapper.Row alert = mapper.lock(id);
    comparisons.compared(id, state);
    checkpoint.pass("comparison: begun");
    if (!alert.state().equals("watching")) {
      return;
    }
    try (Snapshot snapshot = index.snapshot(new Viewer(alert.grp()), alert.number())) {
      Matching.Look look = look(snapshot, alert);
      Difference difference = difference(alert, look);
      comparisons.lost(id, String.join(" ", look.lost(difference.strategy())));
      if (!difference.news().isEmpty()) {
        take(alert, look, difference);
      }
      checkpoint.pass("comparison: taken, not committed");
    }
  }

  private Matching.Look look(Snapshot snapshot, AlertMapper.Row alert) {
    return matching.look(snapshot, alert.grp(), ZoneId.of(alert.zone()));
  }

  private Difference difference(AlertMapper.Row alert, Matching.Look look) {
    Strategy strategy = json.read(alert.strategy(), StrategyBody.class).strategy();
    RoaringBitmap found =
        AlertRun.inTime(searchTime, () -> look.snapshot().all(look.compile(strategy)));
    Memory memory = Memory.read(alert.memory());
    RoaringBitmap news = memory.news(found);
    news.andNot(publications.touchedSince(alert.number()));
    // What is found by a text alone may have come with it since.
    news.andNot(look.circumstances().texts().publications());
    RoaringBitmap unknown = AlertRun.unknown(publications, memory, news);
    mapper.setAsideIds(alert.id()).forEach(unknown::remove);
    return new Difference(
        strategy, Cause.of(strategy, look.library()), memory, found.getCardinality(), unknown);
  }

  private void take(AlertMapper.Row alert, Matching.Look look, Difference difference) {
    boolean missed = difference.causes().isEmpty();
    RoaringBitmap news = difference.news().clone();
    if (missed || alert.tellsWidened()) {
      news.andNot(announcing.announceCompared(alert, look, difference.strategy(), news, missed));
      announcing.tell(alert);
    }
    mapper.rememberMore(alert.id(), difference.memory().with(news).bytes());
    comparisons.addDifference(
        new ComparisonMapper.Difference(
            0,
            alert.id(),
            calendar.now(),
            missed,
            difference.causes().stream().map(Cause::word).toArray(String[]::new),
            difference.memory().size(),
            difference.found(),
            Arrays.stream(news.toArray()).boxed().toArray(Integer[]::new)));
  }
}
