package org.quietlantern.standins.corpus;

import java.util.List;

/** A heading of the vocabulary on a work; {@code central} where the work is mainly about it. */
public record Topic(String label, boolean central, List<String> aspects) {
  public Topic {
    aspects = List.copyOf(aspects);
  }

  /** A name for it that stays the same. */
  public String uri() {
    return Headings.uri(label);
  }
}
