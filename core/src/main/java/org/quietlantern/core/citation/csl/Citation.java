package org.quietlantern.core.citation.csl;

import java.util.List;

/** A citation in the text; {@code note}: number of the foot- or endnote, 0 in the text itself. */
public record Citation(List<Cite> cites, int note) {
  public Citation {
    cites = List.copyOf(cites);
  }
}
