package org.quietlantern.core.search;

import java.util.function.IntPredicate;

/**
 * The values of one property in one segment, as numbers of a {@link ValueTable}.
 *
 * @param starts where each document's values begin in {@code values}, with the end as a last entry;
 *     null where each document has one value at most, -1 for none
 */
@SuppressWarnings("ArrayRecordComponent")
record Column(int[] starts, int[] values) {

  /** What is done with the value of a document. */
  interface Taking {
    void take(int value);
  }

  boolean isEmpty(int doc) {
    return starts == null ? values[doc] < 0 : starts[doc] == starts[doc + 1];
  }

  /** The first value of a document, -1 where it has none. */
  int one(int doc) {
    return starts == null ? values[doc] : isEmpty(doc) ? -1 : values[starts[doc]];
  }

  void each(int doc, Taking taking) {
    if (starts == null) {
      if (values[doc] >= 0) {
        taking.take(values[doc]);
      }
      return;
    }
    for (int i = starts[doc]; i < starts[doc + 1]; i++) {
      taking.take(values[i]);
    }
  }

  boolean any(int doc, IntPredicate test) {
    if (starts == null) {
      return values[doc] >= 0 && test.test(values[doc]);
    }
    for (int i = starts[doc]; i < starts[doc + 1]; i++) {
      if (test.test(values[i])) {
        return true;
      }
    }
    return false;
  }
}
