package org.quietlantern.core.review;

import java.util.Locale;

/**
 * Something that can be said of a work, and makes it more or less like what a group keeps.
 *
 * @param what as it is shown: a word, the name of a heading, an author, a journal; of a reference
 *     the DOI of the cited work
 */
public record Trait(Kind kind, String what) {
  /** What it is, in the order in which reasons of the same weight are told. */
  public enum Kind {
    HEADING,
    AUTHOR,
    REFERENCE,
    JOURNAL,
    WORD;

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
