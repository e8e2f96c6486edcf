package org.quietlantern.core.search;

import java.io.IOException;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.search.ConstantScoreScorer;
import org.apache.lucene.search.ConstantScoreWeight;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.QueryVisitor;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.TwoPhaseIterator;
import org.apache.lucene.search.Weight;
import org.roaringbitmap.RoaringBitmap;

/** The publications of which a text matches, whatever in it does. */
final class TextsQuery extends Query {
  /** What is met in a text alone comes behind what is met in a title or an abstract. */
  private static final float STRENGTH = 0.2f;

  /** Row numbers. */
  private final RoaringBitmap publications;

  private final int hash;

  TextsQuery(RoaringBitmap publications) {
    this.publications = publications;
    this.hash = publications.hashCode();
  }

  @Override
  public Weight createWeight(IndexSearcher searcher, ScoreMode mode, float boost) {
    return new ConstantScoreWeight(this, boost * STRENGTH) {
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
    NumericDocValues ids = DocValues.getNumeric(leaf.reader(), IndexFields.ID);
    return new TwoPhaseIterator(ids) {
      @Override
      public boolean matches() throws IOException {
        return publications.contains((int) ids.longValue());
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
    return "texts of " + publications.getCardinality();
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof TextsQuery query && publications.equals(query.publications);
  }

  @Override
  public int hashCode() {
    return hash;
  }
}
