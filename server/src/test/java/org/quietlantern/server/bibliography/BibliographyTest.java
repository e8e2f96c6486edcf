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

  @DisplayName("A style that has notes alone has no entries, and says how many works there are")
  @Test
  void notesAlone() {
    JsonNode notes = client.get(path + "?style=chicago-notes").ok();
    assertThat(notes.get("entries")).isEmpty();
    assertThat(notes.get("count").asInt()).isEqualTo(5);
    assertThat(client.get(path + "/text?style=chicago-notes").status()).isEqualTo(200);
  }

  @DisplayName("A field that is mended twice in one act is as it was after its undo")
  @Test
  void twiceInOne() {
    Map<String, String> first = wanted(0, "title", title(0), "One");
    Map<String, String> second = wanted(0, "title", title(0), "Two");
    UUID act = UUID.randomUUID();
    client.write("PUT", "/mends", mends(first, second), act).ok();
    assertThat(plain(entry(0))).contains("Two");
    client.post("/actions/" + act + "/undo", Map.of()).ok();
    assertThat(plain(entry(0))).doesNotContain("Two").doesNotContain("One. ");
  }

  @DisplayName("By hand it stands as the folder does, and says so in the file")
  @Test
  void byHand() {
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

  private JsonNode entry(int at) {
    for (JsonNode one : client.get(path).ok().get("entries")) {
      if (one.get("publication").asString().equals(kept.get(at))) {
        return one;
      }
    }
    throw new AssertionError("not there: " + kept.get(at));
  }

  private static String plain(JsonNode entry) {
    StringBuilder text = new StringBuilder();
    entry
        .get("parts")
        .forEach(part -> part.get("runs").forEach(run -> text.append(run.get("text").asString())));
    return text.toString();
  }

  private String title(int at) {
    return client.get("/publications/" + kept.get(at)).ok().at("/publication/title").asString();
  }

  private Client.Response mend(int at, String field, String was, String to) {
    return client.put("/mends", mends(wanted(at, field, was, to)));
  }

  private Map<String, String> wanted(int at, String field, String was, String to) {
    return Map.of("publication", kept.get(at), "field", field, "was", was, "value", to);
  }

  private static Map<String, Object> mends(Object... mends) {
    return Map.of("mends", List.of(mends));
  }

  @DisplayName("A mend counts in every export of the group, and what is supplied takes it back")
  @Test
  void mended() {
    String title = title(0);
    mend(0, "title", title, "Lamps of our own").ok();
    assertThat(plain(entry(0))).contains("Lamps of our own");
    assertThat(client.get(path + "/text").body()).contains("Lamps of our own");
    assertThat(client.exported("/folders/" + folder, "ris"))
        .contains("Lamps of our own")
        .doesNotContain(title);
    JsonNode leaf = client.get("/publications/" + kept.get(0)).ok();
    assertThat(leaf.get("citation").asString()).contains("Lamps of our own");
    assertThat(leaf.at("/publication/title").asString()).isEqualTo(title);
    JsonNode field = client.get("/publications/" + kept.get(0) + "/fields").ok().get(0);
    assertThat(field.get("supplied").asString()).isEqualTo(title);
    assertThat(field.get("reads").asString()).isEqualTo("Lamps of our own");
    assertThat(field.get("by").asString()).isEqualTo("Bibi Books");
    // Another group reads what is supplied.
    TestGroup other = APP.group("Otto Other");
    assertThat(other.client(0).get("/publications/" + kept.get(0)).ok().get("citation").asString())
        .doesNotContain("Lamps of our own");
    assertThat(mend(0, "title", title, "x").type()).isEqualTo("changed-since");
    mend(0, "title", "Lamps of our own", title).ok();
    assertThat(plain(entry(0))).doesNotContain("Lamps of our own");
  }

  @DisplayName("All that is certain is mended as one act, and taken back as one")
  @Test
  void certain() {
    int before = client.get(path).ok().get("certain").asInt();
    mend(0, "title", title(0), "Moths &amp; lamps").ok();
    mend(1, "title", title(1), "Bats &amp; <em>lamps</em>").ok();
    JsonNode now = client.get(path).ok();
    int certain = now.get("certain").asInt();
    assertThat(certain).isEqualTo(before + 2);
    JsonNode fault = entry(0).get("faults").get(0);
    assertThat(fault.get("kind").asString()).isEqualTo("markup");
    assertThat(fault.get("mend").asString()).isEqualTo("Moths & lamps");
    assertThat(client.put(path + "/mended", Map.of("seen", certain + 1)).type())
        .isEqualTo("changed-since");
    UUID act = UUID.randomUUID();
    JsonNode done = client.write("PUT", path + "/mended", Map.of("seen", certain), act).ok();
    assertThat(done.get("count").asInt()).isEqualTo(certain);
    assertThat(client.write("PUT", path + "/mended", Map.of("seen", certain), act).ok())
        .isEqualTo(done);
    assertThat(client.get(path).ok().get("certain").asInt()).isZero();
    client.post("/actions/" + act + "/undo", Map.of()).ok();
    assertThat(client.get(path).ok()).isEqualTo(now);
  }

  @DisplayName("An entry is ticked as compared, by whom; a change of what is read clears it")
  @Test
  void compared() {
    client.put("/compared", Map.of("publications", kept.subList(0, 2), "checked", true)).ok();
    assertThat(group.client(1).get(path).ok().get("comparedCount").asInt()).isEqualTo(2);
    assertThat(entry(0).at("/compared/by").asString()).isEqualTo("Bibi Books");
    mend(0, "title", title(0), "Another title").ok();
    assertThat(entry(0).hasNonNull("compared")).isFalse();
    assertThat(entry(1).hasNonNull("compared")).isTrue();
    client.put("/compared", Map.of("publications", kept, "checked", false)).ok();
    assertThat(client.get(path).ok().get("comparedCount").asInt()).isZero();
  }

  @DisplayName(
      "What cannot be mended so is refused with a sentence, and nothing of the act is done")
  @Test
  void badMends() {
    assertThat(client.put("/mends", mends()).type()).isEqualTo("mends");
    assertThat(mend(0, "colour", "", "red").type()).isEqualTo("field");
    Map<String, String> good = wanted(0, "title", title(0), "Fine");
    Map<String, String> bad = wanted(1, "title", title(1), " ");
    assertThat(client.put("/mends", mends(good, bad)).type()).isEqualTo("mend");
    assertThat(plain(entry(0))).doesNotContain("Fine");
    assertThat(group.client(2).put("/mends", mends(good)).status()).isEqualTo(403);
    Map<String, String> nobodys =
        Map.of("publication", "nobody", "field", "title", "was", "", "value", "x");
    assertThat(client.put("/mends", mends(nobodys)).status()).isEqualTo(404);
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
