package org.quietlantern.core.reference;

/** What of a work a file shall have besides what it is cited by. */
public record Included(boolean abstracts, boolean keywords, boolean notes, boolean links) {
  public static final Included ALL = new Included(true, true, true, true);
}
