package org.quietlantern.core.citation.csl;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Small things that readers see: what somebody typed into a citation, odd dates, odd initials. */
class SmallThingsTest {
  private static final String LOCATED =
      """
      <citation><layout><group delimiter=", "><text variable="title"/>
        <group delimiter=" "><label variable="locator" form="short"/>
          <text variable="locator"/></group></group></layout></citation>
      """;

  private static Item titled(String title) {
    return new Item("one", "book", Map.of("title", title), Map.of(), Map.of());
  }

  private static String cited(String citation, Cite cite) throws StyleReader.Unreadable {
    Processor processor = ProcessorTest.processor("class=\"note\"", citation, "");
    processor.setItems(List.of(titled("Lamps")));
    return processor.citations(List.of(new Citation(List.of(cite), 0))).get(0).html();
  }

  @DisplayName("A locator that says itself what it counts gets no other word before it")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "12-14        |         | Lamps, pp. 12–14",
        "p. 12        |         | Lamps, p. 12",
        "pp. 12, 14   |         | Lamps, pp. 12, 14",
        "p. 12        | page    | Lamps, p. p. 12",
        "pier 12      |         | Lamps, p. pier 12"
      })
  void locatorsThatSayWhat(String locator, String label, String wanted)
      throws StyleReader.Unreadable {
    Cite cite = new Cite("one", locator, label == null ? "" : label, "", "", false);
    assertThat(cited(LOCATED, cite)).isEqualTo(wanted);
  }

  @DisplayName("A stop behind a quotation that somebody typed stays where they typed it")
  @Test
  void typedStops() throws StyleReader.Unreadable {
    String plain = "<citation><layout><text variable=\"title\"/></layout></citation>";
    assertThat(cited(plain, new Cite("one", "", "", "", ", \"so\".", false)))
        .isEqualTo("Lamps, “so”.");
    String quoted =
        "<citation><layout><text variable=\"title\" quotes=\"true\"/></layout></citation>";
    assertThat(cited(quoted, new Cite("one", "", "", "", ". Also", false)))
        .isEqualTo("“Lamps.” Also");
  }

  @DisplayName("The day on which somebody looked does not tell works apart")
  @Test
  void lookedAt() throws StyleReader.Unreadable {
    String citation =
        """
        <citation disambiguate-add-year-suffix="true"><layout delimiter="; ">
          <names variable="author"/><text variable="year-suffix" prefix=" "/>
          <date variable="accessed" form="text" prefix=" "/></layout></citation>
        """;
    Processor processor = ProcessorTest.processor("class=\"in-text\"", citation, "");
    List<Item> items = List.of(looked("one", 1), looked("two", 2));
    processor.setItems(items);
    assertThat(
            processor
                .citations(List.of(new Citation(List.of(Cite.of("one"), Cite.of("two")), 0)))
                .get(0)
                .html())
        .isEqualTo("Anna Sey a May 1, 2025; Anna Sey b May 2, 2025");
  }

  private static Item looked(String id, int day) {
    ItemDate at = new ItemDate(List.of(new ItemDate.Parts(2025, 5, day)), false, "");
    List<ItemName> author = List.of(ItemName.of("Sey", "Anna"));
    return new Item(id, "webpage", Map.of(), Map.of("author", author), Map.of("accessed", at));
  }

  @DisplayName("What is no month and no season is none, nor is its day")
  @ParameterizedTest
  @CsvSource({"12, 12, 3", "24, 24, 3", "25, 0, 0", "60, 0, 0", "-1, 0, 0", "0, 0, 0"})
  void months(int month, int kept, int day) {
    assertThat(new ItemDate.Parts(2025, month, 3)).isEqualTo(new ItemDate.Parts(2025, kept, day));
  }

  @DisplayName("One sound that is written with several capitals is one initial")
  @ParameterizedTest
  @CsvSource({"TSerendorjiin, Ts.", "Tserendorjiin, T.", "JR, J.", "McAdam, M."})
  void initials(String given, String wanted) {
    assertThat(Initials.of(given, ".", true, true)).isEqualTo(wanted);
  }
}
