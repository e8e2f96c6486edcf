package org.quietlantern.core.citation.csl;

import java.util.HashMap;
import java.util.Map;

/** Writes what is rendered as HTML. */
final class HtmlWriter {
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
    writer.write(output, Map.of());
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

  /** {@code now}: what is in effect, by its kind. */
  private void write(Output output, Map<String, String> now) {
    if (output instanceof Output.Words words) {
      html.append(escaped(words.text));
      return;
    }
    Output.Span span = (Output.Span) output;
    if (Output.isEmpty(span)) {
      return;
    }
    Map<String, String> inside = new HashMap<>(now);
    StringBuilder ends = new StringBuilder();
    if (!span.display.isEmpty()) {
      open("display=" + span.display, ends);
    }
    for (String decoration : span.decorations) {
      String kind = decoration.replaceFirst("=.*", "");
      String value = decoration.replaceFirst(".*=", "");
      if (decoration.equals(Markup.NO_DECORATION)) {
        inside.entrySet().stream()
            .filter(one -> !one.getValue().equals("normal"))
            .forEach(
                one -> {
                  open(one.getKey() + "=normal", ends);
                  one.setValue("normal");
                });
      }
      if (decoration.equals(kind)) {
        continue;
      }
      // Within the same, what is marked in a field stands out by being plain.
      boolean turns = span.ofField && value.equals(inside.get(kind));
      String shown = turns && !kind.equals("vertical-align") ? "normal" : value;
      boolean needless = shown.equals("normal") && !inside.containsKey(kind);
      if (needless || (!span.ofField && shown.equals(inside.get(kind)))) {
        continue;
      }
      inside.put(kind, shown);
      open(kind + "=" + shown, ends);
    }
    span.children.forEach(child -> write(child, inside));
    html.append(ends);
  }

  private void open(String what, StringBuilder ends) {
    String[] tags = TAGS.get(what);
    if (tags != null) {
      html.append(tags[0]);
      ends.insert(0, tags[1]);
    }
  }

  private static String escaped(String text) {
    return text.replace("&", "&#38;").replace("<", "&#60;").replace(">", "&#62;");
  }
}
