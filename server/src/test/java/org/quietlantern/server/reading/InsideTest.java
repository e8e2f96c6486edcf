package org.quietlantern.server.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.platform.job.NightlyChecks;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A word that stands only inside a text is found by the group that has it, and by nobody else. */
class InsideTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private TestGroup group;
  private Client ada;

  @BeforeEach
  void found() {
    group = APP.group("Ada Searcher", "Ben Searcher");
    ada = group.client(0);
  }

  private static String bring(Client who, String publication, String words) {
    return who.sendBytes(
            "PUT",
            "/publications/" + publication + "/texts?name=a.html&sure=true",
            ("<!doctype html><h1>Moths</h1><p>" + words).getBytes(StandardCharsets.UTF_8))
        .ok()
        .get("text")
        .asString();
  }

  private static JsonNode search(Client who, Map<String, Object> line) {
    Map<String, Object> strategy = Map.of("version", 2, "lines", List.of(line));
    return who.post("/search", Map.of("strategy", strategy, "order", "relevance")).ok();
  }

  private static Map<String, Object> line(String text, String... widened) {
    return Map.of("id", "w", "kind", "words", "text", text, "widened", List.of(widened));
  }

  private static int count(Client who, String text, String... widened) {
    return search(who, line(text, widened)).at("/answer/count").asInt();
  }

  /** Another one's text, about which there is no doubt, has the title in it. */
  private String clean(String publication) {
    return ada.get("/publications/" + publication).ok().at("/publication/title").asString();
  }

  @Test
  @DisplayName("As a field and as a widening, at once, until it is taken out")
  void comesAndGoes() {
    String publication = group.find("moth*").get(0);
    assertThat(count(ada, "text: quibblewick")).isZero();
    String text = bring(ada, publication, clean(publication) + ". Lit by quibblewicks.");
    assertThat(count(ada, "text: quibblewick")).isEqualTo(1);
    assertThat(count(group.client(1), "quibblewicks", "text")).isEqualTo(1);
    assertThat(count(ada, "quibblewicks")).isZero();
    assertThat(group.find("text: quibblewick")).containsExactly(publication);

    for (Map<String, Object> line :
        List.of(line("text: quibblewick"), line("quibblewicks", "text"))) {
      JsonNode inside =
          ada.post(
                  "/publications/" + publication + "/leaf",
                  Map.of("strategy", Map.of("version", 2, "lines", List.of(line))))
              .ok()
              .get("inside");
      assertThat(inside.get("text").asString()).isEqualTo("Lit by quibblewicks.");
      assertThat(inside.at("/lit/0/start").asInt()).isEqualTo("Lit by ".length());
    }
    assertThat(ada.get("/publications/" + publication).ok().get("inside")).isNull();

    Client other = APP.group("Other Person").client(0);
    assertThat(count(other, "text: quibblewick")).isZero();
    assertThat(count(other, "quibblewicks", "text")).isZero();

    UUID command = UUID.randomUUID();
    ada.write("DELETE", "/texts/" + text, Map.of(), command).ok();
    assertThat(count(ada, "text: quibblewick")).isZero();
    ada.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(count(ada, "text: quibblewick")).isEqualTo(1);
  }

  @Test
  @DisplayName("A count names the state of the texts that it belongs to")
  void asOf() {
    String publication = group.find("moth*").get(1);
    String before = search(ada, line("moth*")).at("/answer/asOf").asString();
    bring(ada, publication, clean(publication));
    assertThat(search(ada, line("moth*")).at("/answer/asOf").asString()).isNotEqualTo(before);
  }

  @Test
  @DisplayName("What was fetched and is in doubt is not found")
  void doubtful() {
    String publication =
        APP.bean(JdbcTemplate.class)
            .queryForObject(
                "select pid from publication p, jsonb_array_elements(p.fields::jsonb->'copies') c"
                    + " where c->>'open' = 'true' and c->>'address' like '%/text.html'"
                    + " and fields->>'abstractText' <> '' and canonical is null"
                    + " and substring(c->>'address' from '/doc/([0-9]+)/')::int % 61 = 37 limit 1",
                String.class);
    JsonNode texts = ada.post("/publications/" + publication + "/texts/fetched", Map.of()).ok();
    assertThat(texts.at("/copies/0/doubt").asString()).isEqualTo("other work");
    assertThat(count(ada, "text: introduction")).isZero();
  }

  @Test
  @DisplayName("An alert finds it once, and its memory is as it should be")
  void alert() {
    String publication = group.find("moth*").get(3);
    String folder = group.folder("Inside");
    String alert = group.alert(folder, "Quibblewicks", "text: quibblewick*", "at-once");
    bring(ada, publication, clean(publication) + ". Quibblewicks.");
    APP.passUntilSomethingCame();
    APP.pass(1);
    long told =
        ada.get("/rounds")
            .ok()
            .get("rounds")
            .valueStream()
            .filter(
                round ->
                    round.get("alert").asString().equals(alert)
                        || round.at("/alert/id").asString().equals(alert))
            .mapToInt(round -> round.get("arrivals").asInt())
            .sum();
    assertThat(told).isEqualTo(1);
    assertThat(APP.bean(NightlyChecks.class).runAll(false))
        .filteredOn(outcome -> outcome.what().equals("what alerts remember"))
        .allSatisfy(outcome -> assertThat(outcome.differences()).isZero());
  }
}
