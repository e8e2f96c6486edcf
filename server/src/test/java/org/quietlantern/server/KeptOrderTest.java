package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName(
    "A round in the order of what the group tends to keep; TendencyTest holds what is learned")
class KeptOrderTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Kim Kept", "Kolja Kept").guest("Gun Kept");
  private final Client kim = group.client(0);
  private final Client kolja = group.client(1);
  private final String folder = group.folder("Kept");
  private final Supply supply = Supply.made(APP, "inn", 5);

  /** Works by turns of what the group likes and does not, as one round; its id. */
  private String round(String name, int from, int many) {
    supply.take(
        IntStream.range(from, from + many)
            .mapToObj(
                n ->
                    Supply.mods(
                        name + n,
                        "Innkeepers %d and the %s"
                            .formatted(n, n % 2 == 0 ? "lantern" : "hedgerow"),
                        "Pond",
                        ""))
            .toList());
    APP.bean(Watching.class).run();
    return kim.get("/rounds").ok().at("/rounds/0/id").asString();
  }

  private static JsonNode inOrder(Client who, String round) {
    return who.get("/rounds/" + round + "?order=kept").ok();
  }

  private static List<String> titles(JsonNode round) {
    return round
        .get("arrivals")
        .valueStream()
        .map(one -> one.at("/publication/title").asString())
        .toList();
  }

  private static void decideAll(Client who, Client other, JsonNode round) {
    for (JsonNode one : round.get("arrivals")) {
      boolean liked = one.at("/publication/title").asString().contains("lantern");
      (liked ? who : other)
          .post(
              "/marks",
              Map.of(
                  "publications",
                  List.of(one.get("id").asString()),
                  "mark",
                  liked ? "keep" : "pass",
                  "reason",
                  "",
                  "round",
                  round.at("/round/id").asString()))
          .ok();
    }
  }

  @DisplayName("From what stood when the day began: the same for all, with reasons, hiding nothing")
  @Test
  void learns() {
    group.alert(folder, "Inns", "title: innkeepers", "at-once");
    String first = round("first", 0, 24);
    decideAll(kim, kolja, kim.get("/rounds/" + first).ok());
    JsonNode sameDay = inOrder(kim, first);
    assertThat(sameDay.get("order").asString()).isEqualTo("kept");
    assertThat(sameDay.get("learned").toString())
        .isEqualTo("{\"kept\":0,\"passed\":0,\"fewest\":10}");
    assertThat(titles(sameDay)).isEqualTo(titles(kim.get("/rounds/" + first).ok()));

    APP.setClock(TestApp.BEGINS.plus(Duration.ofDays(1)));
    String second = round("second", 100, 8);
    JsonNode asItCame = kim.get("/rounds/" + second).ok();
    assertThat(asItCame.has("learned")).isFalse();
    JsonNode ordered = inOrder(kim, second);
    assertThat(ordered.get("learned").get("kept").asInt()).isEqualTo(12);
    assertThat(ordered.get("learned").get("passed").asInt()).isEqualTo(12);
    assertThat(titles(ordered)).containsExactlyInAnyOrderElementsOf(titles(asItCame));
    assertThat(titles(ordered).subList(0, 4)).allMatch(title -> title.endsWith("lantern"));
    assertThat(ordered.at("/arrivals/0/because").toString())
        .isEqualTo("[{\"kind\":\"word\",\"what\":\"lantern\"}]");
    assertThat(ordered.at("/arrivals/7/because").isEmpty()).isTrue();

    // What is said today changes nothing today.
    decideAll(kolja, kim, asItCame);
    assertThat(titles(inOrder(kolja, second))).isEqualTo(titles(ordered));
    assertThat(titles(inOrder(group.client(2), second))).isEqualTo(titles(ordered));
    TestGroup others = APP.group("Olaf Other");
    others.alert(others.folder("Kept"), "Inns", "title: innkeepers", "at-once");
    assertThat(others.client(0).get("/rounds/" + second + "?order=kept").status()).isEqualTo(404);
  }
}
