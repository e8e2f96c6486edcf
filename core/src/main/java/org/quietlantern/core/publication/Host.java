package org.quietlantern.core.publication;

/** Where a part appeared: the journal or book around it. Unknown parts are empty. */
public record Host(
    String title, String issn, String volume, String issue, String firstPage, String lastPage) {
  public static final Host NONE = new Host("", "", "", "", "", "");

  public boolean isKnown() {
    return !title.isEmpty();
  }
}
