package org.quietlantern.server.citing;

import org.quietlantern.core.citation.shelf.StyleInfo;

/**
 * A citation style; its edition stands in the title.
 *
 * @param format {@code author-date}, {@code numeric}, {@code note} …; empty if unsaid
 * @param checked whether what comes out was compared by hand with the published rules
 */
public record StyleShown(String name, String title, String format, boolean checked) {
  static StyleShown of(StyleInfo info) {
    return new StyleShown(info.name(), info.title(), info.format(), info.isChecked());
  }
}
