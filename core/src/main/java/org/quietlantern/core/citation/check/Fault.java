package org.quietlantern.core.citation.check;

import java.util.Optional;

/**
 * Something that is wrong, or may be, in what would be printed of a work.
 *
 * @param sentence what is wrong, for people
 * @param field what of the work it is about; none for the work itself
 * @param mend what would stand there instead; empty where only a person can tell
 * @param certain whether the mend is right without looking
 */
public record Fault(
    Kind kind, String sentence, Optional<CitedField> field, String mend, boolean certain) {
  /** Sorts of faults, in the order in which they are told. */
  public enum Kind {
    RETRACTED("retracted"),
    CAPITALS("capitals"),
    MARKUP("signs of a page"),
    CASE("case of letters"),
    INITIALS("initials"),
    MISSING("missing"),
    PAGES("pages"),
    ORDER("order of authors"),
    BODY("an institution"),
    REPEATED("title repeated"),
    YEAR("year"),
    PREPRINT("preprint"),
    ABSTRACT_ONLY("abstract only"),
    CHANGED("changed since");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** In a word or two. */
    public String words() {
      return words;
    }
  }

  /** The same, to be looked at by a person. */
  Fault doubted() {
    return new Fault(kind, sentence, field, mend, false);
  }

  static Fault of(Kind kind, String sentence) {
    return new Fault(kind, sentence, Optional.empty(), "", false);
  }

  static Fault in(Kind kind, CitedField field, String sentence) {
    return new Fault(kind, sentence, Optional.of(field), "", false);
  }

  /** With a mend, which changes something. */
  static Fault mended(Kind kind, CitedField field, String sentence, String mend, boolean certain) {
    return new Fault(kind, sentence, Optional.of(field), mend, certain);
  }
}
