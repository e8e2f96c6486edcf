package org.quietlantern.server.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** What members say to have read: a fact of its own beside what is opened and what is marked. */
class ReadingsTest {
  private static final TestApp APP = TestApp.shared();
  private TestGroup group;
  private Client ada;
  private String path;

  @BeforeEach
  void found() {
    group = APP.group("Ada Reader", "Ben Reader").guest("Gus Guest");
    ada = group.client(0);
    path = "/publications/" + group.find("moth*").get(0);
  }

  private UUID say(Client who, String extent) {
    UUID command = UUID.randomUUID();
    who.write("PUT", path + "/read", Map.of("extent", extent), command).ok();
    return command;
  }

  private JsonNode read(Client who) {
    return who.get(path).ok().get("read");
  }

  @DisplayName("Said, said anew, undone, taken back: the newest word counts, and lights no lamp")
  @Test
  void said() {
    ada.write("PUT", path + "/opened", Map.of(), UUID.randomUUID()).ok();
    assertThat(read(ada)).as("opening concludes nothing").isEmpty();
    say(ada, "abstract");
    UUID second = say(ada, "text");
    assertThat(read(group.client(1))).hasSize(1);
    assertThat(read(group.client(1)).get(0).get("extent").asString()).isEqualTo("text");
    assertThat(read(group.client(1)).get(0).get("name").asString()).isEqualTo("Ada Reader");
    assertThat(ada.get(path).ok().get("lamp").asString()).isEqualTo("unlit");
    ada.post("/actions/" + second + "/undo", Map.of()).ok();
    assertThat(read(ada).get(0).get("extent").asString()).isEqualTo("abstract");
    say(ada, "nothing");
    assertThat(read(ada)).isEmpty();
  }

  @DisplayName("Who said it first stands first; another group sees nothing, a guest says nothing")
  @Test
  void whoSeesIt() {
    say(ada, "text");
    say(group.client(1), "abstract");
    assertThat(read(group.client(2)).findValuesAsString("name"))
        .containsExactly("Ada Reader", "Ben Reader");
    assertThat(read(APP.group("Olga Other").client(0))).isEmpty();
    Map<String, String> text = Map.of("extent", "text");
    UUID command = UUID.randomUUID();
    assertThat(group.client(2).write("PUT", path + "/read", text, command).status()).isEqualTo(403);
    Map<String, String> half = Map.of("extent", "half");
    assertThat(ada.write("PUT", path + "/read", half, command).status()).isEqualTo(422);
  }

  @DisplayName("Lists tell the most that was read, and by whom; nobody from outside is told")
  @Test
  void inLists() {
    String folder = group.folder("Read");
    String id = path.substring(path.lastIndexOf('/') + 1);
    ada.post("/folders/" + folder + "/items", Map.of("publications", List.of(id), "note", "")).ok();
    assertThat(row(ada, id).has("read")).isFalse();
    say(ada, "abstract");
    assertThat(row(ada, id).get("read").toString())
        .isEqualTo("{\"extent\":\"abstract\",\"by\":[\"Ada Reader\"]}");
    say(group.client(1), "text");
    assertThat(row(group.client(2), id).at("/read/by").toString()).isEqualTo("[\"Ben Reader\"]");
    say(group.client(1), "nothing");
    assertThat(row(ada, id).at("/read/extent").asString()).isEqualTo("abstract");
    group.folderGuest("Orla Outside", folder, "read");
    assertThat(
            group
                .client(3)
                .post("/folders/" + folder + "/rows", Map.of("ids", List.of(id)))
                .ok()
                .toString())
        .doesNotContain("\"read\"", "extent");
    assertThat(row(APP.group("Olga Other").client(0), id).has("read")).isFalse();
  }

  private static JsonNode row(Client who, String id) {
    return who.post("/rows", Map.of("ids", List.of(id))).ok().get(0);
  }
}
