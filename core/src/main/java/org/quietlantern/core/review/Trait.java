package org.quietlantern.core.review;

/**
 * Something that can be said of a work, and makes it more or less like what a group keeps.
 *
 * @param what as it is shown: a word, the name of a heading, an author, a journal; of a reference
 *     how the cited work is called
 */
public record Trait(Kind kind, String what) {
  /** What it is, in the order in which reasons of the same weight are told. */
  public enum Kind {
    HEADING,
    AUTHOR,
    REFERENCE,
    JOURNAL,
    WORD
  }
}
