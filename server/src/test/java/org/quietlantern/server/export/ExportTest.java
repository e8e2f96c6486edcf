package org.quietlantern.server.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@DisplayName("Works leave as files of references")
class ExportTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Expo Rowan", "Bo Berg").guest("Gil Guest");
  private final Client client = group.client(0);
  private final String folder = group.folder("Verge lamps");
  private final List<String> kept = group.find("moth").subList(0, 5);
  private final String path = "/folders/" + folder;

  ExportTest() {
    client.post(path + "/items", Map.of("publications", kept, "note", "for the review")).ok();
  }

  private static List<String> keys(String bibtex) {
    return Pattern.compile("(?m)^@\\w+\\{([^,]+),")
        .matcher(bibtex)
        .results()
        .map(found -> found.group(1))
        .toList();
  }

  private String bibtex() {
    return client.exported(path, "bibtex");
  }

  @DisplayName("A preview shows the first work, how many there are and in which order")
  @Test
  void preview() {
    JsonNode shown =
        client
            .post(path + "/export/preview", Map.of("format", "ris", "with", List.of("link")))
            .ok();
    assertThat(shown.get("works").asInt()).isEqualTo(5);
    assertThat(shown.get("fileName").asString()).isEqualTo("Verge-lamps.ris");
    assertThat(shown.get("first").asString()).startsWith("TY  - ").contains("UR  - http");
    assertThat(shown.get("first").asString().split("TY  - ")).hasSize(2);
    assertThat(shown.get("offered").valueStream().map(JsonNode::asString))
        .contains("reasons", "marks", "annotation");
    assertThat(client.exported(path, "ris", "link")).startsWith(shown.get("first").asString());
  }

  @DisplayName("C5: a key stays, also when the title is mended, a work goes, or others come")
  @Test
  void keys() {
    String first = bibtex();
    List<String> before = keys(first);
    assertThat(before).hasSize(5).doesNotHaveDuplicates();
    assertThat(bibtex()).isEqualTo(first);
    String title =
        client.get("/publications/" + kept.get(0)).ok().at("/publication/title").asString();
    Map<String, String> mend =
        Map.of("publication", kept.get(0), "field", "title", "was", title, "value", "Zebra lamps");
    client.put("/mends", Map.of("mends", List.of(mend))).ok();
    assertThat(keys(bibtex())).isEqualTo(before);
    assertThat(bibtex()).contains("Zebra lamps");
    client
        .post(path + "/items", Map.of("publications", group.find("bat*").subList(0, 3), "note", ""))
        .ok();
    assertThat(keys(bibtex())).containsAll(before).hasSizeGreaterThan(5);
    assertThat(keys(client.exported(path, "biblatex"))).isEqualTo(keys(bibtex()));
  }

  @DisplayName("Many who export for the first time in the same moment get the same keys")
  @Test
  void together() {
    List<CompletableFuture<String>> files = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      Client one = group.client(i % 2).below("/api/groups/" + group.pid());
      files.add(CompletableFuture.supplyAsync(() -> one.exported(path, "bibtex")));
    }
    assertThat(files.stream().map(CompletableFuture::join).distinct()).hasSize(1);
  }

  @DisplayName("Works of one name and year are told apart by letters, whatever the order")
  @Test
  void clashes() {
    List<Map<String, String>> same = new ArrayList<>();
    for (String one : kept) {
      String title = client.get("/publications/" + one).ok().at("/publication/title").asString();
      same.add(Map.of("publication", one, "field", "title", "was", title, "value", "Same lamps"));
      JsonNode fields = client.get("/publications/" + one + "/fields").ok();
      for (JsonNode field : fields) {
        String name = field.get("field").asString();
        if (name.equals("authors") || name.equals("year") || name.equals("date")) {
          String value = name.equals("authors") ? "Oxlade, Rhona" : "2024";
          same.add(
              Map.of(
                  "publication", one,
                  "field", name,
                  "was", field.get("reads").asString(),
                  "value", value));
        }
      }
    }
    client.put("/mends", Map.of("mends", same)).ok();
    assertThat(keys(bibtex()))
        .containsExactlyInAnyOrder(
            "oxlade2024same",
            "oxlade2024samea",
            "oxlade2024sameb",
            "oxlade2024samec",
            "oxlade2024samed");
  }

  @DisplayName("What members said goes along where it is wanted, and for whom it is not, not")
  @Test
  void said() {
    // Whoever kept it would take it out of the folder by that.
    group
        .client(1)
        .post(
            "/marks",
            Map.of("publications", kept.subList(0, 1), "mark", "raise", "reason", "Odd lux"))
        .ok();
    String all = client.exported(path, "ris", "reasons", "added", "marks");
    assertThat(all)
        .contains("N1  - Added by Expo Rowan, ")
        .contains(": for the review")
        .contains("N1  - Marked raise by Bo Berg, ")
        .contains(": Odd lux");
    assertThat(all.split("for the review", -1)).as("once a work").hasSize(6);
    assertThat(client.exported(path, "ris"))
        .doesNotContain("N1  - Added")
        .doesNotContain("Odd lux");
    Client guest = group.client(2);
    assertThat(guest.exported(path, "ris", "reasons", "added", "marks"))
        .contains("for the review")
        .doesNotContain("Odd lux");
    JsonNode offered =
        guest.post(path + "/export/preview", Map.of("format", "ris", "with", List.of())).ok();
    assertThat(offered.get("offered").valueStream().map(JsonNode::asString))
        .doesNotContain("marks");
  }

  @DisplayName("Chosen works stand in their order; what is not there is named")
  @Test
  void chosen() {
    Map<String, Object> wanted =
        Map.of(
            "format", "csl-json",
            "with", List.of("link"),
            "publications", List.of(kept.get(3), "zzzzzzzzzz", kept.get(1), kept.get(3)));
    Client.Response answer = client.post("/export", wanted);
    List<JsonNode> lines = answer.body().lines().map(new JsonMapper()::readTree).toList();
    JsonNode end = lines.get(lines.size() - 1);
    assertThat(end.get("works").asInt()).isEqualTo(2);
    assertThat(end.get("left").get(0).get("what").asString()).isEqualTo("zzzzzzzzzz");
    String file =
        lines.stream().map(line -> line.path("text").asString("")).reduce("", String::concat);
    JsonNode items = new JsonMapper().readTree(file);
    assertThat(items).hasSize(2);
    assertThat(items.get(0).get("URL").asString()).endsWith("/p/" + kept.get(3));
    assertThat(client.post("/export/preview", wanted).ok().get("left")).hasSize(1);
    Map<String, Object> one = new HashMap<>(wanted);
    one.put("publications", List.of("zzzzzzzzzz", kept.get(1)));
    JsonNode shown = client.post("/export/preview", one).ok();
    assertThat(shown.get("works").asInt()).isEqualTo(1);
    assertThat(shown.get("left")).hasSize(1);
  }

  @DisplayName("What cannot be asked for is refused before a file begins")
  @ParameterizedTest
  @CsvSource({"docx, link, format", "ris, everything, with"})
  void refused(String format, String with, String type) {
    Client.Response answer =
        client.post(path + "/export", Map.of("format", format, "with", List.of(with)));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.type()).isEqualTo(type);
    assertThat(client.post("/export", Map.of("format", "ris", "with", List.of())).type())
        .isEqualTo("publications");
  }

  @DisplayName("Whoever was asked to one folder exports it, and nothing else")
  @Test
  void folderGuest() {
    group.folderGuest("Fola Outside", folder, "read");
    Client outside = group.client(3);
    assertThat(outside.exported(path, "bibtex", "marks")).contains("@");
    Map<String, Object> works = Map.of("format", "ris", "with", List.of(), "publications", kept);
    assertThat(outside.post("/export", works).status()).isEqualTo(404);
    String q =
        client
            .post(
                "/steps",
                Map.of("asked", Map.of("text", "moth"), "order", "relevance"),
                UUID.randomUUID())
            .ok()
            .get("q")
            .asString();
    Map<String, Object> all = Map.of("format", "ris", "with", List.of());
    assertThat(outside.post("/q/" + q + "/export", all).status()).isEqualTo(404);
    assertThat(client.post("/q/" + q + "/export", all).status()).isEqualTo(200);
  }
}
