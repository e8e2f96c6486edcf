package org.quietlantern.server.today;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.activity.Wording;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.action.Undoing;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** Who did what, and when; undone from there. */
class ActivityTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Ada Doer", "Ben Reader").guest("Gus Guest");
  private final Client ada = group.client(0);
  private final Client ben = group.client(1);
  private final String folder = group.folder("Verges");
  private final List<String> found = group.find("moth or bat*");

  private static JsonNode lines(Client who, String of) {
    return who.get("/activity?of=" + of).ok().get("lines");
  }

  private static List<String> words(Client who, String of) {
    return lines(who, of).findValuesAsString("words");
  }

  private static void keep(Client who, String place, List<String> publications) {
    who.post(place + "/items", Map.of("publications", publications, "note", "why")).ok();
  }

  @DisplayName(
      "Of a folder, a publication, a saved search, with the names of things; guests read it")
  @Test
  void told() {
    keep(ben, "/folders/" + folder, found.subList(0, 5));
    String search = group.search(folder, "Lamps", "moth").get("id").asString();
    JsonNode line = lines(group.client(2), "folder:" + folder).get(0);
    assertThat(line.at("/deed/who").asString()).isEqualTo("Ben Reader");
    assertThat(line.at("/deed/words").asString()).isEqualTo("kept {publications} in {folder}");
    assertThat(line.at("/deed/publications").asInt()).isEqualTo(5);
    assertThat(line.at("/deed/some").findValuesAsString("id")).isEqualTo(found.subList(0, 3));
    assertThat(line.at("/deed/things/0/name").asString()).isEqualTo("Verges");
    assertThat(words(ada, "folder:" + folder)).endsWith("made {folder}");
    assertThat(words(ada, "publication:" + found.get(4)))
        .containsExactly("kept {publications} in {folder}");
    assertThat(words(ada, "search:" + search)).containsExactly("saved {search}");
    assertThat(words(ada, "")).hasSize(3);
    assertThat(ada.get("/activity?of=search:" + search).ok().get("name").asString())
        .isEqualTo("Lamps");
  }

  @DisplayName("What is in a pile is told to nobody else; strangers' things are unknown")
  @Test
  void hidden() {
    String pile =
        ben.post("/pile/items", Map.of("publications", found.subList(0, 1), "note", "mine"))
            .ok()
            .get("folderId")
            .asString();
    assertThat(words(ben, "folder:" + pile)).containsExactly("kept {publications} in {folder}");
    assertThat(ada.get("/activity?of=folder:" + pile).status()).isEqualTo(404);
    assertThat(lines(ada, "").toString()).doesNotContain("mine", pile);
    Client other = APP.group("Olga Other").client(0);
    assertThat(other.get("/activity?of=folder:" + folder).status()).isEqualTo(404);
    assertThat(lines(other, "publication:" + found.get(0))).isEmpty();
    UUID foreign = UUID.fromString(lines(ada, "").get(0).get("id").asString());
    assertThat(other.get("/activity?before=" + foreign).status()).isEqualTo(404);
    for (String bad : List.of("folder", "folder:", "person:x", ":", "x".repeat(3000))) {
      assertThat(ada.get("/activity?of=" + bad).status()).as(bad).isIn(404, 422);
    }
  }

  private static List<String> changed(Client who, String of) {
    return lines(who, of)
        .get(0)
        .get("changed")
        .valueStream()
        .map(
            one ->
                "%s: %s > %s"
                    .formatted(
                        one.get("of").asString(),
                        one.get("was").asString(),
                        one.get("is").asString()))
        .toList();
  }

  @DisplayName("What was changed is told with how it was before, by names that the reader may know")
  @Test
  void changed() {
    String around = group.folder("Around");
    ada.put("/folders/" + folder, Map.of("name", "Lanes", "parent", around)).ok();
    assertThat(changed(ben, "folder:" + folder))
        .containsExactly("name: Verges > Lanes", "lies in:  > Around");
    ada.put("/folders/" + folder, Map.of("name", "Lanes", "description", "Roads")).ok();
    ada.put(
            "/folders/" + around + "/rights",
            Map.of(
                "openTo",
                "named",
                "groupMay",
                "read",
                "named",
                List.of(Map.of("member", group.member(0).pid(), "may", "edit")),
                "version",
                ada.get("/folders/" + around + "/rights").ok().get("version").asInt()))
        .ok();
    assertThat(changed(ben, "folder:" + folder))
        .containsExactly("what it is for:  > Roads", "lies in: a folder > ");
    assertThat(changed(ada, "folder:" + folder)).contains("lies in: Around > ");
    assertThat(changed(ada, "folder:" + around))
        .contains("seen by: the group > those who are named");

    String search = group.search(folder, "Lamps", "moth").get("id").asString();
    ada.put("/searches/" + search, Map.of("name", "Moths", "folder", folder)).ok();
    assertThat(changed(ben, "search:" + search)).containsExactly("name: Lamps > Moths");
    String alert = group.alert(folder, "All", "moth", "daily");
    ada.put(
            "/alerts/" + alert,
            Map.of("rhythm", "at-once", "hour", "05:00", "asked", 2, "folder", folder))
        .ok();
    assertThat(changed(ben, "alert:" + alert))
        .contains("rhythm: daily > at-once", "lamps asked for: 1 > 2");
  }

  @DisplayName("A mark that becomes another, a note and a task are told with how they were before")
  @Test
  void changedMarks() {
    String one = found.get(0);
    Map<String, Object> pass = Map.of("publications", List.of(one), "mark", "pass", "reason", "");
    ada.post("/marks", pass).ok();
    assertThat(changed(ben, "publication:" + one)).as("the first mark").isEmpty();
    ada.post("/marks", Map.of("publications", List.of(one), "mark", "raise", "reason", "?")).ok();
    assertThat(changed(ben, "publication:" + one)).containsExactly("mark: pass > raise");
    ada.post("/marks", Map.of("publications", found.subList(0, 2), "mark", "hold", "reason", ""))
        .ok();
    assertThat(changed(ben, "publication:" + one)).as("not the same before").isEmpty();
    keep(ada, "/folders/" + folder, List.of(one));
    ada.put(
            "/folders/" + folder + "/items/" + one + "/note",
            Map.of("was", "why", "text", "because"))
        .ok();
    assertThat(changed(ben, "publication:" + one)).containsExactly("why: why > because");
    String task =
        ada.post("/tasks", Map.of("text", "Which moths?", "publication", one))
            .ok()
            .get("id")
            .asString();
    ada.put("/tasks/" + task + "/owner", Map.of("owner", group.member(1).pid(), "version", 1)).ok();
    assertThat(changed(ben, "publication:" + one))
        .containsExactly("who looks it up:  > Ben Reader");
  }

  @DisplayName(
      "Undone by who did it, refused by name when a colleague changed the same thing since")
  @Test
  void undone() {
    ada.write("PUT", "/folders/" + folder, Map.of("name", "Roadsides"), UUID.randomUUID()).ok();
    JsonNode mine = lines(ada, "folder:" + folder).get(0);
    assertThat(mine.get("undoable").asBoolean()).isTrue();
    assertThat(lines(ben, "folder:" + folder).get(0).get("undoable").asBoolean()).isFalse();
    ben.write("PUT", "/folders/" + folder, Map.of("name", "Lanes"), UUID.randomUUID()).ok();
    String undo = "/actions/" + mine.get("id").asString() + "/undo";
    assertThat(ada.post(undo, Map.of()).json().get("detail").asString())
        .contains("by Ben Reader on 17 November 2026");
    String his = lines(ben, "folder:" + folder).get(0).get("id").asString();
    ben.post("/actions/" + his + "/undo", Map.of()).ok();
    JsonNode taken = lines(ben, "folder:" + folder).get(0);
    assertThat(taken.get("undone").asBoolean()).isTrue();
    assertThat(taken.get("undoable").asBoolean()).isFalse();
    ada.post(undo, Map.of()).ok();
    assertThat(ada.get("/activity?of=folder:" + folder).ok().get("name").asString())
        .isEqualTo("Verges");
  }

  @DisplayName("Page by page, nothing twice and nothing left out")
  @Test
  void pages() {
    for (int i = 0; i < 60; i++) {
      group.folder("Folder " + i);
    }
    JsonNode first = ada.get("/activity").ok();
    JsonNode second = ada.get("/activity?before=" + first.get("next").asString()).ok();
    assertThat(first.get("lines")).hasSize(50);
    assertThat(second.get("lines")).hasSize(11);
    assertThat(second.get("next")).isNull();
    List<String> names = new java.util.ArrayList<>();
    for (JsonNode page : List.of(first, second)) {
      page.get("lines").forEach(one -> names.add(one.at("/deed/things/0/name").asString()));
    }
    assertThat(names).doesNotHaveDuplicates().hasSize(61).startsWith("Folder 59");
  }

  @DisplayName("Every kind of command has words, or is nobody else's news")
  @Test
  void everyKind() {
    assertThat(APP.bean(Undoing.class).kinds().keySet())
        .allSatisfy(
            kind ->
                assertThat(
                        Wording.UNTOLD.contains(kind)
                            || Wording.of(kind, "").isPresent()
                            || kind.equals("review.mark"))
                    .as(kind)
                    .isTrue());
    assertThat(Mark.values())
        .allSatisfy(mark -> assertThat(Wording.of("review.mark", mark.word())).isPresent());
  }
}
