package org.quietlantern.server.task;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** What a group has to look up. */
class TasksTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Tove Asker", "Ulf Looker").guest("Gus Guest");
  private final Client tove = group.client(0);
  private final Client ulf = group.client(1);
  private final String me = group.member(0).pid();
  private final String him = group.member(1).pid();
  private final String work = group.find("moth").get(0);

  private static String note(Client who, Map<String, String> said) {
    Map<String, String> body = new HashMap<>(Map.of("text", "Which lamps?"));
    body.putAll(said);
    return who.post("/tasks", body).ok().get("id").asString();
  }

  private static JsonNode shown(Client who, String task) {
    for (String of : List.of("open", "ended")) {
      for (JsonNode one : who.get("/tasks?of=" + of).ok().get("tasks")) {
        if (one.get("id").asString().equals(task)) {
          return one;
        }
      }
    }
    throw new AssertionError("not shown: " + task);
  }

  private static Client.Response end(Client who, String task, String state, String word) {
    int version = shown(who, task).get("version").asInt();
    return who.put(
        "/tasks/" + task + "/state", Map.of("state", state, "word", word, "version", version));
  }

  private static List<String> texts(JsonNode tasks) {
    return tasks.findValuesAsString("text");
  }

  @DisplayName("Noted for a member, who finds it among theirs, done with what came of it")
  @Test
  void done() {
    String task = note(tove, Map.of("publication", work, "owner", him, "due", "2030-12-24"));
    note(tove, Map.of("text", "Without a day", "owner", him));
    note(tove, Map.of("text", "Late", "owner", him, "due", "2001-01-01"));
    JsonNode waits = ulf.get("/tasks?of=mine").ok().get("tasks");
    assertThat(texts(waits))
        .as("what is due first")
        .containsExactly("Late", "Which lamps?", "Without a day");
    assertThat(waits.findValuesAsString("late")).containsExactly("true", "false", "false");
    assertThat(waits.get(1).at("/publication/id").asString()).isEqualTo(work);
    assertThat(waits.get(1).get("due").asString()).isEqualTo("2030-12-24");
    assertThat(tove.get("/tasks?of=mine").ok().get("tasks")).isEmpty();
    assertThat(end(ulf, task, "done", "Sodium, by the second table").status()).isEqualTo(200);
    assertThat(texts(ulf.get("/tasks?of=mine").ok().get("tasks"))).hasSize(2);
    JsonNode told = tove.get("/publications/" + work + "/tasks").ok().get(0);
    assertThat(told.get("state").asString()).isEqualTo("done");
    assertThat(told.get("word").asString()).isEqualTo("Sodium, by the second table");
    assertThat(told.get("stateBy").asString()).isEqualTo("Ulf Looker");
    assertThat(tove.get("/activity?of=publication:" + work).ok().toString())
        .contains("looked up: {task}", "Which lamps?");
  }

  @DisplayName("Of two who take it at once one has it; the other is told, and nothing is lost")
  @Test
  void taken() {
    String task = note(tove, Map.of());
    assertThat(tove.get("/tasks?of=nobody").ok().get("tasks")).hasSize(1);
    int version = shown(ulf, task).get("version").asInt();
    String owner = "/tasks/" + task + "/owner";
    ulf.put(owner, Map.of("owner", him, "version", version)).ok();
    Client.Response late = tove.put(owner, Map.of("owner", me, "version", version));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.type()).isEqualTo("stale");
    assertThat(shown(tove, task).at("/owner/name").asString()).isEqualTo("Ulf Looker");
    JsonNode page = ulf.get("/tasks?of=mine").ok();
    assertThat(texts(page.get("tasks"))).containsExactly("Which lamps?");
    assertThat(
            List.of(
                page.get("open").asInt(), page.get("mine").asInt(), page.get("nobodys").asInt()))
        .containsExactly(1, 1, 0);
  }

  @DisplayName("Who gives up says why; it can be opened again, and the undo puts back all of it")
  @Test
  void givenUp() {
    String task = note(tove, Map.of("owner", me, "due", "2030-01-02"));
    assertThat(end(tove, task, "given up", "  ").type()).isEqualTo("word");
    assertThat(end(tove, task, "half done", "x").type()).isEqualTo("state");
    JsonNode before = shown(tove, task);
    UUID command = UUID.randomUUID();
    tove.write(
            "PUT",
            "/tasks/" + task + "/state",
            Map.of("state", "given up", "word", "no library has it", "version", 1),
            command)
        .ok();
    assertThat(shown(ulf, task).get("word").asString()).isEqualTo("no library has it");
    tove.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(shown(tove, task)).isEqualTo(before);
    assertThat(end(tove, task, "done", "").status()).isEqualTo(200);
    assertThat(end(ulf, task, "open", "forgotten").status()).isEqualTo(200);
    assertThat(shown(tove, task).get("word").asString()).isEmpty();
  }

  @DisplayName("A cited work is looked up once at a time, and the task says when it is here")
  @Test
  void cited() {
    String here =
        group.find("moth").stream().filter(id -> !doi(id).isEmpty()).findFirst().orElseThrow();
    String doi = doi(here);
    String task =
        note(tove, Map.of("publication", work, "doi", doi.toUpperCase(java.util.Locale.ROOT)));
    assertThat(shown(ulf, task).at("/here/id").asString()).isEqualTo(here);
    Client.Response again =
        ulf.post("/tasks", Map.of("text", "x", "publication", work, "doi", doi));
    assertThat(again.type()).isEqualTo("looked-up");
    String nowhere = note(ulf, Map.of("publication", work, "doi", "10.5555/nowhere"));
    assertThat(shown(ulf, nowhere).hasNonNull("here")).isFalse();
    end(tove, task, "done", "").ok();
    ulf.post("/tasks", Map.of("text", "x", "publication", work, "doi", doi)).ok();
  }

  private String doi(String publication) {
    return tove.get("/publications/" + publication).ok().get("doi").asString();
  }

  @DisplayName("From a remark, which may be taken back; by nobody once its owner has left")
  @Test
  void outlasts() {
    String remark =
        tove.post("/publications/" + work + "/remarks", Map.of("text", "By whom?"))
            .ok()
            .get("id")
            .asString();
    String task = note(tove, Map.of("publication", work, "remark", remark, "owner", him));
    assertThat(shown(tove, task).get("remark").asString()).isEqualTo(remark);
    tove.write("DELETE", "/remarks/" + remark, Map.of(), UUID.randomUUID()).ok();
    assertThat(shown(tove, task).hasNonNull("remark")).isFalse();
    tove.write("DELETE", "/members/" + him, Map.of(), UUID.randomUUID()).ok();
    assertThat(texts(tove.get("/tasks?of=nobody").ok().get("tasks")))
        .containsExactly("Which lamps?");
    assertThat(shown(tove, task).hasNonNull("owner")).isFalse();
  }

  @DisplayName("Guests read and have none, strangers see nothing, bad input says what is wrong")
  @Test
  void refused() {
    String task = note(tove, Map.of("publication", work));
    Client guest = group.client(2);
    assertThat(texts(guest.get("/tasks").ok().get("tasks"))).hasSize(1);
    assertThat(guest.post("/tasks", Map.of("text", "me")).status()).isEqualTo(403);
    assertThat(tove.post("/tasks", Map.of("text", "x", "owner", group.member(2).pid())).type())
        .isEqualTo("owner");
    Client other = APP.group("Olga Other").client(0);
    assertThat(other.get("/tasks").ok().get("tasks")).isEmpty();
    assertThat(other.get("/publications/" + work + "/tasks").ok()).isEmpty();
    assertThat(other.put("/tasks/" + task, Map.of("text", "x", "version", 1)).status())
        .isEqualTo(404);
    assertThat(other.post("/tasks", Map.of("text", "x", "owner", me)).status()).isEqualTo(404);
    assertThat(tove.post("/tasks", Map.of("text", " \n ")).type()).isEqualTo("text");
    assertThat(tove.post("/tasks", Map.of("text", "x", "doi", "1".repeat(301))).type())
        .isEqualTo("doi");
    assertThat(tove.post("/tasks", Map.of("text", "x".repeat(1_001))).type()).isEqualTo("text");
    assertThat(tove.post("/tasks", Map.of("text", "x", "due", "soon")).status())
        .isBetween(400, 422);
    assertThat(tove.get("/tasks?of=everything").type()).isEqualTo("of");
    assertThat(tove.get("/tasks?from=-7").ok().get("tasks")).hasSize(1);
  }

  @DisplayName("More than a page: the rest follows, each once")
  @Test
  void pages() {
    for (int i = 0; i < 53; i++) {
      note(tove, Map.of("text", "No. " + i));
    }
    JsonNode first = tove.get("/tasks").ok();
    JsonNode second = tove.get("/tasks?from=" + first.get("next").asInt()).ok();
    assertThat(second.hasNonNull("next")).isFalse();
    List<String> all = new java.util.ArrayList<>(texts(first.get("tasks")));
    all.addAll(texts(second.get("tasks")));
    assertThat(all).hasSize(53).doesNotHaveDuplicates();
  }
}
