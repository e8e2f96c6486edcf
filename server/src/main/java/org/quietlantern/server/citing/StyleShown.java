package org.quietlantern.server.citing;

import org.quietlantern.core.citation.shelf.StyleInfo;

/**
 * A citation style; its edition stands in the title.
 *
 * @param format {@code author-date}, {@code numeric}, {@code note} …; empty if unsaid
 */
public record StyleShown(String name, String title, String format) {
  static StyleShown of(StyleInfo info) {
    return new StyleShown(info.name(), info.title(), info.format());
  }
}
