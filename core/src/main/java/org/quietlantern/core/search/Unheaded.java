package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Range;
import org.quietlantern.core.query.Strategy;
import org.roaringbitmap.IntConsumer;

/**
 * What a strategy of headings only cannot find yet: publications that came lately and have no
 * headings (rule H5).
 */
public final class Unheaded {
  private static final int DAYS = 90;

  private Unheaded() {}

  /**
   * How many came in the last 90 days, meet the other lines and have no headings; empty where the
   * strategy asks for anything but headings.
   */
  public static Optional<Integer> count(
      Snapshot snapshot, Strategy strategy, Library library, Compiled.Ready ready) {
    List<MatchingTerms.Leaf> leaves = MatchingTerms.of(strategy, library);
    boolean headingsOnly =
        !leaves.isEmpty()
            && leaves.stream().allMatch(leaf -> leaf.fields().equals(List.of(Field.HEADING)))
            && strategy.inForce().stream().noneMatch(Line.Held.class::isInstance);
    if (!headingsOnly) {
      return Optional.empty();
    }
    IndexState state = snapshot.state();
    SearchContext now = ready.circumstances();
    String since = now.today().minusDays(DAYS).toString();
    BooleanQuery query =
        new BooleanQuery.Builder()
            .add(ready.without(Compiled.Part::scores).query(), Occur.FILTER)
            .add(
                new LimitQuery(
                    Limit.range(Property.CAME, Range.between(since, "")), now, state.columns()),
                Occur.FILTER)
            .build();
    return Optional.of(without(state, state.sets().of(query)));
  }

  private static int without(IndexState state, DocSet set) {
    int[] count = new int[1];
    try {
      for (LeafReaderContext leaf : state.reader().leaves()) {
        Column headings = state.columns().supplied(leaf, Property.HEADING);
        IntConsumer look = doc -> count[0] += headings.isEmpty(doc) ? 1 : 0;
        set.in(leaf).forEach(look);
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return count[0];
  }
}
