package org.quietlantern.server.citing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("Citing works in a style")
class CitingTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Cita Citing", "Colin Colleague").guest("Gil Guest");
  private final Client client = group.client(0);
  private final List<String> found = group.find("moth");

  private static Client.Response cite(
      Client who, String style, String language, List<Map<String, String>> cites) {
    return who.post("/citations", Map.of("cites", cites, "style", style, "language", language));
  }

  private static String text(JsonNode parts) {
    StringBuilder text = new StringBuilder();
    parts.forEach(part -> part.get("runs").forEach(run -> text.append(run.get("text").asString())));
    return text.toString();
  }

  @DisplayName("Ten thousand styles ship; they are found by what is typed")
  @Test
  void styles() {
    assertThat(client.get("/styles").ok().get("count").asInt()).isGreaterThan(10_000);
    JsonNode apa = client.get("/styles?typed=apa").ok().get("styles").get(0);
    assertThat(apa.get("name").asString()).isEqualTo("apa");
    assertThat(apa.get("title").asString()).contains("7th edition");
    assertThat(apa.get("format").asString()).isEqualTo("author-date");
    assertThat(apa.get("checked").asBoolean()).isFalse();
    JsonNode ieee = client.get("/styles?typed=ieee").ok().get("styles").get(0);
    assertThat(ieee.get("checked").asBoolean()).isTrue();
    assertThat(client.get("/styles?typed=zzzz").ok().get("count").asInt()).isZero();
    JsonNode choices = client.get("/citing").ok();
    assertThat(choices.get("style").get("name").asString()).isEqualTo("apa");
    assertThat(choices.get("languages").size()).isGreaterThan(40);
  }

  @DisplayName("Several works are cited together, with what is said of each")
  @Test
  void together() {
    JsonNode cited =
        cite(
                client,
                "apa",
                "en-US",
                List.of(
                    Map.of("publication", found.get(0), "locator", "12-14", "label", "page"),
                    Map.of("publication", found.get(1), "prefix", "see ")))
            .ok();
    assertThat(text(cited.get("inText"))).matches("\\(.*pp\\. 12–14.*\\)").contains("see ");
    assertThat(text(cited.get("narrative"))).matches("\\S.*\\(.*\\d{4}.*\\)");
    assertThat(cited.get("entries")).hasSize(2);
    assertThat(cited.get("layout").get("hangingIndent").asBoolean()).isTrue();
    assertThat(cited.get("html").asString())
        .contains("margin:0 0 0pt 36.0pt;text-indent:-36.0pt")
        .contains("<i>");
    assertThat(cited.get("text").asString().lines()).hasSize(2);
    assertThat(cited.get("missing")).isEmpty();
  }

  @DisplayName("One work stands in it once, however often it is cited; guests cite, too")
  @Test
  void once() {
    Map<String, String> one = Map.of("publication", found.get(0));
    JsonNode cited = cite(group.client(2), "ieee", "", List.of(one, one)).ok();
    assertThat(cited.get("entries")).hasSize(1);
    JsonNode parts = cited.get("entries").get(0).get("parts");
    assertThat(parts.get(0).get("display").asString()).isEqualTo("left-margin");
    assertThat(text(cited.get("inText"))).startsWith("[1]");
  }

  @DisplayName("What a search found is a bibliography, each work once")
  @Test
  void searched() throws IOException {
    Map<String, Object> asked = Map.of("asked", Map.of("text", "moth"), "order", "relevance");
    String q = client.post("/steps", asked).ok().get("q").asString();
    byte[] file = client.getBytes("/q/" + q + "/bibliography/docx");
    try (XWPFDocument document = new XWPFDocument(new ByteArrayInputStream(file))) {
      assertThat(document.getParagraphs())
          .filteredOn(one -> "Bibliography".equals(one.getStyle()))
          .hasSize(found.size());
    }
  }

  @DisplayName("A style or a language that does not ship, no work, too many: a sentence")
  @Test
  void refused() {
    Map<String, String> one = Map.of("publication", found.get(0));
    Client.Response unknown = cite(client, "no-such-style", "", List.of(one));
    assertThat(unknown.type()).isEqualTo("style");
    assertThat(unknown.body()).contains("There is no citation style named “no-such-style” here.");
    assertThat(cite(client, "../apa", "", List.of(one)).status()).isEqualTo(422);
    assertThat(cite(client, "apa", "xx-XX", List.of(one)).type()).isEqualTo("language");
    assertThat(cite(client, "apa", "", List.of()).status()).isEqualTo(422);
    assertThat(cite(client, "apa", "", List.of(Map.of("publication", "nobody"))).status())
        .isEqualTo(404);
    Map<String, String> wordy = Map.of("publication", found.get(0), "prefix", "x".repeat(501));
    assertThat(cite(client, "apa", "", List.of(wordy)).status()).isEqualTo(422);
    Object many = Collections.nCopies(501, one);
    assertThat(client.post("/citations", Map.of("cites", many)).status()).isEqualTo(422);
  }

  @DisplayName("The leaf cites in the style that a coordinator set for the group")
  @Test
  void style() {
    String leaf = "/publications/" + found.get(0);
    assertThat(client.get(leaf).ok().get("cited").get("style").get("name").asString())
        .isEqualTo("apa");
    JsonNode now = client.get("/settings").ok();
    Map<String, Object> wanted =
        Map.of(
            "name",
            now.get("name").asString(),
            "zone",
            now.get("zone").asString(),
            "membersInvite",
            false,
            "citationStyle",
            "american-medical-association",
            "citationLanguage",
            "",
            "version",
            now.get("version").asInt());
    client.put("/settings", wanted).ok();
    JsonNode cited = client.get(leaf).ok();
    assertThat(cited.get("cited").get("style").get("title").asString()).contains("11th edition");
    assertThat(cited.get("cited").get("text").asString()).startsWith("1.\t");
    assertThat(cited.get("citation").asString()).doesNotStartWith("1.");
    assertThat(group.client(1).put("/settings", wanted).status()).isEqualTo(403);
  }
}
