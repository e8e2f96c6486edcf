package org.quietlantern.core.search;

import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.ConstantScoreScorer;
import org.apache.lucene.search.ConstantScoreWeight;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.QueryVisitor;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.Weight;
import org.roaringbitmap.PeekableIntIterator;
import org.roaringbitmap.RoaringBitmap;

/** The documents of a set. */
final class SetQuery extends Query {
  private final DocSet set;

  SetQuery(DocSet set) {
    this.set = set;
  }

  @Override
  public Weight createWeight(IndexSearcher searcher, ScoreMode mode, float boost) {
    return new ConstantScoreWeight(this, boost) {
      @Override
      public Scorer scorer(LeafReaderContext leaf) {
        return new ConstantScoreScorer(this, score(), mode, new Walk(set.in(leaf)));
      }

      @Override
      public boolean isCacheable(LeafReaderContext leaf) {
        return false;
      }
    };
  }

  /** Goes through what lies in one segment. */
  private static final class Walk extends DocIdSetIterator {
    private final PeekableIntIterator docs;
    private final long cost;
    private int doc = -1;

    Walk(RoaringBitmap set) {
      docs = set.getIntIterator();
      cost = set.getCardinality();
    }

    @Override
    public int docID() {
      return doc;
    }

    @Override
    public int nextDoc() {
      doc = docs.hasNext() ? docs.next() : NO_MORE_DOCS;
      return doc;
    }

    @Override
    public int advance(int target) {
      docs.advanceIfNeeded(target);
      return nextDoc();
    }

    @Override
    public long cost() {
      return cost;
    }
  }

  @Override
  public void visit(QueryVisitor visitor) {
    visitor.visitLeaf(this);
  }

  @Override
  public String toString(String field) {
    return "set of " + set.count();
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof SetQuery query && set == query.set;
  }

  @Override
  public int hashCode() {
    return System.identityHashCode(set);
  }
}
