package org.quietlantern.core.text;

import org.quietlantern.core.publication.Copy;
import org.quietlantern.core.publication.VersionKind;

/**
 * A way to the text of a publication.
 *
 * @param address where it leads; empty for one that is asked for
 * @param use what is at the address
 * @param version of which version the text is
 * @param ground why it is one, in words, for people
 */
public record TextWay(What what, String address, Copy.Use use, VersionKind version, String ground) {
  /** Of which sort, in the order in which they are tried (rule T1). */
  public enum What {
    OPEN_COPY("open copy"),
    PUBLISHER("at the publisher"),
    VERSION("another version"),
    SHELF("on the shelf"),
    REQUEST("ask for a copy"),
    AUTHOR("write to the author");

    private final String word;

    What(String word) {
      this.word = word;
    }

    /** As people are told it. */
    public String word() {
      return word;
    }
  }
}
