package org.quietlantern.core.newsfeed;

import java.nio.charset.StandardCharsets;

/** How deep a document is nested, by its tags alone, in any encoding that has those of ASCII. */
final class Nesting {
  private final String text;
  private int at;

  private Nesting(byte[] bytes) {
    // Letters of UTF-16 have a zero beside them.
    text = new String(bytes, StandardCharsets.ISO_8859_1).replace("\0", "");
  }

  static int deepest(byte[] bytes) {
    return new Nesting(bytes).deepest();
  }

  private int deepest() {
    int depth = 0;
    int deepest = 0;
    at = text.indexOf('<');
    while (at >= 0) {
      if (text.startsWith("<![CDATA[", at)) {
        skip("]]>");
      } else if (text.startsWith("<!--", at)) {
        skip("-->");
      } else {
        boolean closes = text.startsWith("</", at);
        boolean isTag = !text.startsWith("<!", at) && !text.startsWith("<?", at);
        skip(">");
        boolean isEmpty = at > 1 && text.charAt(at - 2) == '/';
        depth += !isTag || isEmpty ? 0 : closes ? -1 : 1;
        deepest = Math.max(deepest, depth);
      }
      at = text.indexOf('<', at);
    }
    return deepest;
  }

  /** Behind an end; to the end of all where there is none. */
  private void skip(String end) {
    int found = text.indexOf(end, at);
    at = found < 0 ? text.length() : found + end.length();
  }
}
