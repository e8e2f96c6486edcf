package org.quietlantern.core.citation.csl;

/**
 * How the entries of a bibliography stand (specification, <i>Whitespace</i>).
 *
 * @param hangingIndent whether all lines but the first are indented
 * @param secondFieldAlign whether the first field stands in the margin
 * @param entrySpacing lines between entries
 * @param lineSpacing 1: single
 */
public record EntryLayout(
    boolean hangingIndent, boolean secondFieldAlign, int entrySpacing, int lineSpacing) {
  static EntryLayout of(Style style) {
    Attributes options = style.hasBibliography() ? style.bibliography().options() : Attributes.NONE;
    return new EntryLayout(
        options.is("hanging-indent"),
        options.has("second-field-align"),
        options.has("entry-spacing") ? options.number("entry-spacing") : 1,
        Math.max(1, options.number("line-spacing")));
  }
}
