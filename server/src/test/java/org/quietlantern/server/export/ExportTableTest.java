package org.quietlantern.server.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.STPageOrientation;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("Works leave as a table, to be compared side by side")
class ExportTableTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Tabea Rows", "Bo Berg").guest("Gil Guest");
  private final Client client = group.client(0);
  private final String folder = group.folder("Side by side");
  private final List<String> kept = group.find("moth").subList(0, 4);
  private final String path = "/folders/" + folder + "/export/table";

  ExportTableTest() {
    client
        .post("/folders/" + folder + "/items", Map.of("publications", kept, "note", "=the \"lux\""))
        .ok();
  }

  private static Map<String, Object> table(String form, String... columns) {
    return Map.of("form", form, "columns", List.of(columns));
  }

  private static List<CSVRecord> rows(Client.Response answer) throws IOException {
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    return CSVFormat.RFC4180
        .builder()
        .setHeader()
        .setSkipHeaderRecord(true)
        .get()
        .parse(new StringReader(answer.body().substring(1)))
        .getRecords();
  }

  @DisplayName("Columns stand in the order chosen; a cell is no formula; what was said has its own")
  @Test
  void csv() throws IOException {
    group
        .client(1)
        .post("/marks", Map.of("publications", kept, "mark", "raise", "reason", "Odd lux"))
        .ok();
    List<CSVRecord> rows =
        rows(client.post(path, table("csv", "title", "year", "reasons", "marks", "added")));
    assertThat(rows).hasSize(4);
    assertThat(rows.get(0).toMap().keySet())
        .containsExactlyInAnyOrder("title", "year", "reasons", "marks", "added");
    for (CSVRecord row : rows) {
      assertThat(row.get("reasons")).isEqualTo("Tabea Rows: =the \"lux\"");
      assertThat(row.get("marks")).contains("Marked raise by Bo Berg", "Odd lux");
      assertThat(row.get("added")).startsWith("Added by Tabea Rows, ").doesNotContain("lux");
    }
    Client.Response guests = group.client(2).post(path, table("csv", "title", "marks", "reasons"));
    assertThat(rows(guests).get(0).get("marks")).isEmpty();
    assertThat(rows(guests).get(0).get("reasons")).isNotEmpty();
  }

  @DisplayName("As a document it lies on its side, with its heads on each page")
  @Test
  void docx() throws IOException {
    byte[] file =
        client.postForBytes(path, table("docx", "authors", "year", "title", "study", "taxon"));
    try (XWPFDocument document = new XWPFDocument(new ByteArrayInputStream(file))) {
      XWPFTable made = document.getTables().get(0);
      assertThat(made.getRows()).hasSize(5);
      assertThat(made.getRow(0).isRepeatHeader()).isTrue();
      assertThat(made.getRow(0).getCell(2).getText()).isEqualTo("title");
      assertThat(document.getDocument().getBody().getSectPr().getPgSz().getOrient())
          .isEqualTo(STPageOrientation.LANDSCAPE);
      JsonNode first = client.get("/folders/" + folder).ok().at("/items/0/publication");
      assertThat(made.getRow(1).getCell(2).getText()).isEqualTo(first.get("title").asString());
      assertThat(document.getParagraphs().get(1).getText())
          .isEqualTo("4 publications, in the order of the list.");
    }
  }

  @DisplayName("What is no table is refused")
  @ParameterizedTest
  @CsvSource({"pdf, title, form", "csv, colour, columns"})
  void refused(String form, String column, String type) {
    assertThat(client.post(path, table(form, column)).type()).isEqualTo(type);
    assertThat(client.post(path, table("csv")).type()).isEqualTo("columns");
  }
}
