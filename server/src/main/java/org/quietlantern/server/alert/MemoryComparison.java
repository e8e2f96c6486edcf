package org.quietlantern.server.alert;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.watch.Cause;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.job.Spread;
import org.roaringbitmap.RoaringBitmap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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
  private static final Logger LOG = LoggerFactory.getLogger(MemoryComparison.class);
  private final AlertMapper mapper;
  private final ComparisonMapper comparisons;
  private final RunState.Parts states;
  private final Announcing announcing;
  private final Calendar calendar;
  private final Checkpoint checkpoint;

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
      RunState.Parts states,
      Announcing announcing,
      Calendar calendar,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.comparisons = comparisons;
    this.states = states;
    this.announcing = announcing;
    this.calendar = calendar;
    this.checkpoint = checkpoint;
  }

  /** What it would find if it were compared now; changes nothing. */
  @Transactional(readOnly = true)
  public Difference trial(int id) {
    AlertMapper.Row alert = mapper.byId(id);
    try (RunState state = states.open(alert.number())) {
      return difference(alert, state);
    }
  }

  /** {@code inState}: the name of what it is compared in. */
  @Transactional
  public void compare(int id, String inState) {
    AlertMapper.Row alert = mapper.lock(id);
    comparisons.compared(id, inState);
    checkpoint.pass("comparison: begun");
    if (!alert.state().equals("watching")) {
      return;
    }
    try (RunState state = states.open(alert.number())) {
      Difference difference = difference(alert, state);
      comparisons.lost(id, lost(state.look(alert), difference));
      if (!difference.news().isEmpty()) {
        take(alert, state.look(alert), difference);
      }
      checkpoint.pass("comparison: taken, not committed");
    }
  }

  /** Of some alerts those that nothing is to be said of, as they are now: most, most nights. */
  List<AlertMapper.Row> agreeing(List<AlertMapper.Row> alerts) {
    long number = alerts.stream().mapToLong(AlertMapper.Row::number).max().orElse(0);
    try (RunState state = states.open(number)) {
      return Spread.filter(alerts, alert -> agrees(alert, state));
    }
  }

  private boolean agrees(AlertMapper.Row alert, RunState state) {
    try {
      Difference difference = difference(alert, state);
      return difference.news().isEmpty() && lost(state.look(alert), difference).isEmpty();
    } catch (RuntimeException failed) {
      LOG.debug("alert {} fails, and is told so when it is compared by itself", alert.id(), failed);
      return false;
    }
  }

  private static String lost(Matching.Look look, Difference difference) {
    return String.join(" ", look.lost(difference.strategy()));
  }

  private Difference difference(AlertMapper.Row alert, RunState state) {
    Strategy strategy = state.strategy(alert);
    RoaringBitmap found = state.found(alert, strategy);
    Memory memory = Memory.read(alert.memory());
    RoaringBitmap news = memory.news(found);
    news.andNot(state.touchedSince(alert.number()));
    Matching.Look look = state.look(alert);
    // What is found by a text alone may have come with it since.
    news.andNot(look.circumstances().texts().publications());
    RoaringBitmap unknown = state.unknown(memory, news);
    if (!unknown.isEmpty()) {
      mapper.aside(new Integer[] {alert.id()}).forEach(one -> unknown.remove(one.publication()));
    }
    return new Difference(
        strategy, Cause.of(strategy, look.library()), memory, found.getCardinality(), unknown);
  }

  private void take(AlertMapper.Row alert, Matching.Look look, Difference difference) {
    if (alert.tellsChanges()) {
      // That it finds more is no change of a work; of what it finds it has to know what is lost.
      mapper.rememberMore(alert.id(), difference.memory().with(difference.news()).bytes());
      return;
    }
    boolean missed = difference.causes().isEmpty();
    RoaringBitmap news = difference.news().clone();
    if (missed || alert.tellsWidened()) {
      news.andNot(
          announcing.announce(
              Announcing.compared(alert, look, difference.strategy(), difference.news(), missed)));
      announcing.tell(List.of(alert));
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
