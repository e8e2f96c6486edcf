package org.quietlantern.standins.oai;

/** Text as it stands in XML. */
final class XmlText {
  private XmlText() {}

  static String escape(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }

  /** An element without attributes; nothing at all where there is no text. */
  static String element(String name, String text) {
    return text.isEmpty() ? "" : "<%s>%s</%s>".formatted(name, escape(text), name);
  }
}
