package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;

/**
 * A strategy source by source.
 *
 * @param several how many of the result are in more than one source
 */
public record BySource(int count, int several, List<Share> shares) {
  public BySource {
    shares = List.copyOf(shares);
  }

  /**
   * One source's share.
   *
   * @param size publications that it supplies
   * @param found how many of the result it supplies
   * @param only how many of the result no other source supplies
   * @param lines what each line finds in it, by line id; nothing where it cannot answer the line,
   *     because it supplies no values to limit by
   */
  public record Share(String source, int size, int found, int only, Map<String, Integer> lines) {
    public Share {
      lines = Map.copyOf(lines);
    }
  }

  /** {@code sources}: keys, in the order wanted. */
  public static BySource of(Snapshot snapshot, Compiled.Ready ready, List<String> sources) {
    IndexState state = snapshot.state();
    Sets sets = state.sets();
    DocSet result = sets.of(ready.query());
    Map<String, DocSet> bySource = new LinkedHashMap<>();
    for (String source : sources) {
      Limit limit = Limit.any(Property.SOURCE, source);
      bySource.put(source, sets.of(new LimitQuery(limit, ready.circumstances(), state.columns())));
    }
    DocSet once = sets.none();
    DocSet twice = sets.none();
    for (DocSet set : bySource.values()) {
      twice = twice.or(once.and(set));
      once = once.or(set);
    }
    DocSet several = result.and(twice);
    List<Share> shares = new ArrayList<>();
    bySource.forEach(
        (source, set) -> shares.add(share(state, ready, source, set, result, several)));
    return new BySource(result.count(), several.count(), shares);
  }

  private static Share share(
      IndexState state,
      Compiled.Ready ready,
      String source,
      DocSet set,
      DocSet result,
      DocSet several) {
    DocSet found = result.and(set);
    int only = found.andNot(several).count();
    Map<String, Integer> lines = new LinkedHashMap<>();
    for (Compiled.Part part : ready.parts()) {
      if (answers(state, ready, part, set)) {
        lines.put(part.line().id(), state.sets().of(part.query()).countIn(set));
      }
    }
    return new Share(source, set.count(), found.count(), only, lines);
  }

  /** A source that has no value at all for a limit cannot answer it. */
  private static boolean answers(
      IndexState state, Compiled.Ready ready, Compiled.Part part, DocSet set) {
    if (!(part.line() instanceof Line.Limited limited)) {
      return true;
    }
    DocSet unknown =
        state
            .sets()
            .of(StrategyCompiler.unknown(limited.limit(), ready.circumstances(), state.columns()));
    return unknown.countIn(set) < set.count();
  }
}
