package org.quietlantern.server.alert;

import java.time.Duration;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.Editions;
import org.quietlantern.server.platform.job.Job;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.stereotype.Service;

/**
 * Holds every alert against all that its search finds, once a day of its group and after each
 * change of headings, holdings or journals (rule N5).
 */
@Service
public class ComparingAlerts implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(ComparingAlerts.class);
  private static final int AT_ONCE = 500;
  private final AlertMapper mapper;
  private final ComparisonMapper comparisons;
  private final MemoryComparison comparison;
  private final AlertRun alertRun;
  private final IndexKeeper index;
  private final Editions editions;
  private final Calendar calendar;
  private final Checkpoint checkpoint;

  ComparingAlerts(
      AlertMapper mapper,
      ComparisonMapper comparisons,
      MemoryComparison comparison,
      AlertRun alertRun,
      IndexKeeper index,
      Editions editions,
      Calendar calendar,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.comparisons = comparisons;
    this.comparison = comparison;
    this.alertRun = alertRun;
    this.index = index;
    this.editions = editions;
    this.calendar = calendar;
    this.checkpoint = checkpoint;
  }

  @Override
  public String name() {
    return "compare-alerts";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(20);
  }

  @Override
  public void run() {
    if (index.standsStill()) {
      return;
    }
    comparisons.folderChanged();
    Map<Editions.Kind, Integer> now = editions.now();
    for (ComparisonMapper.GroupWatching group : comparisons.groupsWatching()) {
      String state = state(group.zone(), now);
      compare(comparisons.notCompared(group.grp(), state), state);
    }
  }

  /** What is compared now, as {@code 2026-11-30, vocabulary 3, holdings 1}. */
  String state(String zone) {
    return state(zone, editions.now());
  }

  private String state(String zone, Map<Editions.Kind, Integer> now) {
    return calendar.today(ZoneId.of(zone))
        + now.entrySet().stream()
            .map(of -> ", " + of.getKey().name().toLowerCase(Locale.ROOT) + " " + of.getValue())
            .collect(Collectors.joining());
  }

  private void compare(List<Integer> alerts, String state) {
    for (int at = 0; at < alerts.size(); at += AT_ONCE) {
      List<Integer> some = alerts.subList(at, Math.min(alerts.size(), at + AT_ONCE));
      Set<Integer> agreed = agreed(some, state);
      some.stream().filter(alert -> !agreed.contains(alert)).forEach(alert -> one(alert, state));
    }
  }

  /** Those that remember all that they find: looked at together, without a lock. */
  private Set<Integer> agreed(List<Integer> alerts, String state) {
    List<AlertMapper.Row> agreeing = comparison.agreeing(mapper.well(numbers(alerts)));
    checkpoint.pass("comparison: agreed, not noted");
    return Set.copyOf(
        comparisons.agreed(
            numbers(agreeing.stream().map(AlertMapper.Row::id).toList()),
            numbers(agreeing.stream().map(AlertMapper.Row::version).toList()),
            state));
  }

  private static Integer[] numbers(List<Integer> of) {
    return of.toArray(Integer[]::new);
  }

  private void one(int alert, String state) {
    try {
      comparison.compare(alert, state);
    } catch (ConcurrencyFailureException meanwhile) {
      LOG.info("alert {} was just changed and is compared at the next turn", alert);
    } catch (RuntimeException failed) {
      LOG.error("alert {} could not be compared with what its search finds", alert, failed);
      alertRun.couldNotCompare(alert, state, failed);
    }
  }
}
