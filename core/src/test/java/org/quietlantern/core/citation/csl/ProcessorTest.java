package org.quietlantern.core.citation.csl;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What matters of the specification, by examples of our own. */
class ProcessorTest {
  private static final String LOCALE =
      """
      <locale xmlns="http://purl.org/net/xbiblio/csl" version="1.0" xml:lang="en-US">
        <style-options punctuation-in-quote="true"/>
        <date form="text"><date-part name="month" suffix=" "/><date-part name="day" suffix=", "/>
          <date-part name="year"/></date>
        <terms>
          <term name="and">and</term><term name="et-al">et al.</term><term name="ibid">ibid.</term>
          <term name="no date" form="short">n.d.</term>
          <term name="open-quote">“</term><term name="close-quote">”</term>
          <term name="open-inner-quote">‘</term><term name="close-inner-quote">’</term>
          <term name="page" form="short"><single>p.</single><multiple>pp.</multiple></term>
          <term name="editor" form="short"><single>ed.</single><multiple>eds.</multiple></term>
          <term name="month-05">May</term><term name="month-06">June</term>
          <term name="ordinal">th</term><term name="ordinal-01">st</term>
          <term name="ordinal-02">nd</term><term name="ordinal-03">rd</term>
          <term name="ordinal-11">th</term><term name="ordinal-12">th</term>
          <term name="ordinal-13">th</term>
        </terms>
      </locale>
      """;

  private static final String YEARS =
      """
      <group delimiter=" ">
        <names variable="author"><name form="short" and="text" initialize-with=". "/></names>
        <date variable="issued"><date-part name="year"/></date>
      </group>
      """;

  static Processor processor(String root, String citation, String bibliography)
      throws StyleReader.Unreadable {
    LocaleData locale = LocaleReader.read(LOCALE);
    String style =
        "<style xmlns=\"http://purl.org/net/xbiblio/csl\" version=\"1.0\" %s>".formatted(root)
            + citation
            + bibliography
            + "</style>";
    return new Processor(
        StyleReader.read(style),
        "en-US",
        language -> language.equals("en-US") ? Optional.of(locale) : Optional.empty());
  }

  static String cited(String root, String options, String layout, Item... items)
      throws StyleReader.Unreadable {
    Processor processor =
        processor(
            root,
            "<citation %s><layout delimiter=\"; \">%s</layout></citation>"
                .formatted(options, layout),
            "");
    processor.setItems(List.of(items));
    List<Cite> cites = Arrays.stream(items).map(item -> Cite.of(item.id())).toList();
    return processor.citations(List.of(new Citation(cites, 0))).get(0).html();
  }

  static Item item(String id, int year, String... people) {
    List<ItemName> names =
        Arrays.stream(people)
            .map(one -> Particles.of(ItemName.of(one.split(", ")[0], one.split(", ")[1])))
            .toList();
    return new Item(
        id,
        "article-journal",
        Map.of("title", "Moths at lamps"),
        Map.of("author", names),
        Map.of("issued", new ItemDate(List.of(new ItemDate.Parts(year, 0, 0)), false, "")));
  }

  private static Item holding(String variable, String text) {
    return new Item("one", "book", Map.of(variable, text), Map.of(), Map.of());
  }

  @DisplayName("Those who read the same have more names, given names, then a letter")
  @Test
  void toldApart() throws StyleReader.Unreadable {
    assertThat(
            cited(
                "",
                "disambiguate-add-year-suffix=\"true\"",
                YEARS,
                item("1", 2024, "Oxlade, Ada"),
                item("2", 2024, "Oxlade, Ada")))
        .isEqualTo("Oxlade 2024a; Oxlade 2024b");
    assertThat(
            cited(
                "",
                "disambiguate-add-givenname=\"true\"",
                YEARS,
                item("1", 2024, "Oxlade, Ada"),
                item("2", 2024, "Oxlade, Bo")))
        .isEqualTo("A. Oxlade 2024; B. Oxlade 2024");
    assertThat(
            cited(
                "",
                "disambiguate-add-givenname=\"true\"",
                YEARS,
                item("1", 2024, "Oxlade, Ada"),
                item("2", 2024, "Oxlade, Alma")))
        .isEqualTo("Ada Oxlade 2024; Alma Oxlade 2024");
    String etAl = "disambiguate-add-names=\"true\" et-al-min=\"2\" et-al-use-first=\"1\"";
    assertThat(
            cited(
                "",
                etAl,
                YEARS,
                item("1", 2024, "Oxlade, Ada", "Berg, Bo"),
                item("2", 2024, "Oxlade, Ada", "Dal, Di")))
        .isEqualTo("Oxlade and Berg 2024; Oxlade and Dal 2024");
    assertThat(cited("", etAl, YEARS, item("1", 2024, "Oxlade, Ada", "Berg, Bo")))
        .as("who reads like nobody else keeps the short form")
        .isEqualTo("Oxlade et al. 2024");
  }

