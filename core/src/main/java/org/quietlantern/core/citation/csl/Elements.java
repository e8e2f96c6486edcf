package org.quietlantern.core.citation.csl;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** What elements may come to: they and all within, through macros, each of those once. */
final class Elements {
  private Elements() {}

  static List<Element> all(List<Element> elements, Style style) {
    List<Element> found = new ArrayList<>();
    Deque<Element> open = new ArrayDeque<>(elements);
    Set<String> macros = new HashSet<>();
    while (!open.isEmpty()) {
      Element element = open.pop();
      found.add(element);
      inside(element, style, macros::add).forEach(open::push);
    }
    return found;
  }

  /** Names of the variables that they ask for. */
  static Set<String> variables(List<Element> elements, Style style) {
    Set<String> variables = new HashSet<>();
    all(elements, style).forEach(element -> variables.addAll(ofItself(element)));
    return variables;
  }

  /** Names of the variables that an element itself asks for. */
  static List<String> ofItself(Element element) {
    if (element instanceof Element.Text text) {
      return text.kind().equals("variable") ? List.of(text.of()) : List.of();
    }
    if (element instanceof Element.Numeral number) {
      return List.of(number.variable());
    }
    if (element instanceof Element.Date date) {
      return List.of(date.variable());
    }
    return element instanceof Element.Names names ? names.variables() : List.of();
  }

  private static List<Element> inside(Element element, Style style, Predicate<String> isNew) {
    if (element instanceof Element.Text text) {
      boolean opens = text.kind().equals("macro") && isNew.test(text.of());
      return opens ? style.macros().getOrDefault(text.of(), List.of()) : List.of();
    }
    if (element instanceof Element.Names names) {
      return names.substitute();
    }
    if (element instanceof Element.Group group) {
      return group.children();
    }
    Stream<Element.Branch> branches =
        element instanceof Element.Choose choose ? choose.branches().stream() : Stream.of();
    return branches.flatMap(branch -> branch.children().stream()).toList();
  }
}
