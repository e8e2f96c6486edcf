package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;

/**
 * Joins cites, with those of the same names or consecutive numbers together (<i>Cite
 * Collapsing</i>).
 */
final class Collapsing {
  private final String collapse;
  private final String delimiter;
  private final Attributes options;

  /** A cite as it is rendered, and as it is without its names, which only collapsing asks for. */
  record One(Cite cite, Situation situation, Renderer whole, Renderer rest) {
    String names() {
      return whole.firstNames() == null ? "" : Output.plain(whole.firstNames());
    }

    Output output() {
      return whole.result();
    }
  }

  Collapsing(Style style) {
    this.options = style.citation().options();
    this.collapse = options.get("collapse");
    this.delimiter = style.citation().delimiter();
  }

  Output joined(List<One> all) {
    if (collapse.equals("citation-number")) {
      return numbers(all);
    }
    boolean groups = !collapse.isEmpty() || options.has("cite-group-delimiter");
    List<List<One>> grouped = groups ? grouped(all) : all.stream().map(List::of).toList();
    Output.Span span = Output.span();
    Cite last = null;
    boolean collapsed = false;
    for (List<One> group : grouped) {
      if (!span.children.isEmpty()) {
        String after = options.get("after-collapse-delimiter", delimiter);
        span.add(Output.style(between(last, group.get(0).cite(), collapsed ? after : delimiter)));
      }
      last = group.get(group.size() - 1).cite();
      collapsed = group.size() > 1 && !collapse.isEmpty();
      span.add(group(group));
    }
    return span;
  }

  /** Where whoever cites has written punctuation, there is no other. */
  private static String between(Cite last, Cite next, String delimiter) {
    if (next.prefix().matches("[,;:.].*")) {
      return "";
    }
    return last.suffix().matches(".*[,;:]\\s*") ? " " : delimiter;
  }

  /** Those with the same names stand beside the first of them. */
  private List<List<One>> grouped(List<One> all) {
    List<List<One>> groups = new ArrayList<>();
    for (One one : all) {
      List<One> mine =
          groups.stream()
              .filter(
                  group ->
                      (!one.names().isEmpty() || collapse.startsWith("year-suffix"))
                          && group.get(0).names().equals(one.names()))
              .findFirst()
              .orElse(null);
      if (mine == null) {
        mine = new ArrayList<>();
        groups.add(mine);
      }
      mine.add(one);
    }
    return groups;
  }

  private Output group(List<One> group) {
    Output.Span span = Output.span();
    String between =
        options.get(
            "cite-group-delimiter", collapse.matches("year|year-suffix") ? ", " : delimiter);
    String suffixes =
        options.get("year-suffix-delimiter", options.get("cite-group-delimiter", delimiter));
    One last = null;
    for (int i = 0; i < group.size(); i++) {
      One one = group.get(i);
      boolean bare = last != null && collapse.startsWith("year-suffix") && sameYear(last, one);
      int end = bare && collapse.equals("year-suffix-ranged") ? rangeEnd(group, i) : i;
      if (last != null && end > i) {
        span.add(Output.style("–"));
        span.add(Output.style(group.get(end).situation().settled().yearSuffix));
        i = end;
        last = group.get(end);
        continue;
      }
      boolean empty =
          last != null && !bare && !collapse.isEmpty() && Output.isEmpty(one.rest().result());
      if (empty) {
        continue;
      }
      if (last != null) {
        boolean located = !last.cite().locator().isEmpty() && !collapse.isEmpty();
        String after = options.get("after-collapse-delimiter", between);
        span.add(Output.style(bare ? suffixes : located ? after : between));
      }
      Output words =
          last == null || collapse.isEmpty()
              ? one.output()
              : bare ? Output.style(one.situation().settled().yearSuffix) : one.rest().result();
      span.add(around(one.cite(), words));
      last = one;
    }
    return span;
  }

  private static boolean sameYear(One one, One other) {
    return !one.situation().settled().yearSuffix.isEmpty()
        && !other.situation().settled().yearSuffix.isEmpty()
        && withoutSuffix(one).equals(withoutSuffix(other))
        && one.cite().locator().isEmpty()
        && other.cite().locator().isEmpty();
  }

  private static String withoutSuffix(One one) {
    String text = Output.plain(one.rest().result());
    String suffix = one.situation().settled().yearSuffix;
    int at = text.lastIndexOf(suffix);
    return at < 0 ? text : text.substring(0, at) + text.substring(at + suffix.length());
  }

  /** The last of those whose letters follow each other, where they are three or more. */
  private static int rangeEnd(List<One> group, int from) {
    int end = from;
    while (end + 1 < group.size()
        && sameYear(group.get(end), group.get(end + 1))
        && follows(group.get(end), group.get(end + 1))) {
      end++;
    }
    boolean joins = from > 0 && follows(group.get(from - 1), group.get(from));
    return joins && end > from ? end : from;
  }

  private static boolean follows(One one, One next) {
    return Letters.number(next.situation().settled().yearSuffix)
        == Letters.number(one.situation().settled().yearSuffix) + 1;
  }

  static Output around(Cite cite, Output words) {
    if (cite.prefix().isEmpty() && cite.suffix().isEmpty()) {
      return words;
    }
    Output.Span span = Output.span();
    if (!cite.prefix().isEmpty()) {
      span.add(Markup.read(cite.prefix()));
    }
    span.add(words);
    if (!cite.suffix().isEmpty()) {
      span.add(Markup.read(cite.suffix()));
    }
    return span;
  }

  private Output numbers(List<One> all) {
    Output.Span span = Output.span();
    int at = 0;
    while (at < all.size()) {
      int end = at;
      while (end + 1 < all.size() && consecutive(all.get(end), all.get(end + 1))) {
        end++;
      }
      if (at > 0) {
        span.add(Output.style(delimiter));
      }
      span.add(around(all.get(at).cite(), all.get(at).output()));
      if (end - at > 1) {
        span.add(Output.style("–"));
        span.add(around(all.get(end).cite(), all.get(end).output()));
        at = end;
      }
      at++;
    }
    return span;
  }

  private static boolean consecutive(One one, One next) {
    return next.situation().number() == one.situation().number() + 1
        && plain(one.cite())
        && plain(next.cite());
  }

  private static boolean plain(Cite cite) {
    return cite.locator().isEmpty() && cite.prefix().isEmpty() && cite.suffix().isEmpty();
  }
}
