package org.quietlantern.core.citation.csl;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What is cited, by the variables of the specification (Appendix IV).
 *
 * @param type {@code article-journal}
 * @param texts standard and number variables; may hold markup
 * @param names name variables
 * @param dates date variables
 */
public record Item(
    String id,
    String type,
    Map<String, String> texts,
    Map<String, List<ItemName>> names,
    Map<String, ItemDate> dates) {
  public Item {
    texts = Map.copyOf(texts);
    names = Map.copyOf(names);
    dates = Map.copyOf(dates);
  }

  /** Empty where there is none. */
  public String text(String variable) {
    return texts.getOrDefault(variable, "");
  }

  boolean has(String variable) {
    return !text(variable).isEmpty()
        || !names.getOrDefault(variable, List.of()).isEmpty()
        || dates.containsKey(variable);
  }

  /** The same without a date. */
  Item without(String date) {
    if (!dates.containsKey(date)) {
      return this;
    }
    Map<String, ItemDate> fewer = new HashMap<>(dates);
    fewer.remove(date);
    return new Item(id, type, texts, names, fewer);
  }

  /** The same with another text. */
  Item with(String variable, String text) {
    Map<String, String> more = new HashMap<>(texts);
    more.put(variable, text);
    return new Item(id, type, more, names, dates);
  }
}
