package org.quietlantern.core.reference;

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

  /** What stands behind all entries. */
  default String end() {
    return "";
  }
}
