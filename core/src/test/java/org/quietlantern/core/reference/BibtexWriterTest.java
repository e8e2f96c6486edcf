package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.citation.Kinds;
import org.quietlantern.core.publication.Publication;

@DisplayName("BibTeX and BibLaTeX")
class BibtexWriterTest {
  private static final String LINK = "https://lantern.example/p/1";

  private static String written(boolean biblatex, int kind) {
    Publication work = Kinds.all().get(kind);
    Reference reference =
        new Reference(
            EntryKeys.of(work), work, LINK, List.of("for the 50 % talk"), "Counts {moths}.");
    return new BibtexWriter(biblatex, false, Included.ALL).entry(reference);
  }

  @DisplayName(
      "An article has its place, pages with two hyphens, its month as a name, what was said")
  @Test
  void article() {
    assertThat(written(false, 0))
        .isEqualTo(
            """
            @article{oxlade2025clock,
              author = {Oxlade, Rhona and Berg, Bo and Sey, Adaeze},
              title = {Clock genes of moths},
              journal = {Annals of Verge Ecology},
              volume = {12},
              number = {3},
              pages = {144--156},
              year = {2025},
              month = mar,
              doi = {10.5555/a.1},
              language = {en},
              url = {https://lantern.example/p/1},
              note = {for the 50 \\% talk},
              annote = {Counts \\{moths\\}.},
            }
            """);
    assertThat(written(true, 0))
        .contains("journaltitle = {Annals of Verge Ecology}")
        .contains("date = {2025-03}")
        .contains("annotation = {")
        .doesNotContain("month");
  }

  @DisplayName("Each kind is the type that programs know for it")
  @Test
  void kinds() {
    assertThat(types(false))
        .contains(
            "article", "book", "incollection", "phdthesis", "misc", "techreport", "inproceedings");
    assertThat(types(true)).contains("thesis", "online", "report", "dataset");
  }

  private static List<String> types(boolean biblatex) {
    return Kinds.all().stream()
        .map(
            work ->
                new BibtexWriter(biblatex, true, Included.ALL)
                    .entry(Reference.of("k", work, ""))
                    .replaceAll("(?s)@(\\w+)\\{.*", "$1"))
        .collect(Collectors.toList());
  }

  @DisplayName("An institution stands in braces, and nothing is written that nobody asked for")
  @Test
  void institution() {
    Publication report = Kinds.all().get(9);
    String brief =
        new BibtexWriter(false, false, new Included(false, false, false, false))
            .entry(new Reference("k", report, LINK, List.of("secret"), "secret"));
    assertThat(brief)
        .contains("author = {{Verge Trust}}")
        .contains("institution = {County Press}")
        .doesNotContain("secret")
        .doesNotContain("url");
  }

  @DisplayName(
      "A key has family, year and the first word that tells something; letters tell clashes")
  @Test
  void keys() {
    assertThat(Kinds.all().stream().limit(5).map(EntryKeys::of))
        .containsExactly(
            "oxlade2025clock",
            "oxlade2024lamps",
            "authora2023nights",
            "sey2022kerbs",
            "oxlade2019night");
    List<String> taken = List.of("a", "aa", "ab");
    assertThat(EntryKeys.free("a", taken::contains)).isEqualTo("ac");
    assertThat(EntryKeys.free("b", taken::contains)).isEqualTo("b");
    assertThat(EntryKeys.free("c", key -> key.length() < 3)).isEqualTo("caa");
  }
}
