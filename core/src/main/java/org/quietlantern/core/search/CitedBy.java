package org.quietlantern.core.search;

import java.io.IOException;
import java.util.Locale;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.util.Bits;

/** How often each document of one state is cited by others of it. */
final class CitedBy {
  private final int[] counts;

  private CitedBy(int[] counts) {
    this.counts = counts;
  }

  /** Of a document by its number in the whole reader. */
  int count(int doc) {
    return counts[doc];
  }

  /**
   * 64 bits of a DOI in lower case (FNV-1a); two of a million DOIs share one once in 37 million.
   */
  static long hash(String doi) {
    long hash = 0xcbf29ce484222325L;
    String lower = doi.toLowerCase(Locale.ROOT);
    for (int i = 0; i < lower.length(); i++) {
      hash = (hash ^ lower.charAt(i)) * 0x100000001b3L;
    }
    return hash == 0 ? 1 : hash;
  }

  static CitedBy of(IndexReader reader) throws IOException {
    LongCounts known = new LongCounts(reader.maxDoc());
    for (LeafReaderContext leaf : reader.leaves()) {
      NumericDocValues own = leaf.reader().getNumericDocValues(IndexFields.DOI_HASH);
      while (own != null && own.nextDoc() != NumericDocValues.NO_MORE_DOCS) {
        known.know(own.longValue());
      }
    }
    for (LeafReaderContext leaf : reader.leaves()) {
      count(leaf, known);
    }
    int[] counts = new int[reader.maxDoc()];
    for (LeafReaderContext leaf : reader.leaves()) {
      NumericDocValues own = leaf.reader().getNumericDocValues(IndexFields.DOI_HASH);
      while (own != null && own.nextDoc() != NumericDocValues.NO_MORE_DOCS) {
        counts[leaf.docBase + own.docID()] = known.count(own.longValue());
      }
    }
    return new CitedBy(counts);
  }

  private static void count(LeafReaderContext leaf, LongCounts known) throws IOException {
    SortedNumericDocValues cites = leaf.reader().getSortedNumericDocValues(IndexFields.CITES);
    Bits live = leaf.reader().getLiveDocs();
    while (cites != null && cites.nextDoc() != SortedNumericDocValues.NO_MORE_DOCS) {
      if (live == null || live.get(cites.docID())) {
        for (int i = cites.docValueCount(); i > 0; i--) {
          known.add(cites.nextValue());
        }
      }
    }
  }

  /** Counts by number, for numbers made known before; open addressing. */
  private static final class LongCounts {
    private final long[] keys;
    private final int[] counts;

    LongCounts(int most) {
      int size = Math.max(16, Integer.highestOneBit(most * 2 + 1) * 2);
      keys = new long[size];
      counts = new int[size];
    }

    void know(long key) {
      keys[place(key)] = key;
    }

    void add(long key) {
      int place = place(key);
      if (keys[place] == key) {
        counts[place]++;
      }
    }

    int count(long key) {
      return counts[place(key)];
    }

    private int place(long key) {
      int at = (int) ((key * 0x9E3779B97F4A7C15L) >>> 32) & (keys.length - 1);
      while (keys[at] != 0 && keys[at] != key) {
        at = (at + 1) & (keys.length - 1);
      }
      return at;
    }
  }
}
