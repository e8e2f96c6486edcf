package org.quietlantern.server.alert;

import java.time.Duration;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.job.NightlyCheck;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Tells stewards what alerts have missed: what is missed now, and what {@link ComparingAlerts} has
 * found and announced since yesterday.
 */
@Component
@Order(5)
class MemoryCheck implements NightlyCheck {
  private static final Duration TOLD = Duration.ofDays(1);
  private final AlertMapper mapper;
  private final ComparisonMapper comparisons;
  private final MemoryComparison comparison;
  private final Calendar calendar;

  MemoryCheck(
      AlertMapper mapper,
      ComparisonMapper comparisons,
      MemoryComparison comparison,
      Calendar calendar) {
    this.mapper = mapper;
    this.comparisons = comparisons;
    this.comparison = comparison;
    this.calendar = calendar;
  }

  @Override
  public String what() {
    return "what alerts remember";
  }

  @Override
  public int look() {
    return comparisons.missedSince(calendar.now().minus(TOLD))
        + mapper.watched().stream().mapToInt(this::missed).sum();
  }

  private int missed(int alert) {
    MemoryComparison.Difference now = comparison.trial(alert);
    return now.causes().isEmpty() ? now.news().getCardinality() : 0;
  }
}
