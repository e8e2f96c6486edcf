package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import org.apache.lucene.index.LeafReaderContext;
import org.roaringbitmap.FastAggregation;
import org.roaringbitmap.RoaringBitmap;

/**
 * Documents of one state of the index, segment by segment, by their numbers in the segment. A set
 * is not changed: what is done with it makes another.
 */
final class DocSet {
  private final List<RoaringBitmap> segments;

  /** One set for each segment, in the order of the segments. */
  DocSet(List<RoaringBitmap> segments) {
    this.segments = segments;
  }

  /** What lies in one segment; not to be changed. */
  RoaringBitmap in(LeafReaderContext leaf) {
    return segments.get(leaf.ord);
  }

  int count() {
    int count = 0;
    for (RoaringBitmap segment : segments) {
      count += segment.getCardinality();
    }
    return count;
  }

  /** How many of these are in another set, too. */
  int countIn(DocSet other) {
    int count = 0;
    for (int i = 0; i < segments.size(); i++) {
      count += RoaringBitmap.andCardinality(segments.get(i), other.segments.get(i));
    }
    return count;
  }

  DocSet and(DocSet other) {
    return with(other, (a, b) -> RoaringBitmap.and(a, b));
  }

  DocSet andNot(DocSet other) {
    return with(other, (a, b) -> RoaringBitmap.andNot(a, b));
  }

  DocSet or(DocSet other) {
    return with(other, (a, b) -> RoaringBitmap.or(a, b));
  }

  private DocSet with(DocSet other, BinaryOperator<RoaringBitmap> both) {
    List<RoaringBitmap> result = new ArrayList<>(segments.size());
    for (int i = 0; i < segments.size(); i++) {
      result.add(both.apply(segments.get(i), other.segments.get(i)));
    }
    return new DocSet(result);
  }

  /** What is in any of some sets; of one at least. */
  static DocSet any(List<DocSet> sets) {
    return joined(sets, FastAggregation::or);
  }

  /** What is in all of some sets; of one at least. */
  static DocSet all(List<DocSet> sets) {
    return joined(sets, FastAggregation::and);
  }

  private static DocSet joined(
      List<DocSet> sets, Function<RoaringBitmap[], RoaringBitmap> joining) {
    if (sets.size() == 1) {
      return sets.get(0);
    }
    List<RoaringBitmap> result = new ArrayList<>();
    for (int i = 0; i < sets.get(0).segments.size(); i++) {
      int at = i;
      result.add(
          joining.apply(
              sets.stream().map(set -> set.segments.get(at)).toArray(RoaringBitmap[]::new)));
    }
    return new DocSet(result);
  }
}
