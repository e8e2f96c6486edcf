package org.quietlantern.core.citation.csl;

import java.util.List;
import java.util.Map;

/**
 * A style, compiled.
 *
 * @param note whether citations are notes
 * @param options at the root
 * @param locales that change terms of those that ship, by language; empty: all
 * @param missing what it uses that is not done here, in words
 */
public record Style(
    boolean note,
    String defaultLocale,
    Attributes options,
    Map<String, List<Element>> macros,
    Layout citation,
    Layout bibliography,
    List<LocaleData> locales,
    List<String> missing) {

  /** What a citation or the bibliography is made of; {@code options}: with the root's. */
  record Layout(
      Attributes options,
      List<Key> sort,
      List<Element> children,
      String delimiter,
      Formatting formatting) {}

  /** Of {@code macro} and {@code variable} one is empty. */
  record Key(String macro, String variable, boolean descending, Attributes options) {}

  public boolean hasBibliography() {
    return bibliography != null;
  }

  /** Whether a layout says itself where the letter behind the year stands. */
  boolean saysYearSuffix(Layout layout) {
    return Elements.variables(layout.children(), this).contains("year-suffix");
  }
}
