package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.platform.job.NightlyChecks;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName(
    "V2, V5: what rests is neither owed nor reviewed; ModelTest holds it after random acts")
class RestingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();

  private static TestGroup onMonday() {
    day(-1);
    return APP.group("Rea Rest", "Rolf Rest");
  }

  private static void day(int day) {
    APP.setClock(TestApp.BEGINS.plus(Duration.ofDays(day)));
  }

  private final TestGroup group = onMonday().guest("Gro Rest");
  private final Client rea = group.client(0);
  private final Client rolf = group.client(1);
  private final String folder = group.folder("Kept");

  private String alert(String word) {
    return group.alert(folder, word, "title: " + word, "at-once");
  }

  private static void came(Supply supply, String word, int first, int many) {
    supply.take(
        IntStream.range(first, first + many)
            .mapToObj(n -> Supply.mods(word + n, "A %s of mill %d".formatted(word, n), "Mill", ""))
            .toList());
    APP.bean(Watching.class).run();
  }

  private static List<String> works(Client who, String list) {
    return who.get("/arrivals/" + list)
        .ok()
        .get("arrivals")
        .valueStream()
        .map(one -> one.at("/arrival/id").asString())
        .toList();
  }

  private static JsonNode counts(Client who) {
    return who.get("/arrivals").ok();
  }

  private static void say(Client who, String mark, String work, String round) {
    who.post(
            "/marks",
            Map.of("publications", List.of(work), "mark", mark, "reason", "", "round", round))
        .ok();
  }

  @DisplayName(
      "What came during an absence rests; one looks at what others keep, and marks it there")
  @Test
  void away() {
    alert("weir");
    Supply supply = Supply.made(APP, "mills", 5);
    day(0);
    came(supply, "weir", 0, 2);
    rea.post(
            "/members/" + group.member(0).pid() + "/absences",
            Map.of("from", "2026-11-18", "to", "2026-11-20"))
        .ok();
    day(2);
    came(supply, "weir", 100, 5);
    day(6);
    came(supply, "weir", 200, 1);
    assertThat(works(rea, "owed")).hasSize(3);
    List<String> rested = works(rea, "rested");
    assertThat(rested).hasSize(5);
    assertThat(counts(rea).get("rested").asInt()).isEqualTo(5);
    assertThat(counts(rolf).get("rested").asInt()).isZero();
    assertThat(counts(group.client(2)).get("rested").asInt()).isZero();
    assertThat(works(group.client(2), "rested")).isEmpty();

    String round = rea.get("/arrivals/rested").ok().at("/arrivals/0/round/id").asString();
    say(rolf, "keep", rested.get(1), round);
    say(rolf, "raise", rested.get(3), round);
    say(rolf, "pass", rested.get(4), round);
    assertThat(works(rea, "rested?show=said")).containsExactly(rested.get(1), rested.get(3));
    assertThat(works(rea, "owed?show=said")).isEmpty();
    JsonNode inOrder = rea.get("/arrivals/rested?show=kept").ok();
    assertThat(inOrder.get("arrivals")).hasSize(5);
    assertThat(inOrder.get("learned").get("fewest").asInt()).isEqualTo(10);
    say(rea, "pass", rested.get(1), round);
    assertThat(works(rea, "rested")).hasSize(4).doesNotContain(rested.get(1));
    assertThat(works(rea, "owed")).hasSize(3);
  }

  @DisplayName("A heap is let rest whole, of one alert, or what came before a day; undone as one")
  @Test
  void heap() {
    alert("pond");
    String sluices = alert("sluice");
    Supply supply = Supply.made(APP, "heaps", 5);
    day(0);
    came(supply, "pond", 0, 70);
    came(supply, "sluice", 0, 4);
    day(3);
    came(supply, "sluice", 100, 3);
    rolf.post(
            "/marks",
            Map.of(
                "publications", List.of(works(rea, "owed").get(0)), "mark", "hold", "reason", ""))
        .ok();
    Map<String, Object> old = Map.of("alert", sluices, "before", "2026-11-20");
    assertThat(rest(rea, old).get("arrivals").asInt()).isEqualTo(4);
    assertThat(counts(rea).get("owed").asInt()).isEqualTo(73);
    assertThat(counts(rea).get("rested").asInt()).isEqualTo(4);
    assertThat(rea.post("/arrivals/rest", old).type()).isEqualTo("changed-since");

    UUID all = UUID.randomUUID();
    assertThat(rea.post("/arrivals/rest", Map.of(), all).ok().get("arrivals").asInt())
        .isEqualTo(73);
    assertThat(works(rea, "owed")).isEmpty();
    assertThat(rea.get("/rounds").ok().get("owed").asInt()).isZero();
    assertThat(counts(rea).get("nobody").asInt()).as("rest is no review").isEqualTo(77);
    assertThat(counts(rolf).get("owed").asInt()).as("of the others").isEqualTo(77);
    JsonNode first = rea.get("/arrivals/rested").ok();
    assertThat(first.at("/arrivals/0/arrival/lamps/0/lamp").asString()).isEqualTo("rested");
    assertThat(APP.bean(NightlyChecks.class).runAll(true))
        .allMatch(outcome -> outcome.differences() == 0);

    String work = first.at("/arrivals/0/arrival/id").asString();
    rea.post("/marks", Map.of("publications", List.of(work), "mark", "seen", "reason", "")).ok();
    assertThat(rea.post("/actions/" + all + "/undo", Map.of()).type()).isEqualTo("changed-since");
    rea.write("DELETE", "/marks", Map.of("publications", List.of(work)), UUID.randomUUID()).ok();
    assertThat(counts(rea).get("rested").asInt()).as("as it was before").isEqualTo(77);
  }

  private static JsonNode rest(Client who, Map<String, Object> what) {
    return who.post("/arrivals/rest", what).ok();
  }

  @DisplayName("Undone as one act; guests let nothing rest")
  @Test
  void undone() {
    alert("ford");
    day(0);
    came(Supply.made(APP, "fords", 5), "ford", 0, 3);
    UUID all = UUID.randomUUID();
    rea.post("/arrivals/rest", Map.of(), all).ok();
    rea.post("/actions/" + all + "/undo", Map.of()).ok();
    assertThat(counts(rea).get("owed").asInt()).isEqualTo(3);
    assertThat(counts(rea).get("rested").asInt()).isZero();
    assertThat(group.client(2).post("/arrivals/rest", Map.of()).status()).isEqualTo(403);
    assertThat(rea.post("/arrivals/rest", Map.of("alert", "none")).type())
        .isEqualTo("changed-since");
  }
}
