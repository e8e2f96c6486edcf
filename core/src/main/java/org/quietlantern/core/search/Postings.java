package org.quietlantern.core.search;

import java.util.Arrays;
import org.roaringbitmap.IntConsumer;
import org.roaringbitmap.RoaringBitmap;
import org.roaringbitmap.RoaringBitmapWriter;

/**
 * Where a word, phrase or limit is met in a segment, and how strongly.
 *
 * @param docs not to be changed
 * @param strengths of the documents in their order, 0 to 65,535 for 0 to 1 (see {@link
 *     TermStrength}); empty where all are as strong
 */
@SuppressWarnings("ArrayRecordComponent")
record Postings(RoaringBitmap docs, char[] strengths) {
  private static final char[] ALL_AS_STRONG = {};
  private static final float STRONGEST = Character.MAX_VALUE;

  int bytes() {
    return docs.getSizeInBytes() + Character.BYTES * strengths.length;
  }

  /** Adds to the score of each document how strongly it is met, times the weight of the word. */
  void addTo(float[] scores, float weight) {
    if (strengths.length == 0) {
      IntConsumer all = doc -> scores[doc] += weight;
      docs.forEach(all);
    } else {
      Adding adding = new Adding(scores, weight / STRONGEST);
      IntConsumer each = adding::next;
      docs.forEach(each);
    }
  }

  private final class Adding {
    private final float[] scores;
    private final float each;
    private int at;

    Adding(float[] scores, float each) {
      this.scores = scores;
      this.each = each;
    }

    void next(int doc) {
      scores[doc] += each * strengths[at++];
    }
  }

  /** Takes documents in their order. */
  static final class Builder {
    private final RoaringBitmapWriter<RoaringBitmap> docs =
        RoaringBitmapWriter.writer().constantMemory().runCompress(false).get();
    private char[] strengths = ALL_AS_STRONG;
    private int size;

    void add(int doc) {
      docs.add(doc);
    }

    void add(int doc, float strength) {
      docs.add(doc);
      if (size == strengths.length) {
        strengths = Arrays.copyOf(strengths, Math.max(64, 2 * size));
      }
      strengths[size++] = (char) (strength * STRONGEST);
    }

    Postings build() {
      return new Postings(docs.get(), Arrays.copyOf(strengths, size));
    }
  }
}
