package org.quietlantern.core.citation.check;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.ItemDate;
import org.quietlantern.core.citation.csl.ItemName;
import org.quietlantern.core.citation.csl.Processor;

/**
 * What a style prints of a sort of work, found out by having it print one of which everything is
 * known.
 *
 * @param fields that are printed
 * @param titleCase whether it puts titles into title case itself
 * @param wholeNames whether given names are printed whole
 */
public record StylePrints(Set<CitedField> fields, boolean titleCase, boolean wholeNames) {
  private static final Map<CitedField, String> TRACES =
      Map.of(
          CitedField.TITLE, "probed lamps",
          CitedField.AUTHORS, "Quennell",
          CitedField.JOURNAL, "Periodical",
          CitedField.PUBLISHER, "Housepress",
          CitedField.YEAR, "1871",
          CitedField.VOLUME, "7007",
          CitedField.ISSUE, "6006",
          CitedField.PAGES, "5005",
          CitedField.DOI, "10.5555/probe");

  private static final String GIVEN = "Wilhelmina";

  public StylePrints {
    fields = Set.copyOf(fields);
  }

  /**
   * @param processor of the style; its works are set anew
   * @param type as the specification names it, {@code article-journal}
   */
  public static StylePrints of(Processor processor, String type) {
    Item probe =
        new Item(
            "probe",
            type,
            Map.of(
                "title", "Many probed lamps",
                "container-title", "Periodical",
                "publisher", "Housepress",
                "volume", "7007",
                "issue", "6006",
                "page", "5005",
                "DOI", "10.5555/probe"),
            Map.of("author", List.of(ItemName.of("Quennell", GIVEN))),
            Map.of("issued", new ItemDate(List.of(new ItemDate.Parts(1871, 0, 0)), false, "")));
    processor.setItems(List.of(probe));
    String printed =
        processor.bibliography().stream()
            .map(entry -> entry.text().plain())
            .collect(Collectors.joining());
    EnumSet<CitedField> fields = EnumSet.noneOf(CitedField.class);
    TRACES.forEach(
        (field, trace) -> {
          if (printed
              .toLowerCase(java.util.Locale.ROOT)
              .contains(trace.toLowerCase(java.util.Locale.ROOT))) {
            fields.add(field);
          }
        });
    return new StylePrints(fields, printed.contains("Many Probed Lamps"), printed.contains(GIVEN));
  }
}
