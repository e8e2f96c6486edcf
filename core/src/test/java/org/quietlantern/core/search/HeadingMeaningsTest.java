package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;

class HeadingMeaningsTest {
  private static final Headings BEFORE =
      headings(named("urn:m", "Moths", List.of("Heterocera"), List.of()));

  /** “Moths” is another heading now; what was called so is called something else. */
  private static final Headings NOW =
      headings(
          named("urn:m", "Night moths", List.of("Heterocera"), List.of("Moths")),
          named("urn:d", "Moths", List.of(), List.of()));

  private static Headings headings(Concept... concepts) {
    return new Headings(List.of(concepts), List.of());
  }

  private static Concept named(String uri, String label, List<String> names, List<String> former) {
    return Concept.plain(uri, "urn:s", label, names, List.of())
        .with(new Concept.Fate(false, List.of(), former));
  }

  private static Map<String, String> means(Strategy strategy) {
    return ((Line.Words) strategy.lines().get(0)).means();
  }

  @DisplayName("H4: a former name that is given to another heading changes nothing, and it is said")
  @Test
  void givenToAnother() {
    try (Catalogue catalogue = new Catalogue()) {
      for (String uri : List.of("urn:m", "urn:m", "urn:d")) {
        catalogue.add(
            Catalogue.carrying(List.of(new HeadingUse(uri, "as supplied", false, List.of()))));
      }
      Strategy typed = Strategy.of("heading/exact: Moths");
      Strategy kept = HeadingMeanings.keep(typed, BEFORE);
      assertThat(means(kept)).containsExactly(Map.entry("moths", "urn:m"));
      assertThat(found(catalogue, typed, BEFORE)).isEqualTo(2);
      assertThat(found(catalogue, typed, NOW)).as("by name").isEqualTo(1);
      assertThat(found(catalogue, kept, NOW)).isEqualTo(2);
      assertThat(found(catalogue, kept, BEFORE)).isEqualTo(2);
      assertThat(notes(catalogue, kept, NOW))
          .containsExactly(new Problem(Problem.Code.HEADING_RENAMED, notePlace(), "Night moths"));
      assertThat(notes(catalogue, kept, BEFORE)).isEmpty();
      assertThat(notes(catalogue, typed, NOW)).isEmpty();
      try (Snapshot snapshot = catalogue.index.snapshot()) {
        assertThat(new Explainer(snapshot, Library.EMPTY, NOW, InsideTexts.NONE).of(kept, 1))
            .containsExactly(new Explanation("1", "Moths", List.of(Field.HEADING)));
        assertThat(new Explainer(snapshot, Library.EMPTY, NOW, InsideTexts.NONE).of(kept, 3))
            .isEmpty();
      }
    }
  }

  private static org.quietlantern.core.query.Span notePlace() {
    return new org.quietlantern.core.query.Span(0, 20);
  }

  private static int found(Catalogue catalogue, Strategy strategy, Headings headings) {
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      return snapshot.count(ready(snapshot, strategy, headings));
    }
  }

  private static List<Problem> notes(Catalogue catalogue, Strategy strategy, Headings headings) {
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      return ready(snapshot, strategy, headings).notes().stream()
          .map(Compiled.Placed::problem)
          .toList();
    }
  }

  private static Compiled.Ready ready(Snapshot snapshot, Strategy strategy, Headings headings) {
    return (Compiled.Ready)
        snapshot.compile(strategy, HeadingLawsTest.circumstances(headings), Library.EMPTY);
  }

  @DisplayName("Names that mean a heading are kept, wherever they stand; words are words")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "heading/narrower: Moths | moths",
        "bat not heading/exact: \"Moths\" | moths",
        "not heading/exact: moths | moths",
        "heading: Heterocera | heterocera",
        "heading,title: (\"moths\" or owl) | moths",
        "(a or heading/exact: Heterocera) and heading/exact: Moths | heterocera moths",
        "moths heterocera | ``",
        "title: moths | ``",
        "heading: moth* | ``",
        "heading/exact: Owls | ``",
        "heading/exact: | ``"
      })
  void whichNames(String text, String names) {
    Strategy kept = HeadingMeanings.keep(Strategy.of(text), BEFORE);
    assertThat(String.join(" ", means(kept).keySet().stream().sorted().toList())).isEqualTo(names);
  }

  @Test
  void whatWasKeptStaysAndWhatIsNotInTheTextGoes() {
    Strategy kept = HeadingMeanings.keep(Strategy.of("heading/exact: Moths"), BEFORE);
    assertThat(HeadingMeanings.keep(kept, NOW)).isEqualTo(kept);
    Line.Words line = (Line.Words) kept.lines().get(0);
    Strategy other = new Strategy(List.of(line.saying("heading/exact: Heterocera")));
    assertThat(means(HeadingMeanings.keep(other, NOW)))
        .containsExactly(Map.entry("heterocera", "urn:m"));
    assertThat(line.wider(Set.of(Widening.NAMES)).means()).isEqualTo(line.means());
    assertThat(((Line.Words) line.switched(true).called("x")).means()).isEqualTo(line.means());
    Strategy gone = new Strategy(List.of(line.meaning(Map.of("moths", "urn:gone"))));
    assertThat(means(HeadingMeanings.keep(gone, NOW)))
        .as("a heading that is not here any more means nothing")
        .containsExactly(Map.entry("moths", "urn:d"));
  }
}
