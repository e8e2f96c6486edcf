package org.quietlantern.core.text;

import org.jsoup.parser.Parser;

/** What pages of the web write for letters (HTML, <i>Named character references</i>). */
public final class HtmlSigns {
  private HtmlSigns() {}

  /** The letters that a text means: <code>&amp;amp;</code> is an ampersand. */
  public static String read(String text) {
    return Parser.unescapeEntities(text, false);
  }
}
