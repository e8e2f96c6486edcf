package org.quietlantern.core.search;

import java.io.IOException;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.search.TwoPhaseIterator;
import org.roaringbitmap.RoaringBitmap;

/** The publications of which a text matches, whatever in it does. */
final class TextsQuery extends WalkQuery {
  /** What is met in a text alone comes behind what is met in a title or an abstract. */
  private static final float STRENGTH = 0.2f;

  /** Row numbers. */
  private final RoaringBitmap publications;

  private final int hash;

  TextsQuery(RoaringBitmap publications) {
    super(STRENGTH);
    this.publications = publications;
    this.hash = publications.hashCode();
  }

  @Override
  TwoPhaseIterator walk(LeafReaderContext leaf) throws IOException {
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
