package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Labels made of names and years, {@code RoNo78a} (specification, {@code citation-label}). */
final class CitationLabels {
  /** How many letters of each name, by how many names there are. */
  private static final List<List<Integer>> LETTERS =
      List.of(List.of(4), List.of(2, 2), List.of(2, 1, 1), List.of(1, 1, 1, 1));

  private static final List<String> NAMED =
      List.of("author", "editor", "translator", "collection-editor");

  private CitationLabels() {}

  /** By id; those that would be the same have a letter behind. */
  static Map<String, String> of(List<Item> items) {
    Map<String, List<String>> byLabel = new LinkedHashMap<>();
    items.stream()
        .distinct()
        .forEach(
            item -> byLabel.computeIfAbsent(label(item), l -> new ArrayList<>()).add(item.id()));
    Map<String, String> labels = new HashMap<>();
    byLabel.forEach(
        (label, ids) -> {
          for (int i = 0; i < ids.size(); i++) {
            labels.put(ids.get(i), ids.size() > 1 ? label + Letters.of(i + 1) : label);
          }
        });
    return labels;
  }

  private static String label(Item item) {
    if (item.has("citation-label")) {
      return item.text("citation-label");
    }
    List<ItemName> names =
        NAMED.stream()
            .flatMap(name -> Stream.ofNullable(item.names().get(name)))
            .findFirst()
            .orElse(List.of());
    String letters =
        names.isEmpty()
            ? first(item.text("title"), 4)
            : letters(names.stream().limit(LETTERS.size()).toList());
    return letters + year(item);
  }

  private static String letters(List<ItemName> names) {
    List<Integer> counts = LETTERS.get(names.size() - 1);
    List<String> parts = new ArrayList<>();
    for (int i = 0; i < names.size(); i++) {
      ItemName name = names.get(i);
      parts.add(first(name.isInstitution() ? name.literal() : name.family(), counts.get(i)));
    }
    return parts.stream().collect(Collectors.joining());
  }

  private static String first(String text, int letters) {
    String plain = text.replaceAll("\\P{L}", "");
    return plain.substring(0, Math.min(letters, plain.length()));
  }

  private static String year(Item item) {
    ItemDate issued = item.dates().get("issued");
    if (issued == null || issued.parts().isEmpty()) {
      return "";
    }
    return "%02d".formatted(Math.floorMod(issued.from().year(), 100));
  }
}
