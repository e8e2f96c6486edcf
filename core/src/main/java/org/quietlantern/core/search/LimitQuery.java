package org.quietlantern.core.search;

import java.io.IOException;
import java.util.function.IntPredicate;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.TwoPhaseIterator;
import org.quietlantern.core.query.Limit;

/**
 * A limit as a query, answered from columns. Two are equal when they ask the same under the same
 * circumstances, so that what one found serves the other.
 */
final class LimitQuery extends WalkQuery {
  private final Limit limit;
  private final String circumstances;
  private final LimitPredicate test;

  LimitQuery(Limit limit, SearchContext circumstances, Columns columns) {
    super(1);
    this.limit = limit;
    this.circumstances = circumstances.name();
    this.test = new LimitPredicate(limit, circumstances, columns);
  }

  @Override
  TwoPhaseIterator walk(LeafReaderContext leaf) throws IOException {
    IntPredicate meets = test.in(leaf);
    DocIdSetIterator all = DocIdSetIterator.all(leaf.reader().maxDoc());
    return new TwoPhaseIterator(all) {
      @Override
      public boolean matches() {
        return meets.test(all.docID());
      }

      @Override
      public float matchCost() {
        return 4;
      }
    };
  }

  @Override
  public String toString(String field) {
    return limit.toString();
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof LimitQuery query
        && limit.equals(query.limit)
        && circumstances.equals(query.circumstances);
  }

  @Override
  public int hashCode() {
    return limit.hashCode() * 31 + circumstances.hashCode();
  }
}
