package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Strategy;

class MatchingTest {
  private final Catalogue catalogue = new Catalogue();

  @AfterEach
  void close() {
    catalogue.close();
  }

  @DisplayName("M3 to M6: a line finds")
  @ParameterizedTest(name = "{0} -> {1}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      textBlock =
          """
          moth                     | 1 2 5
          moths                    | 1 2 5
          "moth"                   | 1
          "moths"                  | 2 5
          MOTH                     | 1 2 5
          moth lamp                | 1 2
          moth or bat              | 1 2 3 5
          bat or moth lamp         | 1 2 3
          moth not lamp            | 5
          not moth                 | 3 4 6 7
          moth*                    | 1 2 5
          lam?s                    | 2
          "dark moth*"             | 5
          "moths dark"             | ~~
          part-night               | 4 6 7
          "part night"             | 4 6
          partnight                | 4 7
          "part-night lighting"    | 4 6 7
          "partnight lighting"     | 4 7
          night                    | 4 6
          title: moth              | 1 2 5
          abstract: moth           | ~~
          abstract: lamps          | 2
          "moths at"               | 2
          "rest lamps"             | ~~
          hoary's                  | 3
          hoary’s bat              | 3
          Muller                   | 7
          author: oduya            | 3
          author: "maren oduya"    | 3
          """)
  void finds(String line, String ids) {
    catalogue
        .titles("Moth at a lamp")
        .add(Catalogue.with(Catalogue.PLAIN, "Moths at rest", "Lamps were dimmed."));
    catalogue.add(byMaren("The hoary's bat"));
    catalogue.titles("Part-night lighting", "Dark moths", "Part night lighting");
    catalogue.titles("Partnight lighting after Müller");
    assertThat(catalogue.find(line)).isEqualTo(ids(ids));
  }

  private static List<String> ids(String numbers) {
    return numbers.isEmpty()
        ? List.of()
        : java.util.Arrays.stream(numbers.split(" ")).map(n -> "p" + n).toList();
  }

  private static org.quietlantern.core.publication.Publication byMaren(String title) {
    var p = Catalogue.titled(title);
    return new org.quietlantern.core.publication.Publication(
        title,
        "",
        p.kind(),
        p.version(),
        List.of(new PersonName("Oduya", "Maren")),
        p.date(),
        p.host(),
        "",
        "",
        "",
        List.of(),
        List.of(),
        "",
        org.quietlantern.core.publication.Relations.NONE,
        0,
        false,
        p.studied(),
        p.figures(),
        p.cited());
  }

  @DisplayName("M5: phrases never match across two headings, nor across fields")
  @Test
  void phrasesStayInsideOneValue() {
    catalogue.add(Catalogue.full("Night", 2024, Kind.ARTICLE, "Sey", "Street lighting", "Dimming"));
    assertThat(catalogue.find("\"street lighting\"")).containsExactly("p1");
    assertThat(catalogue.find("\"lighting dimming\"")).isEmpty();
    assertThat(catalogue.find("\"night street\"")).isEmpty();
  }

  @DisplayName("Fields with whole values")
  @ParameterizedTest(name = "{0} -> {1}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      textBlock =
          """
          year: 2024               | p1
          year: 2023-2024          | p1 p2
          year: 2024-2023          | p1 p2
          year: 202*               | p1 p2
          kind: review             | p2
          kind: "conference paper" | p3
          language: en             | p1 p2 p3
          language: English        | p1 p2 p3
          doi: 10.5555/TEST.2024   | p1
          heading: lepidoptera     | p1
          """)
  void wholeFields(String line, String ids) {
    catalogue.add(Catalogue.full("A", 2024, Kind.ARTICLE, "Sey", "Lepidoptera"));
    catalogue.add(Catalogue.full("B", 2023, Kind.REVIEW, "Sey"));
    catalogue.add(Catalogue.full("C", 1999, Kind.CONFERENCE_PAPER, "Sey"));
    assertThat(String.join(" ", catalogue.find(line))).isEqualTo(ids);
  }

  @DisplayName("M4: a cut word that covers more than 2,000 words is refused with the number")
  @Test
  void tooWide() {
    catalogue.index.apply(
        IntStream.rangeClosed(1, 25)
            .mapToObj(n -> Catalogue.entry(n, Catalogue.titled(words(n))))
            .toList(),
        List.of(),
        25);
    assertThat(refusal("abc* or moth"))
        .isEqualTo("column 1: “abc*” covers 2,500 words; at most 2,000 are searched together");
    assertThat(covers("abc1*")).isEqualTo(1100);
  }

  private static String words(int n) {
    return IntStream.range(n * 100, n * 100 + 100)
        .mapToObj(i -> "abc" + i)
        .collect(java.util.stream.Collectors.joining(" "));
  }

  private String refusal(String line) {
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      Compiled.Refused refused = (Compiled.Refused) Catalogue.compile(snapshot, Strategy.of(line));
      return refused.problems().get(0).problem().sentence();
    }
  }

  private int covers(String line) {
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      Compiled.Ready ready = (Compiled.Ready) Catalogue.compile(snapshot, Strategy.of(line));
      assertThat(snapshot.search(ready, Ordering.RELEVANCE).count()).isPositive();
      return ready.covers().get(0).words();
    }
  }

  @DisplayName("M4: a word that matches nothing is named")
  @Test
  void namesWhatMatchesNothing() {
    catalogue.titles("Moth at a lamp");
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      Compiled.Ready ready =
          (Compiled.Ready)
              Catalogue.compile(snapshot, Strategy.of("moth or zzyzx or \"lamp moth\" or qqq*"));
      assertThat(ready.notes())
          .extracting(note -> note.problem().found())
          .containsExactly("zzyzx", "qqq*");
      assertThat(ready.notes())
          .extracting(note -> note.problem().code())
          .containsOnly(Problem.Code.MATCHES_NOTHING);
    }
  }
}
