package org.quietlantern.core.query;

/** Where something stands in typed text. Half-open, in UTF-16 code units from 0. */
public record Span(int start, int end) {
  public Span {
    if (start < 0 || end < start) {
      throw new IllegalArgumentException("bad span [" + start + ", " + end + ")");
    }
  }

  /** The smallest span that holds both. */
  public Span upTo(Span other) {
    return new Span(Math.min(start, other.start), Math.max(end, other.end));
  }

  /** The place as people count it: from 1. */
  public int column() {
    return start + 1;
  }
}
