package org.quietlantern.core.citation.csl;

import java.util.List;

/** A part of an entry of a bibliography (specification, <i>Display</i>). */
public record Block(Display display, List<Run> runs) {
  public Block {
    runs = List.copyOf(runs);
  }

  /** Where a part stands. */
  public enum Display {
    /** In the line, as all that says nothing else. */
    LINE,
    /** On lines of its own. */
    BLOCK,
    /** In the margin, beside what comes next: a number. */
    LEFT_MARGIN,
    /** Beside what stands in the margin. */
    RIGHT_INLINE,
    /** On lines of its own, indented. */
    INDENT;

    /** Whether a line begins with it. */
    public boolean beginsLine() {
      return this == BLOCK || this == INDENT;
    }
  }

  /** Without looks. */
  public String plain() {
    StringBuilder text = new StringBuilder();
    runs.forEach(run -> text.append(run.text()));
    return text.toString();
  }
}
