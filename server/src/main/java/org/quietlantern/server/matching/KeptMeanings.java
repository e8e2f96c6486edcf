package org.quietlantern.server.matching;

import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.HeadingMeanings;
import org.quietlantern.core.vocabulary.Headings;
import org.quietlantern.server.platform.Json;
import org.springframework.stereotype.Component;

/** Writes into stored strategies what names of headings in them mean, before that changes. */
@Component
public class KeptMeanings {
  private final Json json;

  KeptMeanings(Json json) {
    this.json = json;
  }

  /** A strategy as it is stored. */
  public record Stored(int id, String strategy) {}

  /** Where a strategy is stored. */
  public interface Place {
    void put(int id, String strategy);
  }

  /**
   * Goes through all that are stored in one place.
   *
   * @param after the next ones after a row number, in their order; none at the end
   */
  public void keep(Headings before, IntFunction<List<Stored>> after, Place place) {
    List<Stored> page = after.apply(0);
    while (!page.isEmpty()) {
      for (Stored stored : page) {
        kept(stored.strategy(), before).ifPresent(text -> place.put(stored.id(), text));
      }
      page = after.apply(page.get(page.size() - 1).id());
    }
  }

  /** As it is to be stored; empty where nothing in it is the name of a heading. */
  private Optional<String> kept(String stored, Headings before) {
    Strategy strategy = json.read(stored, StrategyBody.class).strategy();
    Strategy kept = HeadingMeanings.keep(strategy, before);
    return kept.equals(strategy)
        ? Optional.empty()
        : Optional.of(json.write(StrategyBody.of(kept)));
  }
}
