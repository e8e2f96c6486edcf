package org.quietlantern.core.citation.csl;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Markup in fields: italics, bold, small capitals, raised and lowered, and what keeps its case. */
final class Markup {
  static final String NO_CASE = "nocase";
  static final String NO_DECORATION = "nodecor";
  private static final Pattern TAG =
      Pattern.compile(
          "<(i|b|sup|sub|sc)>|<span style=\"font-variant: ?small-caps;?\">"
              + "|<span class=\"(nocase|nodecor)\">|</(i|b|sup|sub|sc|span)>");

  private static final Map<String, String> DECORATIONS =
      Map.of(
          "i", "font-style=italic",
          "b", "font-weight=bold",
          "sup", "vertical-align=sup",
          "sub", "vertical-align=sub",
          "sc", "font-variant=small-caps");

  private Markup() {}

  /** Tags that have no partner stay words. */
  static Output.Span read(String text) {
    Output.Span root = Output.span();
    root.isField = true;
    Deque<Output.Span> open = new ArrayDeque<>();
    Deque<String> names = new ArrayDeque<>();
    open.push(root);
    Matcher tag = TAG.matcher(text);
    int at = 0;
    while (tag.find()) {
      String end = tag.group(3);
      boolean opens = end == null && closes(text, tag);
      boolean closes = end != null && end.equals(names.peek());
      if (!opens && !closes) {
        continue;
      }
      words(open.element(), text.substring(at, tag.start()));
      at = tag.end();
      if (opens) {
        Output.Span span = span(tag);
        open.element().add(span);
        open.push(span);
        names.push(tag.group(1) == null ? "span" : tag.group(1));
      } else {
        open.pop();
        names.pop();
      }
    }
    words(open.element(), text.substring(at));
    return root;
  }

  private static boolean closes(String text, Matcher tag) {
    String name = tag.group(1) == null ? "span" : tag.group(1);
    return text.indexOf("</" + name + ">", tag.end()) >= 0;
  }

  private static Output.Span span(Matcher tag) {
    if (tag.group(2) != null) {
      return new Output.Span(List.of(tag.group(2)), "", true);
    }
    String name = tag.group(1) == null ? "sc" : tag.group(1);
    return new Output.Span(List.of(DECORATIONS.get(name)), "", true);
  }

  private static void words(Output.Span into, String text) {
    if (!text.isEmpty()) {
      into.add(Output.field(text));
    }
  }
}
