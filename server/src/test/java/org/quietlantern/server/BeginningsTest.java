package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.search.TimeLimit;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.http.HttpStatus;
import tools.jackson.databind.JsonNode;

/** What a search can begin with, and what there is to search in. */
class BeginningsTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Bea Begin", "Bo Begin");
  private final Client bea = group.client(0);
  private final Client bo = group.client(1);

  private static void settle(Client who, String text) {
    who.post("/steps", Map.of("asked", Map.of("text", text), "order", "relevance")).ok();
  }

  private static JsonNode holdables(Client who, String words) {
    return who.get("/search/holdables?words=" + URLEncoder.encode(words, StandardCharsets.UTF_8))
        .ok();
  }

  private static List<String> texts(JsonNode steps) {
    return steps
        .valueStream()
        .map(s -> s.get("strategy").get("lines").get(0).get("text").asString())
        .toList();
  }

  @DisplayName("More steps than are offered at once: it is said, and words find the others")
  @Test
  void allStepsCanBeHeld() {
    for (int i = 0; i < 45; i++) {
      settle(bea, "moths or step" + i);
    }
    settle(bea, "100% owls");
    JsonNode offered = holdables(bea, "");
    assertThat(offered.get("steps").size()).isEqualTo(40);
    assertThat(offered.get("moreSteps").asBoolean()).isTrue();
    assertThat(texts(offered.get("steps"))).startsWith("100% owls", "moths or step44");
    JsonNode found = holdables(bea, "STEP0");
    assertThat(texts(found.get("steps"))).containsExactly("moths or step0");
    assertThat(found.get("moreSteps").asBoolean()).isFalse();
    assertThat(found.get("steps").get(0).get("at").asString()).isNotEmpty();
    assertThat(texts(holdables(bea, "0%").get("steps")))
        .as("signs stand for themselves")
        .containsExactly("100% owls");
    assertThat(holdables(bo, "").get("steps").size()).as("a trail is its member's own").isZero();
    assertThat(texts(bea.get("/search/beginnings").ok().get("steps"))).hasSize(6);
  }

  @DisplayName("What a source supplies is counted in what is here of it")
  @Test
  void supplied() {
    JsonNode first = bea.get("/search/supplied").ok().get(0);
    int all = bea.get("/sources").ok().get(0).get("records").asInt();
    assertThat(first.get("count").asInt()).isBetween(1, all);
    assertThat(first.get("kinds").valueStream().mapToInt(kind -> kind.get("count").asInt()).sum())
        .isEqualTo(first.get("count").asInt());
    for (JsonNode with : first.get("withs")) {
      assertThat(with.get("count").asInt()).isBetween(1, first.get("count").asInt());
    }
  }

  @DisplayName("A question that takes too long is refused with a sentence, not left hanging")
  @Test
  void searchTime() {
    Matching matching = APP.bean(Matching.class);
    assertThatThrownBy(
            () ->
                matching.inOneState(
                    group.member(0),
                    0,
                    () -> {
                      throw new TimeLimit.Over();
                    }))
        .isInstanceOfSatisfying(
            Refusal.class,
            refusal -> {
              assertThat(refusal.status()).isEqualTo(HttpStatus.SERVICE_UNAVAILABLE);
              assertThat(refusal.getMessage()).contains("longer than 20 seconds");
            });
    assertThat(matching.count(group.member(0), Matching.EVERYTHING)).isPositive();
  }
}
