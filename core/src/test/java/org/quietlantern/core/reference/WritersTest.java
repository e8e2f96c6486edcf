package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.json.Json;
import jakarta.json.JsonArray;
import jakarta.json.JsonObject;
import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.citation.Kinds;
import org.quietlantern.core.publication.Publication;

@DisplayName("Tables and CSL-JSON")
class WritersTest {
  private static final List<Publication> WORKS = Kinds.all();

  private static String file(ReferenceWriter writer) {
    StringBuilder file = new StringBuilder(writer.begin());
    for (int i = 0; i < WORKS.size(); i++) {
      Reference reference =
          new Reference(
              "k" + i,
              WORKS.get(i),
              "https://lantern.example/p/" + i,
              List.of("=1+1", "\"so\",\nand \u0001"),
              "");
      file.append(i > 0 ? writer.between() : "").append(writer.entry(reference));
    }
    return file.append(writer.end(WORKS.size())).toString();
  }

  @DisplayName("A table is read back cell by cell, and holds no formula")
  @Test
  void table() throws IOException {
    String file = file(new CsvWriter(Included.ALL));
    assertThat(file).startsWith("\uFEFFkey,kind,title,");
    List<CSVRecord> rows =
        CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .get()
            .parse(new StringReader(file.substring(1)))
            .getRecords();
    assertThat(rows).hasSize(WORKS.size());
    for (int i = 0; i < rows.size(); i++) {
      CSVRecord row = rows.get(i);
      assertThat(row.toList()).noneMatch(cell -> cell.matches("(?s)[=+@-].*"));
      assertThat(CsvWriter.read(row.get("title"))).isEqualTo(WORKS.get(i).title());
      assertThat(CsvWriter.read(row.get("first page"))).isEqualTo(WORKS.get(i).host().firstPage());
      assertThat(CsvWriter.read(row.get("notes"))).isEqualTo("=1+1\n\"so\",\nand \u0001");
    }
  }

  @DisplayName("A cell that a spreadsheet would change is kept from that, and read as it was")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "=cmd",
        "+1",
        "-1",
        "@x",
        "\tx",
        "'quoted",
        "''twice",
        "007",
        "9780306406157",
        "1e5",
        "3-4"
      })
  void safe(String cell) {
    assertThat(CsvWriter.safe(cell)).isEqualTo("'" + cell);
    assertThat(CsvWriter.read(CsvWriter.safe(cell))).isEqualTo(cell);
  }

  @DisplayName("Other cells stay as they are")
  @ParameterizedTest
  @ValueSource(strings = {"", "Lamps", "12", "0", "144–156", "10.5555/a.1", "l'ombre"})
  void plain(String cell) {
    assertThat(CsvWriter.safe(cell)).isEqualTo(cell);
    assertThat(CsvWriter.read(cell)).isEqualTo(cell);
  }

  @DisplayName("CSL-JSON has every work with its people, date and what was said")
  @Test
  void json() {
    JsonArray items =
        Json.createReader(new StringReader(file(new CslJsonWriter(Included.ALL)))).readArray();
    assertThat(items).hasSize(WORKS.size());
    JsonObject first = items.getJsonObject(0);
    assertThat(first.getString("id")).isEqualTo("k0");
    assertThat(first.getString("type")).isEqualTo("article-journal");
    assertThat(first.getString("note")).isEqualTo("=1+1\n\"so\",\nand \u0001");
    assertThat(first.getJsonArray("author").getJsonObject(1).getString("given")).isEqualTo("Bo");
    assertThat(first.getJsonObject("issued").toString()).isEqualTo("{\"date-parts\":[[2025,3]]}");
    assertThat(items.getJsonObject(9).getJsonArray("author").getJsonObject(0).getString("literal"))
        .isEqualTo("Verge Trust");
    String brief =
        new CslJsonWriter(new Included(false, false, false, false))
            .entry(new Reference("k", WORKS.get(0), "link", List.of("secret"), "secret"));
    assertThat(brief).doesNotContain("secret").doesNotContain("link");
  }
}
