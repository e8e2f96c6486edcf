package org.quietlantern.core.reference;

import java.util.List;
import java.util.stream.Collectors;

/** Writes a file of references, entry by entry. */
public interface ReferenceWriter {
  /** What stands before all entries. */
  default String begin() {
    return "";
  }

  String entry(Reference reference);

  /** What stands between two entries. */
  default String between() {
    return "";
  }

  /** A whole file of a few. */
  default String file(List<Reference> references) {
    return references.stream()
        .map(this::entry)
        .collect(Collectors.joining(between(), begin(), end(references.size())));
  }

  /** What stands behind all entries: how many there are, where the format has room for it. */
  default String end(int entries) {
    return "";
  }
}
