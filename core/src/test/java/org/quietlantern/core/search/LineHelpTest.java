package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.Set;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.search.analysis.ShortForms;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;

class LineHelpTest {
  private Catalogue catalogue;
  private Snapshot snapshot;

  @BeforeEach
  void fill() {
    catalogue =
        new Catalogue()
            .titles(
                "Dimming and dimmed lamps",
                "They dim the colour",
                "A colour of lamps",
                "The color of lamps",
                "Skyglow over fens",
                "Sky glow over towns",
                "The mouse and the lamp",
                "Mice in the dark",
                "Lamps that led moths astray",
                "LED lamps and moths");
    catalogue.add(
        Catalogue.with(
            Catalogue.PLAIN,
            "Skies",
            "Effects of artificial light at night (ALAN) on moths and (some) bats."));
    catalogue.add(Catalogue.with(Catalogue.PLAIN, "ALAN again", "It dims moths."));
    snapshot = catalogue.index.snapshot();
  }

  @AfterEach
  void close() {
    snapshot.close();
    catalogue.close();
  }

  private LineHelp help() {
    return new LineHelp(snapshot, Catalogue.TODAY, Library.EMPTY);
  }

  private static Line.Words line(String text) {
    return new Line.Words("1", text, false);
  }

  private List<LineHelp.Offer> offers(String text, LineHelp.Kind kind) {
    return help().offers(line(text)).stream().filter(o -> o.kind() == kind).toList();
  }

  @DisplayName("M5: the forms that a stem meets are shown, the commonest first")
  @Test
  void forms() {
    assertThat(help().forms(line("dimmed or \"lamps\" or zzz")))
        .containsExactly(new LineHelp.Met("dimmed", List.of("dim", "dimmed", "dimming", "dims")));
  }

  @DisplayName("M7: spelling variants and irregular forms are offered with counts")
  @Test
  void variants() {
    assertThat(offers("colour mouse", LineHelp.Kind.VARIANT))
        .extracting(LineHelp.Offer::text, LineHelp.Offer::count)
        .containsExactly(tuple("color", 1), tuple("mice", 1));
    assertThat(offers("skyglow", LineHelp.Kind.VARIANT))
        .extracting(LineHelp.Offer::text, LineHelp.Offer::count)
        .containsExactly(tuple("\"sky glow\"", 1));
    assertThat(offers("\"sky glow\"", LineHelp.Kind.VARIANT))
        .extracting(LineHelp.Offer::text, LineHelp.Offer::count)
        .containsExactly(tuple("skyglow", 1));
  }

  @DisplayName("M7: abbreviations and what they stand for, both ways")
  @Test
  void abbreviations() {
    assertThat(offers("alan", LineHelp.Kind.ABBREVIATION))
        .extracting(LineHelp.Offer::text, LineHelp.Offer::count)
        .containsExactly(tuple("\"artificial light at night\"", 1));
    assertThat(offers("\"artificial light at night\"", LineHelp.Kind.ABBREVIATION))
        .extracting(LineHelp.Offer::text, LineHelp.Offer::count)
        .containsExactly(tuple("alan", 2));
    assertThat(ShortForms.in("high-pressure sodium (HPS) and (some) light (LED) lamps"))
        .containsExactly(new ShortForms.Pair("hps", "high-pressure sodium"));
  }

  @DisplayName("M7: everyday and formal names of what a word names, each with what it finds")
  @Test
  void names() {
    Headings headings =
        new Headings(
            List.of(
                Concept.plain(
                    "urn:bats", "urn:s", "Chiroptera", List.of("Bats", "Flying mice"), List.of()),
                Concept.plain(
                    "urn:mice", "urn:s", "Murinae", List.of("Mouse", "Old World mice"), List.of())),
            List.of());
    catalogue.add(Catalogue.with(Catalogue.PLAIN, "Chiroptera", "Chiroptera of towns."));
    catalogue.add(Catalogue.with(Catalogue.PLAIN, "Murinae", "Old World mice at lamps."));
    try (Snapshot now = catalogue.index.snapshot()) {
      SearchContext plain = Catalogue.TODAY;
      SearchContext knowing =
          new SearchContext(
              plain.today(),
              plain.zone(),
              plain.holdings(),
              plain.lenders(),
              plain.journals(),
              plain.trees(),
              headings,
              InsideTexts.NONE,
              "headings");
      LineHelp help = new LineHelp(now, knowing, Library.EMPTY);
      assertThat(named(help, "bat")).containsExactly(tuple("chiroptera", 1));
      assertThat(named(help, "Chiroptera")).containsExactly(tuple("bats", 1));
      assertThat(named(help, "mouse"))
          .containsExactlyInAnyOrder(tuple("murinae", 1), tuple("\"Old World mice\"", 1));
      assertThat(named(help, "title: bats")).isEmpty();
      assertThat(named(help, "lamps")).isEmpty();
    }
  }

