package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

class ArrivalTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Arne Arrival", "Asta Arrival");
  private final Client arne = group.client(0);
  private final Client asta = group.client(1);
  private final String folder = group.folder("Kept");
  private String round;
  private String publication;

  @BeforeEach
  void somethingArrives() {
    group.alert(folder, "Everything", TestGroup.EVERYTHING, "daily");
    assertThat(arne.get("/rounds").ok().get("rounds").size())
        .as("nothing for what was there")
        .isZero();
    APP.passUntilSomethingCame();
    round = arne.get("/rounds").ok().get("rounds").get(0).get("id").asString();
    publication = view(arne).get("arrivals").get(0).get("publication").get("id").asString();
  }

  private JsonNode view(Client who) {
    return who.get("/rounds/" + round).ok();
  }

  private JsonNode mark(Client who, String mark, UUID command) {
    return who.post(
            "/marks",
            Map.of(
                "publications",
                List.of(publication),
                "mark",
                mark,
                "reason",
                "because",
                "round",
                round),
            command)
        .ok();
  }

  private List<String> lamps(Client who) {
    return view(who)
        .get("arrivals")
        .get(0)
        .get("lamps")
        .valueStream()
        .map(lamp -> lamp.get("lamp").asString())
        .toList();
  }

  private int kept() {
    return asta.get("/folders/" + folder).ok().get("items").size();
  }

  @DisplayName("N1, N2: exactly the matching new ones arrive, and say why")
  @Test
  void whatArrives() {
    String bats = group.alert(folder, "Bats", "bat* or pipistrelle*", "at-once");
    int before = bats();
    int weeks = 0;
    do {
      APP.pass(7);
      weeks++;
    } while (bats() == before && weeks < 6);
    assertThat(bats()).as("bats of %d weeks", weeks).isGreaterThan(before);
    JsonNode alert = arne.get("/alerts/" + bats).ok();
    assertThat(alert.get("alert").get("findings").asInt()).isEqualTo(bats() - before);
    String found = alert.get("rounds").get(0).get("id").asString();
    JsonNode arrivals = arne.get("/rounds/" + found).ok().get("arrivals");
    long owed = arrivals.valueStream().filter(a -> !a.get("hereSince").asBoolean()).count();
    assertThat(alert.get("rounds").get(0).get("arrivals").asLong())
        .as("what another alert found first is owed there")
        .isEqualTo(owed)
        .isLessThan(arrivals.size());
    JsonNode arrival = arrivals.get(0);
    assertThat(arrival.get("newClass").asString()).isIn("published", "late");
    assertThat(arrival.get("words").get(0).get("typed").asString()).isIn("bat*", "pipistrelle*");
    assertThat(arrival.get("hereSince").asBoolean()).as("Everything had it first").isTrue();
  }

  private int bats() {
    return arne.post("/search/count", Map.of("text", "bat* or pipistrelle*"))
        .ok()
        .get("count")
        .asInt();
  }

  @DisplayName("V1: one member's lamp is lit for all to see, the other's stays unlit")
  @Test
  void lampsOfTwo() {
    mark(arne, "pass", UUID.randomUUID());
    assertThat(lamps(asta)).containsExactly("lit", "unlit");
    mark(asta, "hold", UUID.randomUUID());
    assertThat(lamps(arne)).containsExactly("lit", "dim");
    JsonNode line = arne.get("/rounds").ok().get("rounds").get(0);
    assertThat(line.get("reviewed").get(group.member(0).pid()).asInt()).isEqualTo(1);
    assertThat(line.get("reviewed").get(group.member(1).pid()).asInt()).isZero();
  }

  @DisplayName(
      "V3: a keep goes into the alert's folder, and out again when it is changed or undone")
  @Test
  void keepAndChange() {
    UUID keep = UUID.randomUUID();
    assertThat(mark(arne, "keep", keep).get("folder").asString()).isEqualTo("Kept");
    assertThat(kept()).isEqualTo(1);
    UUID pass = UUID.randomUUID();
    mark(arne, "pass", pass);
    assertThat(kept()).isZero();
    arne.post("/actions/" + pass + "/undo", Map.of()).ok();
    assertThat(kept()).as("kept again").isEqualTo(1);
    assertThat(lamps(arne).get(0)).isEqualTo("lit");
    arne.post("/actions/" + keep + "/undo", Map.of()).ok();
    assertThat(kept()).isZero();
    assertThat(lamps(arne)).containsExactly("unlit", "unlit");
  }

  @DisplayName("V3: a keep made elsewhere is taken back there, and an undo brings back all of it")
  @Test
  void keptElsewhere() {
    String elsewhere = group.folder("Elsewhere");
    JsonNode step =
        arne.post("/steps", Map.of("asked", Map.of("text", "moth"), "order", "here")).ok();
    Map<String, Object> keep =
        Map.of(
            "publications",
            List.of(publication),
            "note",
            "a design",
            "step",
            step.get("step").asString());
    arne.post("/folders/" + elsewhere + "/items", keep).ok();
    String before = asta.get("/folders/" + elsewhere).ok().toString();
    assertThat(before)
        .as("K2: from which search")
        .contains("\"q\":\"" + step.get("q").asString() + "\"", "\"search\":\"moth\"");
    UUID pass = UUID.randomUUID();
    assertThat(mark(arne, "pass", pass).get("note").asString())
        .isEqualTo("Taken out of Elsewhere.");
    assertThat(asta.get("/folders/" + elsewhere).ok().get("items").size()).isZero();
    arne.post("/actions/" + pass + "/undo", Map.of()).ok();
    assertThat(asta.get("/folders/" + elsewhere).ok().toString())
        .as("dates, steps and reasons are as they were")
        .isEqualTo(before);
  }

  @DisplayName("V2: a lamp is put out later, and an undo lights it as it was")
  @Test
  void putOut() {
    mark(arne, "keep", UUID.randomUUID());
    String before = view(asta).toString();
    UUID out = UUID.randomUUID();
    Map<String, Object> body = Map.of("publications", List.of(publication));
    assertThat(arne.write("DELETE", "/marks", body, out).ok().get("note").asString())
        .isEqualTo("Taken out of Kept.");
    assertThat(lamps(asta)).containsExactly("unlit", "unlit");
    assertThat(kept()).isZero();
    assertThat(arne.write("DELETE", "/marks", body, UUID.randomUUID()).status()).isEqualTo(409);
    arne.post("/actions/" + out + "/undo", Map.of()).ok();
    assertThat(view(asta).toString()).isEqualTo(before);
    assertThat(kept()).isEqualTo(1);
  }

  @DisplayName("V3: it stays when somebody else kept it too")
  @Test
  void keptByTwo() {
    mark(arne, "keep", UUID.randomUUID());
    mark(asta, "keep", UUID.randomUUID());
    assertThat(mark(arne, "pass", UUID.randomUUID()).get("note").asString())
        .isEqualTo("It stays in Kept: Asta Arrival kept it too.");
    assertThat(kept()).isEqualTo(1);
  }

  @Test
  void badMarksAreRefused() {
    assertThat(given("like", "").type()).isEqualTo("mark");
    assertThat(given("keep", "").type()).isEqualTo("folder");
    assertThat(given("pass", "x".repeat(4001)).type()).isEqualTo("note");
    assertThat(
            arne.post("/marks", Map.of("publications", List.of(), "mark", "pass", "reason", ""))
                .type())
        .isEqualTo("publications");
  }

  private Client.Response given(String mark, String reason) {
    return arne.post(
        "/marks", Map.of("publications", List.of(publication), "mark", mark, "reason", reason));
  }
}
