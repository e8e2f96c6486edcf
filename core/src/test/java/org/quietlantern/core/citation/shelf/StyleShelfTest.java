package org.quietlantern.core.citation.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.citation.csl.Citation;
import org.quietlantern.core.citation.csl.Cite;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.ItemDate;
import org.quietlantern.core.citation.csl.ItemName;
import org.quietlantern.core.citation.csl.Processor;

class StyleShelfTest {
  private static final StyleShelf SHELF = new StyleShelf();

  private static String cited(String style, String language) {
    return processor(style, language)
        .citations(List.of(new Citation(List.of(Cite.of("1")), 0)))
        .get(0)
        .plain();
  }

  private static Processor processor(String style, String language) {
    Item item =
        new Item(
            "1",
            "book",
            Map.of("title", "Night walks", "publisher", "Ternhollow"),
            Map.of("author", List.of(ItemName.of("Oxlade", "Ada"), ItemName.of("Berg", "Bo"))),
            Map.of("issued", new ItemDate(List.of(new ItemDate.Parts(2025, 5, 0)), false, "")));
    Processor processor = SHELF.processor(SHELF.style(style).orElseThrow(), language);
    processor.setItems(List.of(item));
    return processor;
  }

  @DisplayName("In a sentence a work is named by its people, joined by a word")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "apa|Oxlade and Berg (2025)",
        "modern-language-association|Oxlade and Berg",
        "ieee|Oxlade and Berg [1]",
        "nlm-citation-sequence|Oxlade and Berg (1)",
        "chicago-author-date|Oxlade and Berg (2025)",
      })
  void narrative(String style, String wanted) {
    assertThat(processor(style, "en-US").narrative(List.of(Cite.of("1"))).plain().strip())
        .isEqualTo(wanted);
  }

  @DisplayName("Several works stand in a sentence one after another, those of one people together")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "apa|en-US|Oxlade (2024, 2025), Sey et al. (2023), and Berg and Dal (2022)",
        "apa|de-DE|Oxlade (2024, 2025), Sey et al. (2023) und Berg und Dal (2022)",
        "ieee|en-US|Oxlade [1], [2], Sey et al. [3], and Berg and Dal [4]",
        "chicago-author-date|en-US|Oxlade (2024, 2025), Sey et al. (2023), and Berg and Dal (2022)",
      })
  void narrativeOfSeveral(String style, String language, String wanted) {
    Processor processor = SHELF.processor(SHELF.style(style).orElseThrow(), language);
    List<Item> items =
        List.of(
            book("1", 2024, "Oxlade"),
            book("2", 2025, "Oxlade"),
            book("3", 2023, "Sey", "Berg", "Dal"),
            book("4", 2022, "Berg", "Dal"));
    processor.setItems(items);
    assertThat(
            processor
                .narrative(items.stream().map(one -> Cite.of(one.id())).toList())
                .plain()
                .strip())
        .isEqualTo(wanted);
  }

  private static Item book(String id, int year, String... families) {
    return new Item(
        id,
        "book",
        Map.of("title", "Night walks " + id),
        Map.of("author", Stream.of(families).map(one -> ItemName.of(one, "Ada")).toList()),
        Map.of("issued", new ItemDate(List.of(new ItemDate.Parts(year, 0, 0)), false, "")));
  }

  @DisplayName("A style is found by name, and one of a journal follows the one that it stands for")
  @Test
  void dependent() {
    assertThat(cited("apa", "")).isEqualTo("(Oxlade & Berg, 2025)");
    assertThat(cited("apa", "de-DE")).isEqualTo("(Oxlade & Berg, 2025)");
    StyleShelf.Shelved journal = SHELF.style("nature-climate-change").orElseThrow();
    assertThat(journal.info().title()).isEqualTo("Nature Climate Change");
    assertThat(journal.info().parent()).isEqualTo("nature");
    assertThat(journal.info().language()).isEqualTo("en-GB");
    assertThat(journal.style()).isEqualTo(SHELF.style("nature").orElseThrow().style());
  }

  @DisplayName("The language changes words and marks of quotation")
  @Test
  void language() {
    String american = cited("chicago-notes-bibliography", "en-US");
    assertThat(american).isEqualTo("Ada Oxlade and Bo Berg, Night Walks (Ternhollow, 2025).");
    assertThat(cited("chicago-notes-bibliography", "de-DE"))
        .isEqualTo("Ada Oxlade und Bo Berg, Night walks (Ternhollow, 2025).");
    Processor british = processor("harvard-cite-them-right", "en-GB");
    british.setItems(
        List.of(
            new Item(
                "1",
                "article-journal",
                Map.of("title", "Lamps", "container-title", "Annals"),
                Map.of(),
                Map.of())));
    assertThat(british.bibliography().get(0).text().plain()).contains("‘Lamps’");
  }

  @DisplayName("What is no name of a style is none, and reads no other file")
  @ParameterizedTest
  @ValueSource(
      strings = {"", "no-such-style", "../apa", "dependent/nature-climate-change", "APA", "a.b"})
  void unknown(String name) {
    assertThat(SHELF.style(name)).isEmpty();
  }

  @DisplayName("A language ships, or it does not")
  @Test
  void languages() {
    assertThat(SHELF.hasLocale("de-DE")).isTrue();
    assertThat(SHELF.hasLocale("xx-XX")).isFalse();
    assertThat(SHELF.hasLocale("../locales-en-US")).isFalse();
  }

  @DisplayName("What a style says of itself is read; what says nothing is left out")
  @Test
  void heads() {
    assertThat(
            StyleInfoReader.read(
                "one",
                new StringReader(
                    "<style default-locale='de-DE'><info><title> One </title>"
                        + "<title-short>O</title-short><category citation-format='note'/>"
                        + "<category field='social_science'/><eissn>1234-5679</eissn></info>"
                        + "<macro><broken")))
        .contains(
            new StyleInfo(
                "one",
                "One",
                "O",
                "note",
                List.of("social science"),
                List.of("1234-5679"),
                "",
                "de-DE"));
    assertThat(StyleInfoReader.read("two", new StringReader("<style/>"))).isEmpty();
    assertThat(StyleInfoReader.read("three", new StringReader("no XML"))).isEmpty();
  }

  private static StyleInfo info(String name, String title, String field, String issn) {
    return new StyleInfo(name, title, "", "author-date", List.of(field), List.of(issn), "", "");
  }

  @DisplayName("Styles are found by title, discipline and ISSN; what many use comes first")
  @Test
  void finding() {
    StyleFinder finder =
        new StyleFinder(
            List.of(
                info("verge-letters", "Letters on Apa Verges", "ecology", "1111-111X"),
                info("apathy-review", "Apathy Review", "psychology", "2222-2222"),
                info("apa", "APA Style 7th edition", "psychology", "3333-3333"),
                info("ecological-verges", "Écological Verges", "biology", "4444-4444")));
    assertThat(found(finder, "apa")).containsExactly("apa", "apathy-review", "verge-letters");
    assertThat(found(finder, "verg LETT")).containsExactly("verge-letters");
    assertThat(found(finder, "ecolog")).containsExactly("ecological-verges", "verge-letters");
    assertThat(found(finder, "1111-111x")).containsExactly("verge-letters");
    assertThat(found(finder, "11111")).containsExactly("verge-letters");
    assertThat(found(finder, "zz")).isEmpty();
    assertThat(found(finder, "")).hasSize(4).startsWith("apa");
    assertThat(finder.find("apa", 1).count()).isEqualTo(3);
  }

  private static List<String> found(StyleFinder finder, String typed) {
    return finder.find(typed, 10).styles().stream().map(StyleInfo::name).toList();
  }
}
