package org.quietlantern.core.query;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the indexes of CQL mean: our own names of fields, and those of two context sets that
 * programs for libraries speak, Dublin Core ({@code dc.}) and Bibliographic Searching ({@code
 * bib.}, OASIS searchRetrieve Part 5 names both).
 */
final class CqlIndexes {
  private static final Set<String> ANYWHERE =
      Set.of(
          "",
          "any",
          "cql.serverchoice",
          "cql.anywhere",
          "cql.anyindexes",
          "cql.keywords",
          "cql.allindexes");

  private static final Map<String, List<Field>> OTHERS =
      Map.ofEntries(
          Map.entry("dc.title", List.of(Field.TITLE)),
          Map.entry("dc.creator", List.of(Field.AUTHOR)),
          Map.entry("dc.contributor", List.of(Field.AUTHOR)),
          Map.entry("dc.subject", List.of(Field.HEADING, Field.KEYWORD)),
          Map.entry("dc.description", List.of(Field.ABSTRACT)),
          Map.entry("dc.date", List.of(Field.YEAR)),
          Map.entry("dc.type", List.of(Field.KIND)),
          Map.entry("dc.language", List.of(Field.LANGUAGE)),
          Map.entry("dc.identifier", List.of(Field.DOI)),
          Map.entry("dc.source", List.of(Field.JOURNAL)),
          Map.entry("bib.name", List.of(Field.AUTHOR)),
          Map.entry("bib.namepersonal", List.of(Field.AUTHOR)),
          Map.entry("bib.titlehost", List.of(Field.JOURNAL)),
          Map.entry("bib.subjecttopical", List.of(Field.HEADING)),
          Map.entry("bib.dateissued", List.of(Field.YEAR)),
          Map.entry("bib.genre", List.of(Field.KIND)));

  private CqlIndexes() {}

  static boolean isAnywhere(String index) {
    return ANYWHERE.contains(index.toLowerCase(Locale.ROOT));
  }

  /** The fields that an index means, several with commas between; empty for one that is unknown. */
  static Optional<List<Field>> fields(String index) {
    List<Optional<List<Field>>> named =
        Arrays.stream(index.toLowerCase(Locale.ROOT).split(",")).map(CqlIndexes::one).toList();
    return named.isEmpty() || named.stream().anyMatch(Optional::isEmpty)
        ? Optional.empty()
        : Optional.of(
            named.stream().flatMap(fields -> fields.orElseThrow().stream()).distinct().toList());
  }

  private static Optional<List<Field>> one(String name) {
    return Field.named(name).map(List::of).or(() -> Optional.ofNullable(OTHERS.get(name)));
  }

  static boolean isYear(String index) {
    return fields(index).equals(Optional.of(List.of(Field.YEAR)));
  }

  static boolean isHeading(String index) {
    return fields(index).equals(Optional.of(List.of(Field.HEADING)));
  }

  /** Whether all fields of an index are met by their whole value, as a year or a kind is. */
  static boolean isWhole(String index) {
    return fields(index)
        .map(
            all ->
                all.stream()
                    .allMatch(
                        field ->
                            switch (field) {
                              case YEAR, LANGUAGE, KIND, DOI, ID, CITES, CITEDBY -> true;
                              default -> false;
                            }))
        .orElse(false);
  }
}
