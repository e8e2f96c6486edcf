package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** The field at a glance, and what is written of searching and kept in folders. */
class NotesTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Nele Note", "Nils Note");
  private final Client nele = group.client(0);
  private final String folder = group.folder("Notes");

  private JsonNode settle(String text) {
    Map<String, Object> step = Map.of("asked", Map.of("text", text), "order", "relevance");
    return nele.post("/steps", step, UUID.randomUUID()).ok();
  }

  private int count(Object strategy) {
    return nele.post("/search/count", strategy).ok().get("count").asInt();
  }

  @DisplayName("The field at a glance is counted over the result as it is, limits and all")
  @Test
  void glance() {
    Map<String, Object> words = Map.of("id", "a", "kind", "words", "text", "moth* or bat*");
    Map<String, Object> years =
        Map.of("id", "b", "kind", "limit", "property", "date", "from", "2022", "to", "2024");
    Map<String, Object> asked =
        Map.of("strategy", Map.of("version", 2, "lines", List.of(words, years)));
    JsonNode glance = nele.post("/search/glance", asked).ok();
    assertThat(glance.get("count").asInt()).isEqualTo(count(asked));
    int sum = 0;
    for (JsonNode year : glance.get("years")) {
      assertThat(year.get("value").asString()).isBetween("2022", "2024");
      sum += year.get("count").asInt();
    }
    assertThat(sum).isEqualTo(count(asked));
    List<Integer> cited = new ArrayList<>();
    glance.get("cited").forEach(each -> cited.add(each.get("citedBy").asInt()));
    assertThat(cited).isNotEmpty().isSortedAccordingTo((a, b) -> b - a).doesNotContain(0);
    assertThat(glance.get("reviewCount").asInt())
        .isEqualTo(
            count(
                Map.of(
                    "strategy",
                    Map.of(
                        "version",
                        2,
                        "lines",
                        List.of(
                            words,
                            years,
                            Map.of("id", "c", "kind", "words", "text", "kind: review"))))));
    JsonNode heading = glance.get("heading");
    assertThat(heading.get("count").asInt()).isPositive();
    assertThat(glance.get("headings").size()).isEqualTo(5);
    JsonNode nothing = nele.post("/search/glance", Map.of("text", "xylophones")).ok();
    assertThat(nothing.get("count").asInt()).isZero();
    assertThat(nothing.has("heading")).isFalse();
  }

  @DisplayName("A note says what was true on its day, and stays when more comes in")
  @Test
  void keptAsItWas() {
    String of = "glance:q:" + settle(TestGroup.EVERYTHING).get("q").asString();
    UUID command = UUID.randomUUID();
    JsonNode kept = nele.post("/folders/" + folder + "/notes", Map.of("of", of), command).ok();
    String note = kept.get("note").get("id").asString();
    String said = nele.get("/notes/" + note).ok().get("blocks").toString();
    assertThat(said).contains("Publications per year").contains("Made on ");
    APP.passUntilSomethingCame();
    assertThat(nele.get("/notes/" + note).ok().get("blocks").toString()).isEqualTo(said);
    assertThat(nele.get("/report?of=" + of).ok().get("blocks").toString()).isNotEqualTo(said);
    JsonNode listed = group.client(1).get("/folders/" + folder + "/notes").ok().get(0);
    assertThat(listed.get("by").asString()).isEqualTo("Nele Note");
    nele.post("/folders/" + folder + "/notes", Map.of("of", of), command).ok();
    assertThat(nele.get("/folders/" + folder + "/notes").ok().size()).isEqualTo(1);
    nele.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(nele.get("/notes/" + note).status()).isEqualTo(404);
  }

  @DisplayName("M1: a comparison in writing names what was gained and lost")
  @Test
  void comparison() {
    JsonNode one = settle("dimm*");
    JsonNode other = settle("curfew* or dimm* moth*");
    String of = "comparison:q:" + one.get("q").asString() + ",q:" + other.get("q").asString();
    String text = nele.get("/report/text?of=" + of).body();
    int gained = count(Map.of("text", "(curfew* or dimm* moth*) not dimm*"));
    int lost = count(Map.of("text", "dimm* not (curfew* or dimm* moth*)"));
    assertThat(text)
        .contains("Comparison: dimm* and curfew* or dimm* moth*")
        .contains("Gained: found by the second only")
        .contains("\n" + gained + " publication")
        .contains("\n" + lost + " publication");
    assertThat(nele.get("/report?of=comparison:q:0").status()).isEqualTo(404);
    assertThat(nele.get("/report?of=comparison:q:0,q:1").status()).isEqualTo(404);
  }

  @DisplayName(
      "PRISMA-S: a stretch of the trail in writing, in the order of time; R3: one's own only")
  @Test
  void stretchOfTheTrail() {
    JsonNode first = settle("dimm*");
    settle("dimm* moth*");
    JsonNode last = settle("dimm* moth* verges");
    settle("owls");
    String of = "trail:" + last.get("step").asString() + ":" + first.get("step").asString();
    String text = nele.get("/report/text?of=" + of).body();
    assertThat(text)
        .contains("The steps of Nele Note on ")
        .contains("3. (any = \"dimm*\" and any = \"moth*\" and any = \"verges\")")
        .contains("The Night Index")
        .doesNotContain("owls");
    assertThat(group.client(1).get("/report?of=" + of).status()).isEqualTo(404);
    nele.post("/folders/" + folder + "/notes", Map.of("of", of)).ok();
    String note = nele.get("/folders/" + folder + "/notes").ok().get(0).get("id").asString();
    assertThat(group.client(1).get("/notes/" + note).ok().get("blocks").toString())
        .as("what is kept in a folder is shared")
        .contains("The steps of Nele Note");
  }
}
