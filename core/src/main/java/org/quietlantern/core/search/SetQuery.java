package org.quietlantern.core.search;

import java.io.IOException;
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
import org.apache.lucene.util.FixedBitSet;

/** The documents of a set, by their numbers in the whole reader. */
final class SetQuery extends Query {
  private final FixedBitSet set;
  private final long cost;

  SetQuery(FixedBitSet set, long cost) {
    this.set = set;
    this.cost = cost;
  }

  @Override
  public Weight createWeight(IndexSearcher searcher, ScoreMode mode, float boost) {
    return new ConstantScoreWeight(this, boost) {
      @Override
      public Scorer scorer(LeafReaderContext leaf) {
        return new ConstantScoreScorer(
            this, score(), mode, new Walk(leaf.docBase, leaf.reader().maxDoc()));
      }

      @Override
      public boolean isCacheable(LeafReaderContext leaf) {
        return false;
      }
    };
  }

  /** Goes through the part of the set that lies in one segment. */
  private final class Walk extends DocIdSetIterator {
    private final int base;
    private final int end;
    private int doc = -1;

    Walk(int base, int size) {
      this.base = base;
      this.end = base + size;
    }

    @Override
    public int docID() {
      return doc;
    }

    @Override
    public int nextDoc() throws IOException {
      return advance(doc + 1);
    }

    @Override
    public int advance(int target) {
      int next = target >= end - base ? NO_MORE_DOCS : set.nextSetBit(base + target);
      doc = next >= end ? NO_MORE_DOCS : next - base;
      return doc;
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
    return "set of " + cost;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof SetQuery query && cost == query.cost && set.equals(query.set);
  }

  @Override
  public int hashCode() {
    return Long.hashCode(cost);
  }
}
