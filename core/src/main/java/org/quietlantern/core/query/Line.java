package org.quietlantern.core.query;

/**
 * One line of a strategy. Limits and held strategies join the kinds when the sheet can show them.
 */
public sealed interface Line {
  /** Unique inside its strategy, and kept when the line is edited or moved. */
  String id();

  /** Switched off: stays on the sheet, searches nothing. */
  boolean off();

  /** Text as it was typed; everything else about the line is derived from it. */
  record Words(String id, String text, boolean off) implements Line {
    public Words {
      if (id.isBlank() || id.length() > 40) {
        throw new IllegalArgumentException("bad line id: " + id);
      }
    }

    public Parsed parsed() {
      return Parser.parse(text);
    }
  }
}
