package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** H4: whatever headings are called later, what was kept means what it meant. */
class RenamingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private static final TestGroup GROUP = APP.group("Rena Names");
  private static final Client RENA = GROUP.client(0);
  private static final String ASKED = "heading/exact: Lanterns";
  private static String q;
  private static String search;
  private static String alert;

  private static void vocabulary(String... labels) {
    StringBuilder skos =
        new StringBuilder(
            "@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n@prefix x: <urn:x-ren:> .\n");
    for (int i = 0; i < labels.length; i++) {
      skos.append("x:h%d skos:inScheme x:s ; skos:prefLabel \"%s\" .\n".formatted(i, labels[i]));
    }
    String file =
        Base64.getEncoder().encodeToString(skos.toString().getBytes(StandardCharsets.UTF_8));
    RENA.write("PUT", "/vocabulary", Map.of("file", file), UUID.randomUUID()).ok();
  }

  private static void supply(String id, String heading) {
    new Supply(APP, "night-index")
        .take(
            Supply.mods(
                id,
                "A study of " + id,
                "Renard",
                "<subject authority=\"night-ecology\" valueURI=\"urn:x-ren:%s\"><topic>as supplied</topic></subject>"
                    .formatted(heading)));
  }

  /** Kept under one edition, read under the next, in which another heading has the name. */
  @BeforeAll
  static void theNameIsGivenAway() {
    APP.makeSteward(GROUP.member(0));
    vocabulary("Lanterns", "Torches");
    supply("ren:1", "h0");
    supply("ren:2", "h0");
    supply("ren:3", "h1");
    q = settle(Map.of("text", ASKED));
    String folder = GROUP.folder("Names");
    search = GROUP.search(folder, "Lanterns", ASKED).get("id").asString();
    alert =
        RENA.post("/alerts", Map.of("search", search, "rhythm", "daily")).ok().get("id").asString();
    vocabulary("Lamps", "Lanterns");
  }

  private static String settle(Map<String, Object> asked) {
    return RENA.post("/steps", Map.of("asked", asked, "order", "relevance"))
        .ok()
        .get("q")
        .asString();
  }

  private static JsonNode strategy() {
    return RENA.get("/q/" + q).ok();
  }

  private static int count(Object strategy) {
    return RENA.post("/search/count", Map.of("strategy", strategy)).ok().get("count").asInt();
  }

  @DisplayName("H4: a step, a saved search and their count stay; typed anew, a name is who has it")
  @Test
  void whatWasKept() {
    assertThat(GROUP.find(ASKED)).as("typed anew").hasSize(1);
    assertThat(count(strategy())).isEqualTo(2);
    assertThat(count(RENA.get("/searches/" + search).ok().get("strategy"))).isEqualTo(2);
    JsonNode answer = RENA.post("/search", Map.of("strategy", strategy())).ok().get("answer");
    assertThat(answer.at("/notes/0/code").asString()).isEqualTo("HEADING_RENAMED");
    assertThat(answer.at("/notes/0/sentence").asString()).contains("Lamps");
  }

  @DisplayName("The step taken up again is that step; the same words typed anew are another")
  @Test
  void stepsAreTold() {
    assertThat(settle(Map.of("strategy", strategy()))).isEqualTo(q);
    String anew = settle(Map.of("text", ASKED));
    assertThat(anew).isNotEqualTo(q);
    vocabulary("Lamps", "Lanterns", "Wicks");
    assertThat(count(strategy())).as("kept through further editions").isEqualTo(2);
    assertThat(settle(Map.of("text", ASKED))).isNotEqualTo(q);
  }

  @DisplayName("An alert goes on with the heading that it was set for")
  @Test
  void alertsGoOn() {
    supply("ren:4", "h1");
    supply("ren:5", "h0");
    APP.bean(Watching.class).run();
    assertThat(
            DATABASE.queryForList(
                "select p.fields->>'title' from finding f join alert a on a.id = f.alert"
                    + " join arrival r on r.id = f.arrival join occasion o on o.id = r.occasion"
                    + " join publication p on p.id = o.publication where a.pid = ? order by 1",
                String.class,
                alert))
        .containsExactlyElementsOf(List.of("A study of ren:5"));
  }
}
