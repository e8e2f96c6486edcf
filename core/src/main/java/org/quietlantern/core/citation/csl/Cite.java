package org.quietlantern.core.citation.csl;

/**
 * One work in a citation.
 *
 * @param label what the locator counts, {@code page}
 * @param suppressAuthor without the names, as after a sentence that has them
 */
public record Cite(
    String item,
    String locator,
    String label,
    String prefix,
    String suffix,
    boolean suppressAuthor) {
  public Cite {
    // Some write terms with spaces, some with dashes; locale files do so with dashes.
    label = label.strip().replace(' ', '-');
  }

  /** A work as it is. */
  public static Cite of(String item) {
    return new Cite(item, "", "", "", "", false);
  }

  Cite withoutAuthor() {
    return new Cite(item, locator, label, prefix, suffix, true);
  }
}
