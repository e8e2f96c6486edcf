package org.quietlantern.core.citation.csl;

import java.text.Collator;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/** Puts works in the order of sort keys (specification, <i>Sorting</i>). */
final class Sorting {
  private static final Set<String> WHOLE = Set.of("year", "month", "day");
  private final List<Style.Key> keys;
  private final Collator collator;

  Sorting(List<Style.Key> keys, String language) {
    this.keys = keys;
    this.collator = Collator.getInstance(java.util.Locale.forLanguageTag(language));
    collator.setStrength(Collator.TERTIARY);
  }

  private record Keyed<T>(T one, List<String> values) {}

  /** Those that are equal stay in their order; {@code where}: where a work is rendered. */
  <T> List<T> sorted(List<T> all, Function<T, Situation> where) {
    if (keys.isEmpty()) {
      return List.copyOf(all);
    }
    return all.stream()
        .map(one -> new Keyed<>(one, values(where.apply(one))))
        .sorted(this::compare)
        .map(Keyed::one)
        .toList();
  }

  private List<String> values(Situation situation) {
    List<String> values = new ArrayList<>();
    for (Style.Key key : keys) {
      values.add(plain(value(key, situation.sorting(key.options()))));
    }
    return values;
  }

  private static String value(Style.Key key, Situation situation) {
    Renderer renderer = new Renderer(situation);
    if (!key.macro().isEmpty()) {
      Rendered rendered =
          renderer.all(situation.style().macros().getOrDefault(key.macro(), List.of()), "");
      return rendered.isEmpty() ? "" : Output.plain(rendered.output());
    }
    String variable = key.variable();
    Item item = situation.item();
    if (item.dates().containsKey(variable)) {
      return Dates.sortable(item.dates().get(variable), WHOLE);
    }
    if (item.names().containsKey(variable)) {
      Element.Names names = Element.Names.plain(variable, Map.of("form", "long"));
      Rendered rendered = renderer.render(names);
      return rendered.isEmpty() ? "" : Output.plain(rendered.output());
    }
    String text = renderer.value(variable, "");
    return Numbers.isNumeric(text) ? padded(text) : Output.plain(Markup.read(text));
  }

  private static String padded(String text) {
    return java.util.regex.Pattern.compile("\\d+")
        .matcher(text)
        .replaceAll(
            digits -> "0".repeat(Math.max(0, 10 - digits.group().length())) + digits.group());
  }

  /** Punctuation does not count. */
  private static String plain(String text) {
    return text.replaceAll("['’‘ʼ]", " ").replaceAll("[\\p{P}&&[^-]]", "").strip();
  }

  /** Word by word: what is shorter comes first. */
  private int compare(String[] one, String[] other) {
    for (int i = 0; i < Math.min(one.length, other.length); i++) {
      int order = collator.compare(one[i], other[i]);
      if (order != 0) {
        return order;
      }
    }
    return one.length - other.length;
  }

  private <T> int compare(Keyed<T> one, Keyed<T> other) {
    for (int i = 0; i < keys.size(); i++) {
      String a = one.values().get(i);
      String b = other.values().get(i);
      // What is empty comes last, whatever the direction.
      if (a.isEmpty() != b.isEmpty()) {
        return a.isEmpty() ? 1 : -1;
      }
      int order = compare(a.split("\\s+"), b.split("\\s+"));
      if (order != 0) {
        return keys.get(i).descending() ? -order : order;
      }
    }
    return 0;
  }
}
