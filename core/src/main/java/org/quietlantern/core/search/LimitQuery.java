package org.quietlantern.core.search;

import java.io.IOException;
import java.util.function.IntPredicate;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.ConstantScoreScorer;
import org.apache.lucene.search.ConstantScoreWeight;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.QueryVisitor;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.TwoPhaseIterator;
import org.apache.lucene.search.Weight;
import org.quietlantern.core.query.Limit;

/**
 * A limit as a query, answered from columns. Two are equal when they ask the same under the same
 * circumstances, so that what one found serves the other.
 */
final class LimitQuery extends Query {
  private final Limit limit;
  private final String circumstances;
  private final LimitPredicate test;

  LimitQuery(Limit limit, SearchContext circumstances, Columns columns) {
    this.limit = limit;
    this.circumstances = circumstances.name();
    this.test = new LimitPredicate(limit, circumstances, columns);
  }

  @Override
  public Weight createWeight(IndexSearcher searcher, ScoreMode mode, float boost) {
    return new ConstantScoreWeight(this, boost) {
      @Override
      public Scorer scorer(LeafReaderContext leaf) throws IOException {
        return new ConstantScoreScorer(this, score(), mode, walk(leaf));
      }

      @Override
      public boolean isCacheable(LeafReaderContext leaf) {
        return false;
      }
    };
  }

  private TwoPhaseIterator walk(LeafReaderContext leaf) throws IOException {
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
  public void visit(QueryVisitor visitor) {
    visitor.visitLeaf(this);
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