  @DisplayName("Works of one author stand together, their letters joined")
  @Test
  void collapsed() throws StyleReader.Unreadable {
    assertThat(
            cited(
                "",
                "collapse=\"year-suffix\" disambiguate-add-year-suffix=\"true\""
                    + " year-suffix-delimiter=\",\"",
                YEARS,
                item("1", 2024, "Oxlade, Ada"),
                item("2", 2024, "Oxlade, Ada"),
                item("3", 2025, "Berg, Bo")))
        .isEqualTo("Oxlade 2024a,b; Berg 2025");
    String number = "<text variable=\"citation-number\"/>";
    assertThat(
            cited(
                "",
                "collapse=\"citation-number\"",
                number,
                item("1", 1, "A, A"),
                item("2", 2, "B, B"),
                item("3", 3, "C, C")))
        .isEqualTo("1–3");
  }

  @DisplayName("Particles, suffixes and initials stand where the style puts them")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "van Gogh, Vincent | display-and-sort | Gogh, V. van",
        "van Gogh, Vincent | never | van Gogh, V.",
        "Maupassant, Guy de | display-and-sort | Maupassant, G. de",
        "Roe, Jean-Luc | never | Roe, J.-L.",
        "王, 小明 | never | 王小明",
      })
  void names(String name, String particles, String wanted) throws StyleReader.Unreadable {
    String layout =
        "<names variable=\"author\"><name name-as-sort-order=\"all\" initialize-with=\".\"/></names>";
    String root = "demote-non-dropping-particle=\"%s\"".formatted(particles);
    assertThat(cited(root, "", layout, item("1", 2024, name))).isEqualTo(wanted);
  }

  @DisplayName("Ranges of pages by the rules of a style")
  @ParameterizedTest
  @CsvSource({
    "minimal, 321-328, 321–8",
    "minimal-two, 321-328, 321–28",
    "expanded, 321-8, 321–328",
    "chicago, 1103-4, 1103–4",
    "chicago, 100-4, 100–104",
    "expanded, 110-N6, 110-N6",
    "'', e12, e12",
  })
  void pages(String format, String pages, String wanted) throws StyleReader.Unreadable {
    String root = format.isEmpty() ? "" : "page-range-format=\"%s\"".formatted(format);
    assertThat(cited(root, "", "<text variable=\"page\"/>", holding("page", pages)))
        .isEqualTo(wanted);
  }

  @DisplayName("Titles get their capitals, but what is marked; quotation marks turn within others")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "moths of the north: a review | Moths of the North: A Review",
        "the <span class=\"nocase\">bats</span> of <i>pinus</i> | The bats of <i>Pinus</i>",
        "on \"lit\" verges | On “Lit” Verges",
        "who's there? | Who’s There?",
      })
  void titles(String title, String wanted) throws StyleReader.Unreadable {
    String layout = "<text variable=\"title\" text-case=\"title\"/>";
    assertThat(cited("", "", layout, holding("title", title))).isEqualTo(wanted);
  }

  @DisplayName("Punctuation that meets is put right, and goes into quotations where it belongs")
  @Test
  void punctuation() throws StyleReader.Unreadable {
    String layout = "<text variable=\"title\" quotes=\"true\" suffix=\".\"/>";
    assertThat(cited("", "", layout, holding("title", "Moths?"))).isEqualTo("“Moths?”");
    assertThat(cited("", "", layout, holding("title", "Moths."))).isEqualTo("“Moths.”");
    assertThat(cited("", "", layout, holding("title", "Moths at 'lamps'")))
        .isEqualTo("“Moths at ‘lamps.’”");
  }

  @DisplayName("A range of dates repeats nothing")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "5 | 3 | 2024 | May 1–3, 2024",
        "6 | 3 | 2024 | May 1–June 3, 2024",
        "6 | 3 | 2025 | May 1, 2024–June 3, 2025",
      })
  void dates(int month, int day, int year, String wanted) throws StyleReader.Unreadable {
    ItemDate date =
        new ItemDate(
            List.of(new ItemDate.Parts(2024, 5, 1), new ItemDate.Parts(year, month, day)),
            false,
            "");
    Item item = new Item("1", "book", Map.of(), Map.of(), Map.of("issued", date));
    assertThat(cited("", "", "<date variable=\"issued\" form=\"text\"/>", item)).isEqualTo(wanted);
  }

  @DisplayName("A bibliography is sorted, numbered, and names the same authors once")
  @Test
  void bibliography() throws StyleReader.Unreadable {
    Processor processor =
        processor(
            "",
            "<citation><layout><text variable=\"citation-number\"/></layout></citation>",
            "<bibliography subsequent-author-substitute=\"———\" second-field-align=\"flush\"><sort>"
                + "<key variable=\"author\"/><key variable=\"issued\"/></sort><layout suffix=\".\">"
                + "<text variable=\"citation-number\"/>"
                + "<group delimiter=\", \"><names variable=\"author\"/>"
                + "<date variable=\"issued\"><date-part name=\"year\"/></date></group>"
                + "</layout></bibliography>");
    processor.setItems(
        List.of(
            item("1", 2025, "Oxlade, Ada"),
            item("2", 2024, "Oxlade, Ada"),
            item("3", 2020, "Berg, Bo")));
    assertThat(processor.bibliography())
        .extracting(Processor.Entry::item)
        .containsExactly("3", "2", "1");
    assertThat(processor.bibliography().get(1).text().html())
        .isEqualTo(
            "<div class=\"csl-left-margin\">2</div>"
                + "<div class=\"csl-right-inline\">Ada Oxlade, 2024.</div>");
    assertThat(processor.bibliography().get(2).text().html()).contains("———, 2025.");
    assertThat(processor.bibliography().get(1).text().blocks())
        .extracting(Block::display, Block::plain)
        .containsExactly(
            tuple(Block.Display.LEFT_MARGIN, "2"),
            tuple(Block.Display.RIGHT_INLINE, "Ada Oxlade, 2024."));
    assertThat(processor.entryLayout()).isEqualTo(new EntryLayout(false, true, 1, 1));
  }

  @DisplayName("Where a work lacks something, no blanks and marks of the style are left over")
  @Test
  void tidy() throws StyleReader.Unreadable {
    String layout =
        "<group suffix=\".\"><group suffix=\", \"><text variable=\"title\" suffix=\", \"/>"
            + "</group></group>";
    Item bare = holding("title", "T . x");
    assertThat(cited("", "", layout, bare)).isEqualTo("T . x,.");
    Processor every =
        processor("", "<citation><layout>" + layout + "</layout></citation>", "").withEveryMark();
    every.setItems(List.of(bare));
    assertThat(every.citations(List.of(new Citation(List.of(Cite.of("one")), 0))).get(0).plain())
        .isEqualTo("T . x, , .");
  }

  @DisplayName("Looks come as runs: what a title marks within the same look is plain")
  @Test
  void runs() throws StyleReader.Unreadable {
    Processor processor =
        processor(
            "",
            "<citation><layout><text variable=\"title\" font-style=\"italic\"/>"
                + "<text variable=\"volume\" prefix=\" \" font-weight=\"bold\"/></layout></citation>",
            "");
    Item named = holding("title", "On <i>Noctua</i> and CO<sub>2</sub>").with("volume", "7");
    processor.setItems(List.of(named));
    List<Block> blocks =
        processor.citations(List.of(new Citation(List.of(Cite.of("one")), 0))).get(0).blocks();
    Run.Look italic = new Run.Look(true, false, false, false, Run.Level.BASELINE);
    assertThat(blocks)
        .containsExactly(
            new Block(
                Block.Display.LINE,
                List.of(
                    new Run("On ", italic),
                    new Run("Noctua", Run.Look.PLAIN),
                    new Run(" and CO", italic),
                    new Run("2", new Run.Look(true, false, false, false, Run.Level.SUBSCRIPT)),
                    new Run(" ", Run.Look.PLAIN),
                    new Run("7", new Run.Look(false, true, false, false, Run.Level.BASELINE)))));
  }

  @DisplayName("A style with a circle of macros, and what is no style, say so or go on")
  @Test
  void bad() throws StyleReader.Unreadable {
    assertThat(
            cited("", "", "<text macro=\"a\"/><text variable=\"title\"/>", holding("title", "T")))
        .isEqualTo("T");
    Processor circle =
        processor(
            "",
            "<macro name=\"a\"><text macro=\"b\"/></macro>"
                + "<macro name=\"b\"><text macro=\"a\"/><text value=\"end\"/></macro>"
                + "<citation><layout><text macro=\"a\"/></layout></citation>",
            "");
    circle.setItems(List.of(holding("title", "T")));
    assertThat(circle.citations(List.of(new Citation(List.of(Cite.of("one")), 0))))
        .extracting(Typeset::plain)
        .containsExactly("end");
    assertThatThrownBy(() -> StyleReader.read("<style/>")).hasMessage("The style has no citation.");
    assertThatThrownBy(() -> StyleReader.read("<a>")).hasMessageStartingWith("This is no XML");
    assertThatThrownBy(() -> StyleReader.read("<!DOCTYPE a><a/>"))
        .isInstanceOf(StyleReader.Unreadable.class);
  }

  private static final String EVERYTHING =
      """
      <group delimiter=", ">
        <names variable="author"><name and="text" initialize-with="." name-as-sort-order="first"/>
          <label form="short" prefix=" "/><substitute><names variable="editor"/>
          <text variable="title"/></substitute></names>
        <text variable="title" text-case="title" quotes="true"/>
        <number variable="edition" form="ordinal"/><text variable="page"/>
        <label variable="page" form="short"/><date variable="issued" form="text"/>
      </group>
      """;

  @DisplayName("Whatever a work holds, something comes out, and in time")
  @Test
  void anything() throws StyleReader.Unreadable {
    List<String> odd =
        List.of(
            "",
            " ",
            "(".repeat(10_000),
            "\"'".repeat(5_000),
            "<i>".repeat(3_000),
            "<i><b></i></b>",
            "</i>",
            "\u202e\u0645\u0631\u062d\u0628\u0627",
            "\ud83e\udd87",
            "\ud83e",
            "9".repeat(5_000),
            "1-2-3-,&",
            "–",
            "12345678901234567890",
            "a.b.c.d ".repeat(1_000));
    for (String one : odd) {
      Item item =
          new Item(
              "1",
              one,
              Map.of("title", one, "edition", one, "page", one),
              Map.of(
                  "author", List.of(Particles.of(ItemName.of(one, one)), ItemName.of("", "")),
                  "editor", List.of()),
              Map.of("issued", new ItemDate(List.of(), true, one)));
      assertThat(cited("", "disambiguate-add-names=\"true\"", EVERYTHING, item)).isNotNull();
    }
    List<ItemName> people =
        IntStream.range(0, 10_000).mapToObj(n -> ItemName.of("Name" + n, "Given")).toList();
    Item many = new Item("1", "book", Map.of(), Map.of("author", people), Map.of());
    assertThat(cited("", "", EVERYTHING, many)).endsWith("G. Name9999");
    for (int month : new int[] {-1, 0, 13, 24, 99}) {
      ItemDate date =
          new ItemDate(
              List.of(new ItemDate.Parts(2024, month, 99), new ItemDate.Parts(-5, month, -1)),
              false,
              "");
      Item dated = new Item("1", "book", Map.of(), Map.of(), Map.of("issued", date));
      assertThat(cited("", "", EVERYTHING, dated)).contains("2024");
    }
  }
}
