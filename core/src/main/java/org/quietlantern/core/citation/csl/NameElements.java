package org.quietlantern.core.citation.csl;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** The {@code names} that a citation may come to. */
final class NameElements {
  private NameElements() {}

  static boolean initialize(Style style) {
    return all(style).stream().anyMatch(names -> names.options().has("initialize-with"));
  }

  private static List<Element.Names> all(Style style) {
    List<Element.Names> found = new ArrayList<>();
    Deque<Element> open = new ArrayDeque<>(style.citation().children());
    Set<String> macros = new HashSet<>();
    while (!open.isEmpty()) {
      Element element = open.pop();
      if (element instanceof Element.Names names) {
        found.add(names);
        names.substitute().forEach(open::push);
      } else if (element instanceof Element.Text text
          && text.kind().equals("macro")
          && macros.add(text.of())) {
        style.macros().getOrDefault(text.of(), List.of()).forEach(open::push);
      } else if (element instanceof Element.Group group) {
        group.children().forEach(open::push);
      } else if (element instanceof Element.Choose choose) {
        choose.branches().forEach(branch -> branch.children().forEach(open::push));
      }
    }
    return found;
  }
}
