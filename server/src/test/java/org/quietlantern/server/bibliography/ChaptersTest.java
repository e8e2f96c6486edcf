package org.quietlantern.server.bibliography;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("A bibliography has headings of the group's own, names what is quoted, and its news")
class ChaptersTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Cora Chapter", "Carl Berg");
  private final Client cora = group.client(0);
  private final String folder = group.folder("Moths at lamps");
  private final List<String> kept = group.find("moth").subList(0, 4);
  private final String path = "/folders/" + folder + "/bibliography";

  ChaptersTest() {
    cora.post("/folders/" + folder + "/items", Map.of("publications", kept, "note", "")).ok();
  }

  private Client.Response chapters(List<String> seen, String... wasAndName) {
    List<Map<String, String>> wanted =
        Stream.of(wasAndName)
            .map(one -> one.split(">", -1))
            .map(one -> Map.of("was", one[0], "name", one[1]))
            .toList();
    return cora.put(path + "/chapters", Map.of("chaptersSeen", seen, "chapters", wanted));
  }

  private Client.Response put(String chapter, String... publications) {
    return cora.put(
        path + "/chapter", Map.of("publications", List.of(publications), "chapter", chapter));
  }

  private JsonNode read() {
    return cora.get(path).ok();
  }

  private static List<String> each(JsonNode list, String field) {
    List<String> all = new ArrayList<>();
    list.forEach(one -> all.add(one.get(field).asString()));
    return all;
  }

  @DisplayName("Entries stand below their headings; numbers run through, files have the headings")
  @Test
  void headings() {
    cora.put(path, Map.of("style", "ieee", "language", "", "byHand", false)).ok();
    List<String> order = each(read().get("entries"), "publication");
    chapters(List.of(), ">Lamps", ">Moths").ok();
    put("Moths", order.get(0)).ok();
    put("Lamps", order.get(3), order.get(1)).ok();
    JsonNode shown = read();
    assertThat(each(shown.get("entries"), "publication"))
        .containsExactly(order.get(2), order.get(1), order.get(3), order.get(0));
    assertThat(each(shown.get("entries"), "chapter"))
        .containsExactly("", "Lamps", "Lamps", "Moths");
    assertThat(shown.at("/entries/3/parts/0/runs/0/text").asString()).startsWith("[4]");
    String html = cora.get(path + "/html").body();
    assertThat(html.indexOf("<h2>Lamps</h2>")).isBetween(html.indexOf("[1]"), html.indexOf("[2]"));
    assertThat(html.indexOf("<h2>Moths</h2>")).isBetween(html.indexOf("[3]"), html.indexOf("[4]"));
  }

  @DisplayName(
      "A copy of the folder is not taken back over what a colleague did to its bibliography")
  @Test
  void copyTakenBack() {
    chapters(List.of(), ">Lamps").ok();
    put("Lamps", kept.get(0)).ok();
    Client carl = group.client(1);
    List<Runnable> acts = new ArrayList<>();
    String[] made = new String[1];
    acts.add(
        () ->
            carl.put(
                    made[0] + "/chapter",
                    Map.of("publications", List.of(kept.get(1)), "chapter", "Lamps"))
                .ok());
    acts.add(
        () ->
            carl.post(
                    made[0] + "/entries/" + kept.get(2) + "/quoted",
                    Map.of("described", "Pell (1987)", "doi", ""))
                .ok());
    acts.add(() -> carl.put(made[0], Map.of("style", "ieee", "language", "", "byHand", true)).ok());
    for (Runnable act : acts) {
      UUID command = UUID.randomUUID();
      String name = "Copy " + command;
      JsonNode copy =
          cora.write("POST", "/folders/" + folder + "/copies", Map.of("name", name), command).ok();
      made[0] = "/folders/" + copy.get("id").asString() + "/bibliography";
      JsonNode before = carl.get(made[0]).ok();
      act.run();
      assertThat(carl.get(made[0]).ok()).isNotEqualTo(before);
      assertThat(cora.post("/actions/" + command + "/undo", Map.of()).type())
          .isEqualTo("folder-holds");
    }
    UUID command = UUID.randomUUID();
    String copy =
        cora.write("POST", "/folders/" + folder + "/copies", Map.of("name", "Anew"), command)
            .ok()
            .get("id")
            .asString();
    cora.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(cora.get("/folders/" + copy + "/bibliography").status()).isEqualTo(404);
  }

  @DisplayName("Headings get other names and places, two may swap theirs; an undo brings all back")
  @Test
  void othersNames() {
    chapters(List.of(), ">Lamps", ">Moths").ok();
    put("Moths", kept.get(0)).ok();
    JsonNode before = read();
    chapters(List.of("Lamps", "Moths"), "Moths>Lamps", "Lamps>Moths", ">Bats").ok();
    JsonNode swapped = read();
    assertThat(swapped.get("chapters").toString()).isEqualTo("[\"Lamps\",\"Moths\",\"Bats\"]");
    assertThat(each(swapped.get("entries"), "chapter")).contains("Lamps").doesNotContain("Moths");
    UUID act = UUID.randomUUID();
    cora.write(
            "PUT",
            path + "/chapters",
            Map.of("chaptersSeen", List.of("Lamps", "Moths", "Bats"), "chapters", List.of()),
            act)
        .ok();
    assertThat(each(read().get("entries"), "chapter")).containsOnly("");
    cora.post("/actions/" + act + "/undo", Map.of()).ok();
    assertThat(read()).isEqualTo(swapped);
    assertThat(chapters(List.of("Lamps", "Moths"), ">Late").type()).isEqualTo("stale");
    assertThat(chapters(List.of("Lamps", "Moths", "Bats"), ">Bats", ">bats").type())
        .isEqualTo("chapter");
    assertThat(chapters(List.of("Lamps", "Moths", "Bats"), "> ").type()).isEqualTo("chapter");
    assertThat(put("Nowhere", kept.get(0)).type()).isEqualTo("stale");
    assertThat(before.get("chapters")).hasSize(2);
  }

  @DisplayName("A work that is quoted through another is named with it, and becomes a task once")
  @Test
  void quoted() {
    Map<String, String> wanted =
        Map.of("described", "Oxlade (1990). Lamps.", "doi", "10.5555/ox." + UUID.randomUUID());
    String at = path + "/entries/" + kept.get(0) + "/quoted";
    UUID act = UUID.randomUUID();
    cora.write("POST", at, wanted, act).ok();
    JsonNode entry = entry(kept.get(0));
    assertThat(entry.at("/quoted/0/described").asString()).isEqualTo("Oxlade (1990). Lamps.");
    assertThat(entry.at("/quoted/0/read").asBoolean()).isFalse();
    assertThat(cora.get(path + "/text").body())
        .contains("Quoted through this: Oxlade (1990). Lamps. (not read)");
    JsonNode tasks = cora.get("/tasks").ok().get("tasks");
    assertThat(tasks).hasSize(1);
    assertThat(tasks.get(0).get("text").asString()).contains("Oxlade (1990)");
    cora.post(path + "/entries/" + kept.get(1) + "/quoted", wanted).ok();
    assertThat(cora.get("/tasks").ok().get("tasks")).hasSize(1);
    cora.put(
            "/tasks/" + tasks.get(0).get("id").asString() + "/state",
            Map.of("state", "done", "word", "read", "version", 1))
        .ok();
    assertThat(entry(kept.get(1)).at("/quoted/0/read").asBoolean()).isTrue();
    assertThat(cora.post(at, Map.of("described", " ", "doi", "")).type()).isEqualTo("described");
  }

  private JsonNode entry(String publication) {
    for (JsonNode entry : read().get("entries")) {
      if (entry.get("publication").asString().equals(publication)) {
        return entry;
      }
    }
    throw new AssertionError(publication);
  }

  @DisplayName("A folder that only some see makes no task, for tasks are the group's")
  @Test
  void closedMakesNoTask() {
    String pile = "/pile/items";
    cora.post(pile, Map.of("publications", kept, "note", "")).ok();
    String own = "";
    for (JsonNode one : cora.get("/folders").ok()) {
      own = one.get("pile").asBoolean() ? one.get("id").asString() : own;
    }
    cora.post(
            "/folders/" + own + "/bibliography/entries/" + kept.get(0) + "/quoted",
            Map.of("described", "Oxlade (1990)", "doi", ""))
        .ok();
    assertThat(cora.get("/tasks").ok().get("tasks")).isEmpty();
    assertThat(group.client(1).get("/activity").body()).doesNotContain("Oxlade");
  }

  @DisplayName("What came, was mended, annotated or left since a day is told, and nothing before")
  @Test
  void since() {
    String title = read().at("/entries/0/publication").asString();
    cora.put("/folders/" + folder + "/annotations/" + title, Map.of("text", "Good.", "version", 0))
        .ok();
    String other = kept.stream().filter(one -> !one.equals(title)).findFirst().orElseThrow();
    cora.write(
            "DELETE",
            "/folders/" + folder + "/items",
            Map.of("publications", List.of(other)),
            UUID.randomUUID())
        .ok();
    JsonNode all = cora.get(path + "/since?day=2001-01-01").ok().get("entries");
    assertThat(all).hasSize(4);
    for (JsonNode one : all) {
      String id = one.at("/publication/id").asString();
      String what = one.get("what").toString();
      assertThat(what)
          .isEqualTo(
              id.equals(title)
                  ? "[\"came\",\"annotated\"]"
                  : id.equals(other) ? "[\"gone\"]" : "[\"came\"]");
    }
    assertThat(cora.get(path + "/since?day=2999-01-01").ok().get("entries")).isEmpty();
    assertThat(cora.get(path + "/since?day=yesterday").status()).isEqualTo(400);
  }
}
