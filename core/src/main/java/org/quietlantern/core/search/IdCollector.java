package org.quietlantern.core.search;

import java.io.IOException;
import java.util.Collection;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.search.CollectorManager;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.SimpleCollector;
import org.roaringbitmap.RoaringBitmap;

/** Collects row numbers from doc values. */
final class IdCollector extends SimpleCollector {
  private final RoaringBitmap ids = new RoaringBitmap();
  private NumericDocValues values;

  @Override
  protected void doSetNextReader(LeafReaderContext context) throws IOException {
    values = DocValues.getNumeric(context.reader(), IndexFields.ID);
  }

  @Override
  public void collect(int doc) throws IOException {
    if (!values.advanceExact(doc)) {
      throw new IllegalStateException("a document without a row number");
    }
    ids.add((int) values.longValue());
  }

  @Override
  public ScoreMode scoreMode() {
    return ScoreMode.COMPLETE_NO_SCORES;
  }

  RoaringBitmap ids() {
    return ids;
  }

  /** One collector a slice, united at the end. */
  static final class Manager implements CollectorManager<IdCollector, RoaringBitmap> {
    @Override
    public IdCollector newCollector() {
      return new IdCollector();
    }

    @Override
    public RoaringBitmap reduce(Collection<IdCollector> collectors) {
      return RoaringBitmap.or(collectors.stream().map(c -> c.ids).iterator());
    }
  }
}
