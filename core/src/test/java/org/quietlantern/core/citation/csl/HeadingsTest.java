package org.quietlantern.core.citation.csl;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/** A bibliography below headings, and letters that have capitals of their language. */
class HeadingsTest {
  private static final List<Item> WORKS =
      List.of(
          ProcessorTest.item("c", 2025, "Oxlade, Ada"),
          ProcessorTest.item("b", 2024, "Oxlade, Ada"),
          ProcessorTest.item("a", 2024, "Berg, Bo"));

  private static final String NAMED =
      """
      <bibliography subsequent-author-substitute="---"><sort><key variable="author"/>
        <key variable="issued"/></sort>
        <layout><text variable="citation-number" suffix=". "/><names variable="author" suffix=" ">
          <name form="short"/></names><date variable="issued"><date-part name="year"/></date></layout>
      </bibliography>
      """;

  private static List<String> entries(ToIntFunction<String> heading) throws StyleReader.Unreadable {
    Processor processor =
        ProcessorTest.processor(
            "", "<citation><layout><text value=\"x\"/></layout></citation>", NAMED);
    processor.setItems(WORKS);
    return processor.bibliography(heading).stream().map(one -> one.text().plain()).toList();
  }

  @DisplayName("Below each heading in the style's order; numbers run through, names begin anew")
  @Test
  void headings() throws StyleReader.Unreadable {
    assertThat(entries(id -> 0)).containsExactly("1. Berg 2024", "2. Oxlade 2024", "3. --- 2025");
    assertThat(entries(id -> id.equals("c") ? 0 : 1))
        .containsExactly("1. Oxlade 2025", "2. Berg 2024", "3. Oxlade 2024");
    assertThat(entries(id -> id.equals("c") ? 1 : 0))
        .as("the same name before and behind a heading")
        .containsExactly("1. Berg 2024", "2. Oxlade 2024", "3. Oxlade 2025");
  }

  @DisplayName("A dotted i keeps its dot in Turkish")
  @Test
  void capitals() throws StyleReader.Unreadable {
    String layout = "<text variable=\"title\" text-case=\"uppercase\"/>";
    Item work =
        new Item("one", "book", Map.of("title", "kirpi", "language", "tr"), Map.of(), Map.of());
    assertThat(ProcessorTest.cited("", "", layout, work)).isEqualTo("KİRPİ");
    assertThat(ProcessorTest.cited("", "", layout, work.with("language", "fi"))).isEqualTo("KIRPI");
  }
}
