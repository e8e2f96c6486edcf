package org.quietlantern.core.citation.csl;

/**
 * One work in a citation.
 *
 * @param label what the locator counts, {@code page}
 * @param suppressAuthor without the names, as after a sentence that has them
 * @param authorOnly the names alone
 */
public record Cite(
    String item,
    String locator,
    String label,
    String prefix,
    String suffix,
    boolean suppressAuthor,
    boolean authorOnly) {

  /** A work as it is. */
  public static Cite of(String item) {
    return new Cite(item, "", "", "", "", false, false);
  }
}
