package org.quietlantern.core.citation.csl;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What a {@code name} inherits (specification, <i>Inheritable Name Options</i>). */
final class NameOptions {
  private static final List<String> SAME =
      List.of(
          "and",
          "delimiter-precedes-et-al",
          "delimiter-precedes-last",
          "et-al-min",
          "et-al-use-first",
          "et-al-use-last",
          "et-al-subsequent-min",
          "et-al-subsequent-use-first",
          "initialize",
          "initialize-with",
          "name-as-sort-order",
          "sort-separator");

  private NameOptions() {}

  static Attributes of(Situation situation, Element.Names element) {
    Map<String, String> inherited = new HashMap<>();
    Attributes above = situation.options();
    SAME.forEach(name -> put(inherited, name, above, name));
    put(inherited, "form", above, "name-form");
    put(inherited, "delimiter", above, "name-delimiter");
    Attributes own =
        new Attributes(inherited).over(element.said().named(SAME)).over(element.options());
    if (!situation.sorts()) {
      return own;
    }
    Map<String, String> sorted = new HashMap<>(own.values());
    sorted.put("name-as-sort-order", "all");
    put(sorted, "et-al-min", above, "names-min");
    put(sorted, "et-al-use-first", above, "names-use-first");
    put(sorted, "et-al-use-last", above, "names-use-last");
    return new Attributes(sorted);
  }

  private static void put(Map<String, String> into, String name, Attributes from, String as) {
    if (from.has(as)) {
      into.put(name, from.get(as));
    }
  }
}
