package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import tools.jackson.databind.JsonNode;

/** Headings over the real protocol, in the test's literature. */
class HeadingsTest {
  private static final TestApp APP = TestApp.shared();
  private final Client sven = APP.group("Sven Sheet").client(0);

  @DisplayName("H1: an everyday word leads to its heading, with the name it was met by and counts")
  @Test
  void everydayWord() {
    JsonNode first = sven.get("/headings?words=moths").ok().get(0);
    assertThat(first.get("label").asString()).isEqualTo("Lepidoptera");
    assertThat(first.get("by").asString()).isEqualTo("Moths");
    int alone = first.get("count").asInt();
    int all = first.get("withNarrower").asInt();
    assertThat(alone).isPositive().isEqualTo(count("heading/exact: \"Lepidoptera\""));
    assertThat(all).isGreaterThan(alone).isEqualTo(count("heading/narrower: moths"));
    assertThat(count("heading/narrower/central: \"Moths\"")).isPositive().isLessThan(all);
  }

  @DisplayName("H1: a heading shows its names, its place, its aspects with their meaning")
  @Test
  void oneHeading() {
    JsonNode heading = one("moths");
    assertThat(heading.get("label").asString()).isEqualTo("Lepidoptera");
    assertThat(texts(heading.get("names"))).contains("Moths", "Butterflies and moths");
    assertThat(heading.get("note").asString()).startsWith("Moths in the main");
    assertThat(texts(heading.get("path"))).containsExactly("Organisms", "Insects");
    assertThat(heading.get("narrower").findValuesAsString("label")).contains("Noctuidae");
    JsonNode aspect = heading.get("aspects").get(0);
    assertThat(aspect.get("word").asString()).isEqualTo("effects-of-light-on");
    assertThat(aspect.get("note").asString()).isNotEmpty();
    assertThat(aspect.get("count").asInt())
        .isEqualTo(count("heading/effects-of-light-on: \"Lepidoptera\""));
  }

  @Test
  void theTopAndNothing() {
    assertThat(sven.get("/headings").ok().findValuesAsString("label")).contains("Organisms");
    assertThat(sven.get("/headings?words=xylophone").ok().size()).isZero();
    assertThat(sven.get("/headings/one?name=xylophone").status()).isEqualTo(404);
  }

  private JsonNode one(String name) {
    return sven.get("/headings/one?name=" + URLEncoder.encode(name, StandardCharsets.UTF_8)).ok();
  }

  private static List<String> texts(JsonNode array) {
    List<String> texts = new ArrayList<>();
    array.forEach(text -> texts.add(text.asString()));
    return texts;
  }

  private int count(String text) {
    Map<String, Object> line = Map.of("id", "a", "kind", "words", "text", text);
    return sven.post(
            "/search/count", Map.of("strategy", Map.of("version", 2, "lines", List.of(line))))
        .ok()
        .get("count")
        .asInt();
  }
}
