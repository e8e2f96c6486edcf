package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** The trail, what is compared from it, the ways outward, and the report. */
class TrailTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Tove Trail", "Tarn Trail");
  private final Client tove = group.client(0);

  private static Map<String, Object> words(String id, String text) {
    return Map.of("id", id, "kind", "words", "text", text);
  }

  private static Map<String, Object> held(String id, String name, boolean rulesOut) {
    return Map.of("id", id, "kind", "held", "strategies", List.of(name), "rulesOut", rulesOut);
  }

  private static Map<String, Object> strategy(Object... lines) {
    return Map.of("version", 2, "lines", List.of(lines));
  }

  private JsonNode settle(Client who, String text) {
    Map<String, Object> asked = Map.of("strategy", strategy(words("a", text)));
    return who.post("/steps", Map.of("asked", asked, "order", "relevance"), UUID.randomUUID()).ok();
  }

  private int count(Object... lines) {
    return tove.post("/search/count", Map.of("strategy", strategy(lines)))
        .ok()
        .get("count")
        .asInt();
  }

  @DisplayName("O4, R3: every step with its counts, by words, and nobody else's")
  @Test
  void steps() {
    int broad = settle(tove, "moth*").get("count").asInt();
    JsonNode narrow = settle(tove, "moth* dimming");
    settle(group.client(1), "owls");
    String opened = group.find("moths").get(0);
    tove.write(
        "PUT",
        "/publications/" + opened + "/opened",
        Map.of("step", narrow.get("step").asString()),
        UUID.randomUUID());
    JsonNode page = tove.get("/trail").ok();
    assertThat(page.get("more").asBoolean()).isFalse();
    assertThat(page.get("steps").size()).isEqualTo(2);
    JsonNode last = page.get("steps").get(0);
    assertThat(last.get("before").asInt()).isEqualTo(broad);
    assertThat(last.get("count")).isEqualTo(narrow.get("count"));
    assertThat(last.get("opened").findValuesAsString("id")).containsExactly(opened);
    assertThat(tove.get("/trail?words=DIMM").ok().get("steps").size()).isEqualTo(1);
    assertThat(tove.get("/trail?words=%25").ok().get("steps").size()).isZero();
    String first = page.get("steps").get(1).get("id").asString();
    assertThat(tove.get("/trail?before=" + first).ok().get("steps").size()).isZero();
    JsonNode openings = tove.get("/trail/opened").ok();
    assertThat(openings.get("lines").get(0).get("q")).isEqualTo(last.get("q"));
    assertThat(openings.get("all").asInt()).isEqualTo(1);
    assertThat(tove.get("/trail/opened?words=xylophone").ok().get("all").asInt()).isZero();
    assertThat(tove.get("/trail/steps.txt").body())
        .contains("opened " + openings.get("lines").get(0).get("title").asString());
  }

  @DisplayName("O4: each opening is kept; a later one from elsewhere takes none away")
  @Test
  void openings() {
    JsonNode one = settle(tove, "moth*");
    JsonNode two = settle(tove, "moth* or bat*");
    String opened = group.find("moths").get(0);
    for (JsonNode step : List.of(one, two, two)) {
      tove.write(
          "PUT",
          "/publications/" + opened + "/opened",
          Map.of("step", step.get("step").asString()),
          UUID.randomUUID());
    }
    JsonNode steps = tove.get("/trail").ok().get("steps");
    assertThat(steps.get(0).get("opened").size()).isEqualTo(1);
    assertThat(steps.get(1).get("opened").size()).as("still").isEqualTo(1);
    assertThat(tove.get("/trail/opened").ok().get("lines").size())
        .as("told twice in a row is once")
        .isEqualTo(2);
  }

  @DisplayName("The trail is looked through by what lines say, not by how they are stored")
  @Test
  void wordsOfLines() {
    settle(tove, "moth*");
    for (String stored : List.of("kind", "version", "lines", "words")) {
      assertThat(tove.get("/trail?words=" + stored).ok().get("steps").size()).isZero();
    }
    Map<String, Object> limit =
        Map.of("id", "k", "kind", "limit", "property", "kind", "chosen", List.of("article"));
    tove.post(
            "/steps",
            Map.of(
                "asked", Map.of("strategy", strategy(words("a", "moth*"), limit)), "order", "here"))
        .ok();
    assertThat(tove.get("/trail?words=ARTIC").ok().get("steps").size()).isEqualTo(1);
  }

  @Test
  void stepsBeyondOnePage() {
    for (int i = 0; i < 52; i++) {
      settle(tove, "moth* or x" + i);
    }
    JsonNode page = tove.get("/trail").ok();
    assertThat(page.get("more").asBoolean()).isTrue();
    assertThat(page.get("steps").size()).isEqualTo(50);
    String last = page.get("steps").get(49).get("id").asString();
    JsonNode rest = tove.get("/trail?before=" + last).ok();
    assertThat(rest.get("more").asBoolean()).isFalse();
    assertThat(rest.get("steps").size()).isEqualTo(2);
  }

  @Test
  void files() {
    settle(tove, "moth* \"light traps\"");
    String csv = tove.get("/trail/steps.csv").body();
    assertThat(csv)
        .startsWith(
            "\uFEFFwhen (Europe/Oslo),search (CQL),order,found before,found,address,opened\r\n");
    assertThat(csv).containsPattern(",http://lantern.test/g/[0-9a-z]{10}/q/[0-9a-z]{10},");
    assertThat(csv).contains("\"(any = \"\"moth*\"\" and any adj \"\"light traps\"\")\"");
    assertThat(tove.get("/trail/steps.txt").body())
        .contains("(any = \"moth*\" and any adj \"light traps\")");
  }

  @DisplayName("M1: gained and lost of two steps add up, and are strategies like any other")
  @Test
  void comparison() {
    JsonNode one = settle(tove, "moth*");
    JsonNode other = settle(tove, "dimming or curfew");
    String a = "q:" + one.get("q").asString();
    String b = "q:" + other.get("q").asString();
    int gained = count(held("x", b, false), held("y", a, true));
    int lost = count(held("x", a, false), held("y", b, true));
    int common = count(held("x", a, false), held("y", b, false));
    assertThat(gained).isPositive();
    assertThat(common).isPositive();
    assertThat(gained + common).isEqualTo(other.get("count").asInt());
    assertThat(lost + common).isEqualTo(one.get("count").asInt());
    assertThat(tove.get("/search/held?name=" + a).ok().get("title").asString()).isEqualTo("moth*");
  }

  @DisplayName("From a publication: what it cites, what cites it, what is alike with its ground")
  @Test
  void outward() {
    String cited =
        group.find("moth* or light").stream()
            .filter(id -> way(id, "citedby") != null && way(id, "citedby").get("count").asInt() > 1)
            .findFirst()
            .orElseThrow();
    JsonNode citing = way(cited, "citedby");
    JsonNode list = tove.post("/search", Map.of("strategy", strategy(citing.get("line")))).ok();
    assertThat(list.get("answer").get("count")).isEqualTo(citing.get("count"));
    String one = list.get("answer").get("ids").get(0).asString();
    List<String> cites = new ArrayList<>();
    tove.post("/search", Map.of("strategy", strategy(way(one, "cites").get("line"))))
        .ok()
        .get("answer")
        .get("ids")
        .forEach(id -> cites.add(id.asString()));
    assertThat(cites).contains(cited);
    JsonNode citer = tove.get("/publications/" + one + "/outward").ok();
    int here = way(one, "cites").get("count").asInt();
    assertThat(citer.get("elsewhere").size())
        .as("cited works are here or listed")
        .isEqualTo(citer.get("references").asInt() - here);
    assertThat(citer.get("counted").asString())
        .isEqualTo(tove.get("").ok().get("today").asString());
    JsonNode outward = tove.get("/publications/" + cited + "/outward").ok();
    assertThat(outward.get("closest").get(0).get("ground").asString()).isNotEmpty();
    JsonNode alike = way(cited, "alike");
    assertThat(alike.get("count").asInt()).isBetween(1, 50);
    assertThat(alike.get("line").get("strategies").get(0).asString()).isEqualTo("a:" + cited);
  }

  @DisplayName("How a work relates to what is kept: by folder, only in those that one sees")
  @Test
  void ties() {
    TestGroup ours = APP.group("Tova Ties", "Tilo Ties");
    Client tova = ours.client(0);
    String cited =
        group.find("moth* or light").stream()
            .filter(id -> way(id, "citedby") != null && way(id, "citedby").get("count").asInt() > 1)
            .findFirst()
            .orElseThrow();
    JsonNode found =
        tova.post("/search", Map.of("strategy", strategy(way(cited, "citedby").get("line")))).ok();
    String citer = found.at("/answer/ids/0").asString();
    String folder = ours.folder("Verges");
    assertThat(ties(tova, cited).get("kept").asInt()).isZero();
    tova.post(
            "/folders/" + folder + "/items",
            Map.of("publications", List.of(citer, cited), "note", ""))
        .ok();
    JsonNode ofCited = ties(tova, cited);
    assertThat(ofCited.get("kept").asInt()).as("itself is no other work").isEqualTo(1);
    assertThat(ofCited.at("/folders/0/folder/name").asString()).isEqualTo("Verges");
    assertThat(ofCited.at("/folders/0/citedBy").asInt()).isEqualTo(1);
    assertThat(ofCited.at("/folders/0/cites").asInt()).isZero();
    JsonNode ofCiter = ties(tova, citer);
    assertThat(ofCiter.at("/folders/0/cites").asInt()).isEqualTo(1);
    String author = tova.get("/publications/" + citer).ok().at("/authors/0").asString();
    List<String> others = new ArrayList<>(ours.find("author: \"" + author + "\""));
    others.remove(citer);
    assertThat(ofCiter.get("authors").findValuesAsString("name").contains(author))
        .isEqualTo(others.contains(cited));
    assertThat(ties(tove, cited).at("/folders").toString()).doesNotContain("Verges");
    assertThat(tova.get("/publications/none/ties").status()).isEqualTo(404);
  }

  private static JsonNode ties(Client who, String publication) {
    return who.get("/publications/" + publication + "/ties").ok();
  }

  private JsonNode way(String publication, String what) {
    for (JsonNode way : tove.get("/publications/" + publication + "/outward").ok().get("ways")) {
      if (way.get("what").asString().equals(what)) {
        return way;
      }
    }
    return null;
  }

  @DisplayName("All that a search finds can be taken along, each publication once")
  @Test
  void allOfIt() {
    JsonNode step = settle(tove, "moth* or light");
    String file = tove.exported("/q/" + step.get("q").asString(), "ris");
    int found = step.get("count").asInt();
    assertThat(found).isGreaterThan(50);
    assertThat(file.split("\r\nER  - \r\n", -1)).hasSize(found + 1);
    List<String> ids = file.lines().filter(line -> line.startsWith("ID  - ")).toList();
    assertThat(ids).hasSize(found).doesNotHaveDuplicates();
  }

  @DisplayName("A report tells sources, lines with counts, same works, what was not searched")
  @Test
  void report() throws IOException {
    JsonNode step = settle(tove, "moth* dimming");
    String of = "?of=q:" + step.get("q").asString();
    JsonNode report = tove.get("/report" + of).ok();
    assertThat(report.get("title").asString()).isEqualTo("Search report: moth* dimming");
    String text = tove.get("/report/text" + of).body();
    assertThat(text)
        .contains("The Night Index")
        .contains("by Tove Trail")
        .contains("1. moth* dimming")
        .contains("(any = \"moth*\" and any = \"dimming\")")
        .contains("It was first run on")
        .contains("as many as now")
        .contains("Full texts were not searched");
    assertThat(tove.get("/report/docx" + of).header("Content-Disposition"))
        .contains("Search-report-moth-dimming.docx");
    assertThat(story(tove.getBytes("/report/docx" + of)))
        .contains("Search report: moth* dimming")
        .contains("The Night Index");
    assertThat(tove.get("/report?of=q:0000000000").status()).isEqualTo(404);
    assertThat(tove.get("/report?of=nonsense").status()).isEqualTo(404);
  }

  private static String story(byte[] docx) throws IOException {
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(docx))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (entry.getName().equals("word/document.xml")) {
          return new String(zip.readAllBytes(), StandardCharsets.UTF_8);
        }
      }
    }
    throw new IllegalStateException("no story in it");
  }
}
