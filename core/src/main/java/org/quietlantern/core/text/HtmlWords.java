package org.quietlantern.core.text;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.quietlantern.core.publication.Text;

/** What a piece of HTML says, as plain text; nothing of it acts. */
public final class HtmlWords {
  private HtmlWords() {}

  /** One line; text without markup stays as it is. */
  public static String of(String html) {
    Document piece = Jsoup.parseBodyFragment(html);
    piece.select("script, style, template, noscript").remove();
    return Text.clean(piece.text());
  }
}
