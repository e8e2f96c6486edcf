package org.quietlantern.core.search;

import java.io.IOException;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.ConstantScoreScorer;
import org.apache.lucene.search.ConstantScoreWeight;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.QueryVisitor;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.TwoPhaseIterator;
import org.apache.lucene.search.Weight;

/** A query that looks at one document after the other; all that it finds are found as strongly. */
abstract class WalkQuery extends Query {
  private final float strength;

  WalkQuery(float strength) {
    this.strength = strength;
  }

  /** Goes through what lies in one segment. */
  abstract TwoPhaseIterator walk(LeafReaderContext leaf) throws IOException;

  @Override
  public Weight createWeight(IndexSearcher searcher, ScoreMode mode, float boost) {
    return new ConstantScoreWeight(this, boost * strength) {
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

  @Override
  public void visit(QueryVisitor visitor) {
    visitor.visitLeaf(this);
  }
}
