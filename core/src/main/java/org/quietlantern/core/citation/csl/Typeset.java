package org.quietlantern.core.citation.csl;

import java.util.List;

/** A citation, or an entry of a bibliography, ready for whoever writes it down. */
public final class Typeset {
  private final Output finished;

  Typeset(Output finished) {
    this.finished = finished;
  }

  /** Whether the style prints nothing of the work. */
  public boolean isEmpty() {
    return Output.isEmpty(finished);
  }

  /** None for nothing. */
  public List<Block> blocks() {
    return RunWriter.write(finished);
  }

  /** Looks nested as they are in the style; blocks as {@code <div class="csl-…">}. */
  public String html() {
    return HtmlWriter.write(finished);
  }

  /** Without looks. */
  public String plain() {
    return Output.plain(finished);
  }
}
