package org.quietlantern.core.search;

import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.FieldComparator;
import org.apache.lucene.search.FieldComparatorSource;
import org.apache.lucene.search.Pruning;
import org.apache.lucene.search.SimpleFieldComparator;

/** Sorts by how often a document is cited, least first. */
final class CitedOrder extends FieldComparatorSource {
  private final CitedBy citedBy;

  CitedOrder(CitedBy citedBy) {
    this.citedBy = citedBy;
  }

  @Override
  public FieldComparator<?> newComparator(
      String field, int hits, Pruning pruning, boolean reversed) {
    return new Comparing(hits);
  }

  private final class Comparing extends SimpleFieldComparator<Integer> {
    private final int[] slots;
    private int base;
    private int bottom;
    private int top;

    Comparing(int hits) {
      slots = new int[hits];
    }

    @Override
    protected void doSetNextReader(LeafReaderContext leaf) {
      base = leaf.docBase;
    }

    @Override
    public int compare(int one, int other) {
      return Integer.compare(slots[one], slots[other]);
    }

    @Override
    public void setTopValue(Integer value) {
      top = value;
    }

    @Override
    public Integer value(int slot) {
      return slots[slot];
    }

    @Override
    public void setBottom(int slot) {
      bottom = slots[slot];
    }

    @Override
    public int compareBottom(int doc) {
      return Integer.compare(bottom, citedBy.count(base + doc));
    }

    @Override
    public int compareTop(int doc) {
      return Integer.compare(top, citedBy.count(base + doc));
    }

    @Override
    public void copy(int slot, int doc) {
      slots[slot] = citedBy.count(base + doc);
    }
  }
}
