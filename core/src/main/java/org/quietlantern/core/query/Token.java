package org.quietlantern.core.query;

/** A piece of a typed line. {@code text} is what stands there, without quotation marks. */
record Token(Kind kind, String text, Span span) {
  enum Kind {
    WORD,
    PHRASE,
    FIELD,
    OPEN,
    CLOSE,
    AND,
    OR,
    NOT,
    END
  }

  boolean is(Kind wanted) {
    return kind == wanted;
  }

  /** A field with something between its name and its colon: {@code heading/narrower:}. */
  boolean isHeading() {
    return is(Kind.FIELD) && text.indexOf('/') > 0;
  }

  boolean joins() {
    return is(Kind.AND) || is(Kind.OR) || is(Kind.NOT);
  }

  boolean startsUnit() {
    return is(Kind.WORD) || is(Kind.PHRASE) || is(Kind.FIELD) || is(Kind.OPEN);
  }
}
