package org.quietlantern.server.citing;

/**
 * How works are cited.
 *
 * @param style name of one that ships
 * @param language {@code en-GB}; empty: the style's own
 */
public record StyleChoice(String style, String language) {
  /** Nothing is chosen. */
  public static final StyleChoice NONE = new StyleChoice("", "");

  /** The other where nothing is said here. */
  public StyleChoice or(StyleChoice other) {
    return style.isEmpty()
        ? new StyleChoice(other.style(), language.isEmpty() ? other.language() : language)
        : this;
  }
}
