package org.quietlantern.server.catalogue;

import java.util.SortedSet;
import org.quietlantern.server.platform.Hash;

/** Winning values as stored, with the hash by which a change is told from a repetition. */
record MergedFields(String fields, byte[] hash) {
  /** {@code sources}: row numbers of those that supply it; another set of them is a change. */
  static MergedFields of(String fields, SortedSet<Integer> sources) {
    return new MergedFields(fields, Hash.of(fields + sources));
  }
}
