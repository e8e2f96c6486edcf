package org.quietlantern.core.citation.csl;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;

/** What is said at an element; empty text for what is not. */
record Attributes(Map<String, String> values) {
  static final Attributes NONE = new Attributes(Map.of());

  String get(String name) {
    return values.getOrDefault(name, "");
  }

  String get(String name, String otherwise) {
    return values.getOrDefault(name, otherwise);
  }

  boolean has(String name) {
    return values.containsKey(name);
  }

  boolean is(String name) {
    return get(name).equals("true");
  }

  int number(String name) {
    String text = get(name);
    return text.matches("\\d{1,6}") ? Integer.parseInt(text) : 0;
  }

  /** Those alone that are named so. */
  Attributes named(Collection<String> names) {
    Map<String, String> some = new HashMap<>(values);
    some.keySet().retainAll(names);
    return new Attributes(some);
  }

  /** What another element says counts where both say something. */
  Attributes over(Attributes nearer) {
    Map<String, String> all = new HashMap<>(values);
    all.putAll(nearer.values);
    return new Attributes(all);
  }
}
