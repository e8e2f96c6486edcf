package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

class SearchTest {
  private static final TestApp APP = TestApp.shared();
  private static final TestGroup GROUP = APP.group("Sara Search", "Siv Search");
  private final Client sara = GROUP.client(0);

  @Test
  void anAnswerHasCountStateIdsAndFirstRows() {
    JsonNode result = sara.post("/search", Map.of("text", "moths or bats")).ok();
    JsonNode answer = result.get("answer");
    int count = answer.get("count").asInt();
    assertThat(count).isGreaterThan(50);
    assertThat(answer.get("ids").size()).isEqualTo(count);
    assertThat(result.get("first").size()).isEqualTo(50);
    assertThat(result.get("first").get(0).get("lit").size()).isPositive();
    assertThat(answer.get("asOf").asString()).isNotBlank();
    JsonNode again = sara.post("/search", Map.of("text", "bats or moths")).ok().get("answer");
    assertThat(again.get("asOf")).isEqualTo(answer.get("asOf"));
    assertThat(again.get("count")).isEqualTo(answer.get("count"));
  }

  @DisplayName("M3, M4: a mistake is a positioned message, never an error page")
  @ParameterizedTest(name = "{1}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      textBlock =
          """
          moth or lamp "dim | column 14: this quotation mark is never closed
          (moth             | column 1: this bracket is never closed
          and or            | column 1: “and” needs something before it
          ~   ~             | column 1: there is nothing to search for yet
          m*                | column 1: “m*”: a cut word needs at least three letters before its *
          year: soon        | column 7: “soon” is not a year: four digits, 2020-2024, 2021-, or >2020; months stand in the limit Years
          year: 2020-13     | column 7: “2020-13” is not a year: four digits, 2020-2024, 2021-, or >2020; months stand in the limit Years
          """)
  void mistakes(String text, String sentence) {
    Client.Response answer = sara.post("/search", Map.of("text", text));
    assertThat(answer.status()).as("what is still typed is no error").isEqualTo(200);
    assertThat(answer.json().has("answer")).isFalse();
    assertThat(answer.json().get("problems").get(0).get("sentence").asString()).isEqualTo(sentence);
  }

  @Test
  void fourThousandCharactersAreRefusedAtTheBound() {
    Client.Response answer = sara.post("/search", Map.of("text", "moth ".repeat(800)));
    assertThat(answer.json().get("problems").get(0).get("column").asInt()).isEqualTo(2001);
  }

  @Test
  void aStrategyOfLinesIsSearchedLikeItsText() {
    Map<String, Object> lines =
        Map.of(
            "version",
            1,
            "lines",
            List.of(
                Map.of("id", "a", "kind", "words", "text", "moth or bat"),
                Map.of("id", "b", "kind", "words", "text", "not dimming"),
                Map.of("id", "c", "kind", "words", "text", "zzz", "off", true)));
    assertThat(count(Map.of("strategy", lines)))
        .isEqualTo(count(Map.of("text", "(moth or bat) not dimming")));
    Map<String, Object> unknown =
        Map.of("version", 1, "lines", List.of(Map.of("id", "a", "kind", "dream", "text", "x")));
    assertThat(sara.post("/search", Map.of("strategy", unknown)).type()).isEqualTo("strategy");
    Map<String, Object> future = Map.of("version", 7, "lines", List.of());
    assertThat(sara.post("/search", Map.of("strategy", future)).type()).isEqualTo("strategy");
  }

  private int count(Map<String, Object> body) {
    return sara.post("/search", body).ok().get("answer").get("count").asInt();
  }

  @DisplayName("The address of a settled search is for good, and the same for the same search")
  @Test
  void settling() {
    Map<String, Object> body = Map.of("asked", Map.of("text", "caddisflies"), "order", "relevance");
    JsonNode step = sara.post("/steps", body).ok();
    assertThat(GROUP.client(1).post("/steps", body).ok().get("q")).isEqualTo(step.get("q"));
    assertThat(sara.post("/steps", body).ok().get("step"))
        .as("equal neighbours are one")
        .isEqualTo(step.get("step"));
    JsonNode found = sara.get("/q/" + step.get("q").asString()).ok();
    assertThat(found.get("lines").get(0).get("text").asString()).isEqualTo("caddisflies");
    Map<String, Object> next = Map.of("asked", Map.of("text", "moths"), "order", "relevance");
    assertThat(sara.post("/steps", next).ok().get("before")).isEqualTo(step.get("count"));
  }

  @Test
  void aLeafSaysWhyAndLightsTheWords() {
    String id = GROUP.find("title: skyglow abstract: moths").get(0);
    JsonNode leaf =
        sara.post("/publications/" + id + "/leaf", Map.of("text", "title: skyglow moths")).ok();
    assertThat(leaf.get("why").get(0).get("typed").asString()).isEqualTo("skyglow");
    assertThat(leaf.get("why").get(0).get("fields").get(0).asString()).isEqualTo("title");
    String title = leaf.get("publication").get("title").asString().toLowerCase(Locale.ROOT);
    assertThat(leaf.get("litTitle").valueStream())
        .extracting(s -> title.substring(s.get("start").asInt(), s.get("end").asInt()))
        .contains("skyglow");
    assertThat(leaf.get("stableLink").asString()).isEqualTo("http://lantern.test/p/" + id);
    JsonNode doi = leaf.get("numbers").get(0);
    assertThat(doi.get("scheme").asString()).isEqualTo("doi");
    assertThat(doi.get("address").asString()).endsWith("/doi/" + leaf.get("doi").asString());
    assertThat(leaf.get("people"))
        .hasSize(leaf.get("authors").size())
        .allMatch(person -> person.get("role").asString().equals("author"));
  }

  @Test
  void rowsComeInTheOrderOfTheIdsAndAreBounded() {
    List<String> ids = GROUP.find("bats").subList(0, 5);
    List<String> reversed = new java.util.ArrayList<>(ids);
    java.util.Collections.reverse(reversed);
    assertThat(
            sara.post("/rows", Map.of("ids", reversed))
                .ok()
                .valueStream()
                .map(r -> r.get("publication").get("id").asString()))
        .containsExactlyElementsOf(reversed);
    assertThat(sara.post("/rows", Map.of("ids", java.util.Collections.nCopies(101, "x"))).type())
        .isEqualTo("rows");
  }
}
