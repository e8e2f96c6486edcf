package org.quietlantern.server.bibliography;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("A folder is a bibliography, too")
class BibliographyTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Bibi Books", "Bo Berg").guest("Gil Guest");
  private final Client client = group.client(0);
  private final String folder = group.folder("Moths at lamps");
  private final List<String> kept = group.find("moth").subList(0, 5);
  private final String path = "/folders/" + folder + "/bibliography";

  BibliographyTest() {
    kept.forEach(
        one ->
            client
                .post(
                    "/folders/" + folder + "/items",
                    Map.of("publications", List.of(one), "note", ""))
                .ok());
  }

  private static List<String> entries(JsonNode bibliography) {
    List<String> entries = new ArrayList<>();
    bibliography.get("entries").forEach(one -> entries.add(one.get("publication").asString()));
    return entries;
  }

  private Client.Response set(Client who, String style, boolean byHand) {
    return who.put(path, Map.of("style", style, "language", "", "byHand", byHand));
  }

  @DisplayName("All works stand in it once, in the group's style until the folder has its own")
  @Test
  void style() {
    JsonNode first = client.get(path).ok();
    assertThat(first.get("style").get("name").asString()).isEqualTo("apa");
    assertThat(first.get("ownStyle").asBoolean()).isFalse();
    assertThat(first.get("sorted").asBoolean()).isTrue();
    assertThat(first.get("count").asInt()).isEqualTo(5);
    assertThat(entries(first)).containsExactlyInAnyOrderElementsOf(kept);
    assertThat(first.get("empty")).isEmpty();
    UUID act = UUID.randomUUID();
    client.write("PUT", path, Map.of("style", "ieee", "language", "", "byHand", false), act).ok();
    JsonNode now = group.client(1).get(path).ok();
    assertThat(now.get("style").get("name").asString()).isEqualTo("ieee");
    assertThat(now.get("ownStyle").asBoolean()).isTrue();
    assertThat(now.get("sorted").asBoolean()).isFalse();
    // Another style is tried by whoever looks, for themselves.
    assertThat(client.get(path + "?style=apa").ok().get("style").get("name").asString())
        .isEqualTo("apa");
    client.post("/actions/" + act + "/undo", Map.of()).ok();
    assertThat(client.get(path).ok()).isEqualTo(first);
  }

  @DisplayName("By hand it stands as the folder does, and says so in the file")
  @Test
  void byHand() throws IOException {
    set(client, "apa", true).ok();
    client.put("/folders/" + folder + "/items/" + kept.get(0) + "/place", Map.of()).ok();
    List<String> hand = new ArrayList<>();
    client
        .get("/folders/" + folder + "?folder-order=hand")
        .ok()
        .get("ids")
        .forEach(id -> hand.add(id.asString()));
    assertThat(entries(client.get(path).ok())).isEqualTo(hand);
    assertThat(client.get(path + "/text").body()).contains("in the order of the folder");
    client
        .put(
            "/folders/" + folder + "/items/" + hand.get(4) + "/place",
            Map.of("before", hand.get(0)))
        .ok();
    assertThat(entries(client.get(path).ok())).startsWith(hand.get(4));
  }

  @DisplayName("The DOCX hangs its entries, keeps italics and has live links")
  @Test
  void docx() throws IOException {
    byte[] file = client.getBytes(path + "/docx");
    try (XWPFDocument document = new XWPFDocument(new ByteArrayInputStream(file))) {
      List<XWPFParagraph> entries =
          document.getParagraphs().stream()
              .filter(one -> "Bibliography".equals(one.getStyle()))
              .toList();
      assertThat(entries).hasSize(5);
      assertThat(entries)
          .allSatisfy(
              one -> {
                assertThat(one.getIndentationLeft()).isEqualTo(720);
                assertThat(one.getIndentationHanging()).isEqualTo(720);
                assertThat(one.getRuns()).anyMatch(run -> run.isItalic());
              });
      assertThat(document.getHyperlinks()).isNotEmpty();
      assertThat(document.getParagraphs().get(0).getText()).isEqualTo("Moths at lamps");
    }
    set(client, "ieee", false).ok();
    try (XWPFDocument document =
        new XWPFDocument(new ByteArrayInputStream(client.getBytes(path + "/docx")))) {
      assertThat(document.getParagraphs().get(2).getText()).startsWith("[1]\t");
    }
  }

  @DisplayName("A page, a text and what a clipboard carries have every entry")
  @Test
  void files() {
    assertThat(client.get(path + "/html").body())
        .startsWith("<!DOCTYPE html>")
        .contains("APA Style 7th edition, in the order of the style.");
    JsonNode pasted = client.get(path + "/pasted").ok();
    assertThat(pasted.get("html").asString().lines()).hasSize(5);
    assertThat(pasted.get("text").asString().lines()).hasSize(5);
    assertThat(client.get(path + "/text").body().split("\n\n")).hasSize(6);
  }

  @DisplayName("Who may not change a folder does not set it; a stranger finds nothing")
  @Test
  void rights() {
    assertThat(set(group.client(2), "ieee", false).status()).isEqualTo(403);
    assertThat(group.client(2).get(path).ok().get("count").asInt()).isEqualTo(5);
    assertThat(APP.group("Stran Ger").client(0).get(path).status()).isEqualTo(404);
    assertThat(set(client, "no-such-style", false).status()).isEqualTo(422);
    assertThat(client.get(path + "?style=no-such-style").status()).isEqualTo(422);
    assertThat(client.get(path + "?language=xx").status()).isEqualTo(422);
  }
}
