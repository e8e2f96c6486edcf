package org.quietlantern.server.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("An alert is set, after what it would bring was seen")
class AlertSettingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Fay Foresee", "Otto Other");
  private final Client client = group.client(0);
  private final String folder = group.folder("Foreseen");

  /** A word that no other test has. */
  private final String word = "zyx" + UUID.randomUUID().toString().replaceAll("[-0-9]", "");

  AlertSettingTest() {
    APP.setClock(Instant.parse("2026-11-20T10:00:00Z"));
  }

  private void supply(String... dates) {
    Supply supply = Supply.made(APP, "foreseen " + word, 9);
    for (int n = 0; n < dates.length; n++) {
      SourceRecord one =
          Supply.mods(word + n, "%s of place %d".formatted(word, n), "Pond" + (char) ('a' + n), "");
      supply.take(
          new SourceRecord(
              one.identifier(),
              one.format(),
              one.raw().replace("2026-03-04", dates[n]),
              one.datestamp(),
              false));
    }
    group.find(word);
  }

  private String search(String text) {
    return group.search(folder, "Saved " + UUID.randomUUID(), text).get("id").asString();
  }

  private static Map<String, Object> lines(String text) {
    return Map.of(
        "version", 3, "lines", List.of(Map.of("id", "l1", "kind", "words", "text", text)));
  }

  private JsonNode foreseen(String text) {
    return client.post("/alerts/foreseen", Map.of("strategy", lines(text))).ok();
  }

  private Map<String, Object> wanted(String search, int past) {
    return Map.of("search", search, "rhythm", "daily", "hour", "07:30", "asked", 2, "past", past);
  }

  @DisplayName(
      "Twelve months with titles, what has no month beside them; of the past as many as were shown")
  @Test
  void months() {
    supply("2026-11-02", "2026-10-30", "2026-10", "2025-12-01", "2025-11-30", "2026", "2019-05");
    String search = search(word);
    JsonNode shown = foreseen(word);
    List<Integer> counts =
        shown.get("months").valueStream().map(month -> month.get("count").asInt()).toList();
    assertThat(counts).containsExactly(1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 2, 1);
    assertThat(shown.at("/months/0/month").asString()).isEqualTo("2025-12");
    assertThat(shown.at("/months/10/titles")).hasSize(2);
    assertThat(shown.at("/months/11/titles/0/title").asString()).contains(word);
    assertThat(shown.get("yearOnly").asInt()).isEqualTo(1);
    assertThat(shown.get("found").asInt()).isEqualTo(7);
    assertThat(shown.get("verdict").asString()).isEqualTo("fine");

    UUID command = UUID.randomUUID();
    JsonNode set = client.post("/alerts", wanted(search, 2), command).ok();
    assertThat(set.get("past").asInt()).isEqualTo(3);
    JsonNode alert = client.get("/alerts/" + set.get("id").asString()).ok().get("alert");
    assertThat(alert.get("hour").asString()).startsWith("07:30");
    assertThat(alert.get("asked").asInt()).isEqualTo(2);
    assertThat(alert.get("findings").asInt()).isEqualTo(3);
    assertThat(rounds()).hasSize(1);
    assertThat(client.get("/rounds/" + rounds().at("/0/id").asString()).ok().get("arrivals"))
        .hasSize(3);
    // Nothing of it comes again.
    APP.pass(1);
    assertThat(client.get("/alerts/" + set.get("id").asString()).ok().at("/alert/findings").asInt())
        .isEqualTo(3);
    assertThat(undo(command).type()).isEqualTo("changed-since");
  }

  private Client.Response undo(UUID command) {
    return client.post("/actions/" + command + "/undo", Map.of());
  }

  private JsonNode rounds() {
    return client.get("/rounds").ok().get("rounds");
  }

  @DisplayName("What was set with its past is taken back whole, until somebody has looked at it")
  @Test
  void takenBack() {
    supply("2026-11-02", "2026-10-30");
    String search = search(word);
    UUID command = UUID.randomUUID();
    client.post("/alerts", wanted(search, 12), command).ok();
    undo(command).ok();
    assertThat(client.get("/alerts").ok()).isEmpty();
    UUID again = UUID.randomUUID();
    assertThat(client.post("/alerts", wanted(search, 12), again).ok().get("past").asInt())
        .isEqualTo(2);
    client
        .post(
            "/marks",
            Map.of("publications", group.find(word).subList(0, 1), "mark", "seen", "reason", ""))
        .ok();
    assertThat(undo(again).body()).contains("Somebody has looked");
  }

  @DisplayName("Too much and too little are said; what is too much for a round is refused in words")
  @Test
  void judged() {
    assertThat(foreseen("light*").get("verdict").asString()).isEqualTo("much");
    assertThat(foreseen(word).get("verdict").asString()).isEqualTo("little");
    assertThat(client.post("/alerts", wanted(search(word), 13)).type()).isEqualTo("past");
    assertThat(foreseen("bats").get("months")).hasSize(12);
    assertThat(client.post("/alerts/foreseen", Map.of("strategy", lines("(bats"))).type())
        .isEqualTo("search-problem");
  }

  private Map<String, Object> saving(String name) {
    return Map.of(
        "saving",
        Map.of("name", name, "strategy", lines(word)),
        "rhythm",
        "weekly:MONDAY",
        "folder",
        folder,
        "past",
        12);
  }

  @DisplayName("What it is set on is saved with it, both or neither, and taken back with it")
  @Test
  void saved() {
    supply("2026-11-02", "2026-10-30");
    UUID command = UUID.randomUUID();
    JsonNode set = client.post("/alerts", saving("Of places"), command).ok();
    assertThat(set.get("name").asString()).isEqualTo("Of places");
    assertThat(set.get("past").asInt()).isEqualTo(2);
    JsonNode search = searchesThere().get(0);
    assertThat(search.get("count").asInt()).isEqualTo(2);
    assertThat(search.get("alert").asString()).isEqualTo(set.get("id").asString());
    assertThat(client.get("/alerts/" + set.get("id").asString()).ok().at("/alert/folder/id"))
        .hasToString("\"" + folder + "\"");
    // Sent once more it is the same one; another of that name is refused, and leaves nothing.
    assertThat(client.post("/alerts", saving("Of places"), command).ok().get("id"))
        .isEqualTo(set.get("id"));
    assertThat(client.post("/alerts", saving("Of places")).type()).isEqualTo("search-there");
    assertThat(client.get("/alerts").ok()).hasSize(1);
    undo(command).ok();
    assertThat(client.get("/alerts").ok()).isEmpty();
    assertThat(searchesThere()).isEmpty();

    assertThat(client.post("/alerts", Map.of("rhythm", "daily")).type()).isEqualTo("search");
    Map<String, Object> nowhere =
        Map.of("saving", Map.of("name", "X", "strategy", lines(word)), "rhythm", "daily");
    assertThat(client.post("/alerts", nowhere).type()).isEqualTo("folder");
    assertThat(client.post("/alerts", saving(" ")).type()).isEqualTo("search-name");
    assertThat(searchesThere()).isEmpty();
  }

  private JsonNode searchesThere() {
    return client.get("/folders/" + folder + "/searches").ok();
  }
}
