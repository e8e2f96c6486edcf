package org.quietlantern.core.holdings;

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
}
