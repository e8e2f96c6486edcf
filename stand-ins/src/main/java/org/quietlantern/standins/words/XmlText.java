package org.quietlantern.standins.words;

/** Text as it stands in XML and HTML. */
public final class XmlText {
  private XmlText() {}

  public static String escape(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }

  /** An element without attributes; nothing at all where there is no text. */
  public static String element(String name, String text) {
    return text.isEmpty() ? "" : "<%s>%s</%s>".formatted(name, escape(text), name);
  }
}
