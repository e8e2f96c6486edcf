package org.quietlantern.core.citation.csl;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Which variables elements ask for. */
final class Variables {
  private static final int DEEPEST = 100;

  private Variables() {}

  /** Those that are found in an item. */
  static Set<String> of(Element element, Situation situation) {
    Set<String> all = new HashSet<>();
    collect(List.of(element), situation.style(), all, 0);
    all.removeIf(variable -> !situation.item().has(variable));
    return all;
  }

  static Set<String> of(List<Element> elements, Style style) {
    Set<String> all = new HashSet<>();
    collect(elements, style, all, 0);
    return all;
  }

  private static void collect(List<Element> elements, Style style, Set<String> into, int deep) {
    if (deep > DEEPEST) {
      return;
    }
    for (Element element : elements) {
      if (element instanceof Element.Text text && text.kind().equals("variable")) {
        into.add(text.of());
      } else if (element instanceof Element.Text text && text.kind().equals("macro")) {
        collect(style.macros().getOrDefault(text.of(), List.of()), style, into, deep + 1);
      } else if (element instanceof Element.Numeral number) {
        into.add(number.variable());
      } else if (element instanceof Element.Date date) {
        into.add(date.variable());
      } else if (element instanceof Element.Names names) {
        into.addAll(names.variables());
        collect(names.substitute(), style, into, deep + 1);
      } else if (element instanceof Element.Group group) {
        collect(group.children(), style, into, deep + 1);
      } else if (element instanceof Element.Choose choose) {
        choose.branches().forEach(branch -> collect(branch.children(), style, into, deep + 1));
      }
    }
  }
}