  private static List<Tuple> named(LineHelp help, String text) {
    return help.offers(line(text)).stream()
        .filter(offer -> offer.kind() == LineHelp.Kind.NAME)
        .map(offer -> tuple(offer.text(), offer.count()))
        .toList();
  }

  @DisplayName("M4: a word in no publication gets spellings; one that is there gets none")
  @Test
  void spellings() {
    assertThat(offers("colouur", LineHelp.Kind.SPELLING))
        .extracting(LineHelp.Offer::text, LineHelp.Offer::count)
        .contains(tuple("colour", 2));
    assertThat(offers("colour", LineHelp.Kind.SPELLING)).isEmpty();
  }

  @DisplayName("M5: in capitals only, where the word is an everyday word, too")
  @Test
  void capitals() {
    assertThat(offers("LED", LineHelp.Kind.CAPITALS))
        .extracting(LineHelp.Offer::text, LineHelp.Offer::count)
        .containsExactly(tuple("capitals: LED", 1));
    assertThat(catalogue.find("LED")).containsExactlyInAnyOrder("p9", "p10");
    assertThat(catalogue.find("capitals: LED")).containsExactly("p10");
    assertThat(offers("ALAN", LineHelp.Kind.CAPITALS)).isEmpty();
  }

  @DisplayName("M11: how many in each field")
  @Test
  void places() {
    assertThat(help().places(line("moths")))
        .containsExactly(
            new LineHelp.Place(Field.TITLE, 2),
            new LineHelp.Place(Field.ABSTRACT, 2),
            new LineHelp.Place(Field.HEADING, 0),
            new LineHelp.Place(Field.KEYWORD, 0));
  }

  @DisplayName("M6: a widening is off at first; what it adds is told for the line and the result")
  @Test
  void widenings() {
    Line.Words colour = new Line.Words("c", "colour", false);
    Strategy strategy = new Strategy(List.of(colour, new Line.Words("l", "lamps", false)));
    assertThat(help().gains(strategy, colour))
        .filteredOn(gain -> gain.line() + gain.result() > 0)
        .containsExactly(new LineHelp.Gain(Widening.VARIANTS, 1, 1));
    Line.Words wide = new Line.Words("c", "colour", false, Set.of(Widening.VARIANTS));
    Compiled.Ready ready =
        (Compiled.Ready) Catalogue.compile(snapshot, new Strategy(List.of(wide)));
    assertThat(snapshot.all(ready).toArray()).containsExactly(2, 3, 4);
    assertThat(help().gains(strategy, wide))
        .extracting(LineHelp.Gain::widening)
        .containsExactly(Widening.NAMES, Widening.NARROWER, Widening.RELATED);
    assertThat(wide("sky glow")).containsExactly(5, 6);
    assertThat(wide("skyglow")).containsExactly(5, 6);
    assertThat(wide("not mouse")).doesNotContain(7, 8).hasSize(10);
  }

  private int[] wide(String text) {
    Line.Words line = new Line.Words("w", text, false, Set.of(Widening.VARIANTS));
    return snapshot
        .all((Compiled.Ready) Catalogue.compile(snapshot, new Strategy(List.of(line))))
        .toArray();
  }

  @DisplayName("M8: the strongest words of a passage become a line")
  @Test
  void passage() {
    String line = new Passage(snapshot).line("The mice, and the lamps; xylophones of 3 mice");
    assertThat(line).startsWith("mice").doesNotContain("xylophone");
    assertThat(new Passage(snapshot).line("§ 12 xylophones")).isEmpty();
  }

  @Test
  void suggestionsBeginAtAnyWordAndCountExactly() {
    var made =
        Catalogue.full(
            "A title",
            2020,
            org.quietlantern.core.publication.Kind.BOOK,
            "Oduya",
            "Road verges",
            "Verge plants");
    catalogue.add(made).add(made);
    catalogue.index.apply(List.of(Catalogue.entry(13, made)), List.of(), 20);
    try (Snapshot now = catalogue.index.snapshot()) {
      Suggestions suggestions = new Suggestions(now);
      assertThat(suggestions.of(org.quietlantern.core.query.Property.HEADING, "verg", 5))
          .extracting(Suggestions.Suggestion::value, Suggestions.Suggestion::count)
          .containsExactlyInAnyOrder(tuple("Road verges", 2), tuple("Verge plants", 2));
      assertThat(suggestions.of(org.quietlantern.core.query.Property.AUTHOR, "odu", 5))
          .extracting(Suggestions.Suggestion::value)
          .containsExactly("Oduya, A");
      assertThat(suggestions.of(org.quietlantern.core.query.Property.AUTHOR, "o", 5)).isEmpty();
    }
  }
}
