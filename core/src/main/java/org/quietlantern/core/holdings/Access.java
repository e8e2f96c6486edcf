package org.quietlantern.core.holdings;

import java.util.Arrays;

/** How a group comes to a publication (rule L7); the first that holds is the one. */
public enum Access {
  OPEN("open to all"),
  HELD("yours to read"),
  REQUEST("by request"),
  ABSTRACT("abstract only"),
  NONE("no way known");

  private final String word;

  Access(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }

  /** Whether the text can be read at once. */
  public boolean isReadable() {
    return this == OPEN || this == HELD;
  }

  /** The same of a word as it is shown. */
  public static boolean isReadable(String word) {
    return Arrays.stream(values()).anyMatch(one -> one.isReadable() && one.word.equals(word));
  }
}
