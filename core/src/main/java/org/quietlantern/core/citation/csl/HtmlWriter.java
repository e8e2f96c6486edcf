package org.quietlantern.core.citation.csl;

import java.util.Map;

/** Writes what is rendered as HTML, with the looks nested as they are in the style. */
final class HtmlWriter extends LookWalk {
  private static final String[] NONE = {"", ""};
  private static final Map<String, String[]> TAGS =
      Map.ofEntries(
          Map.entry("font-style=italic", tag("i")),
          Map.entry("font-style=oblique", styled("font-style:oblique")),
          Map.entry("font-style=normal", styled("font-style:normal")),
          Map.entry("font-variant=small-caps", styled("font-variant:small-caps")),
          Map.entry("font-variant=normal", styled("font-variant:normal")),
          Map.entry("font-weight=bold", tag("b")),
          Map.entry("font-weight=light", styled("font-weight:light")),
          Map.entry("font-weight=normal", styled("font-weight:normal")),
          Map.entry("text-decoration=underline", styled("text-decoration:underline")),
          Map.entry("text-decoration=none", styled("text-decoration:none")),
          Map.entry("vertical-align=sup", tag("sup")),
          Map.entry("vertical-align=sub", tag("sub")),
          Map.entry(
              "vertical-align=baseline", new String[] {"<span style=\"baseline\">", "</span>"}),
          Map.entry("display=block", block("csl-block")),
          Map.entry("display=left-margin", block("csl-left-margin")),
          Map.entry("display=right-inline", block("csl-right-inline")),
          Map.entry("display=indent", block("csl-indent")));

  private final StringBuilder html = new StringBuilder();

  private HtmlWriter() {}

  static String write(Output output) {
    HtmlWriter writer = new HtmlWriter();
    writer.walk(output);
    return writer.html.toString();
  }

  private static String[] tag(String name) {
    return new String[] {"<" + name + ">", "</" + name + ">"};
  }

  private static String[] styled(String style) {
    return new String[] {"<span style=\"" + style + ";\">", "</span>"};
  }

  private static String[] block(String name) {
    return new String[] {"<div class=\"" + name + "\">", "</div>"};
  }

  @Override
  void words(String text) {
    html.append(text.replace("&", "&#38;").replace("<", "&#60;").replace(">", "&#62;"));
  }

  @Override
  void begin(String kind, String value) {
    html.append(TAGS.getOrDefault(kind + "=" + value, NONE)[0]);
  }

  @Override
  void end(String kind, String value) {
    html.append(TAGS.getOrDefault(kind + "=" + value, NONE)[1]);
  }
}
