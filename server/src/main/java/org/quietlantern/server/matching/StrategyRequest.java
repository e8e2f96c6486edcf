package org.quietlantern.server.matching;

import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;

/** What somebody searches for: one typed line, or a whole strategy. */
public record StrategyRequest(@Nullable String text, @Nullable StrategyBody strategy) {
  public static StrategyRequest of(Strategy strategy) {
    return new StrategyRequest(null, StrategyBody.of(strategy));
  }

  public Strategy toStrategy() {
    if ((text == null) == (strategy == null)) {
      throw Refusal.unusable("strategy", "Either a text or a strategy is needed.");
    }
    return text == null ? strategy.strategy() : Strategy.of(text);
  }
}
