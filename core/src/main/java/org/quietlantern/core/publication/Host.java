package org.quietlantern.core.publication;

/** Where a part appeared: the journal or book around it. Unknown parts are empty. */
public record Host(
    String title, String issn, String volume, String issue, String firstPage, String lastPage) {
  public static final Host NONE = new Host("", "", "", "", "", "");

  /** First and last page with a sign between them; one page alone. */
  public String pages(String between) {
    return lastPage.isEmpty() || lastPage.equals(firstPage)
        ? firstPage
        : firstPage + between + lastPage;
  }

  public boolean isKnown() {
    return !title.isEmpty();
  }
}
