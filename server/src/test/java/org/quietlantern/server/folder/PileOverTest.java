package org.quietlantern.server.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** A pile becomes a folder of the group. */
class PileOverTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Pia Pile", "Moe Member");
  private final Client pia = group.client(0);
  private final Client moe = group.client(1);
  private final List<String> found = group.find("moth or bat*").subList(0, 4);

  private String keep(List<String> works) {
    return pia.post("/pile/items", Map.of("publications", works, "note", "for later"))
        .ok()
        .get("folderId")
        .asString();
  }

  private JsonNode over(UUID command) {
    return pia.post("/pile/turned-over", Map.of("name", "From Pia"), command).ok();
  }

  private static List<String> ids(Client who, String folder) {
    return who.get("/folders/" + folder)
        .ok()
        .get("ids")
        .valueStream()
        .map(JsonNode::asString)
        .toList();
  }

  private String said(String work) {
    return moe.get("/publications/" + work).ok().at("/said/0/mark").asString();
  }

  @DisplayName("All goes into a new folder with what was said, as the verdict keep; undone exactly")
  @Test
  void turnedOver() {
    String pile = keep(found);
    JsonNode before = pia.get("/folders/" + pile).ok();
    assertThat(said(found.get(0))).isEqualTo("seen");
    UUID command = UUID.randomUUID();
    JsonNode made = over(command);
    String folder = made.get("id").asString();
    assertThat(made.get("publications").asInt()).isEqualTo(4);
    assertThat(over(command)).as("told twice, done once").isEqualTo(made);
    assertThat(ids(moe, folder)).containsExactlyInAnyOrderElementsOf(found);
    assertThat(moe.get("/folders/" + folder).body()).contains("for later", "Pia Pile");
    assertThat(ids(pia, pile)).isEmpty();
    assertThat(said(found.get(0))).isEqualTo("keep");
    assertThat(moe.get("/activity").body()).contains("turned a pile of {publications} over");
    pia.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(pia.get("/folders/" + pile).ok()).isEqualTo(before);
    assertThat(moe.get("/folders/" + folder).status()).isEqualTo(404);
    assertThat(said(found.get(0))).isEqualTo("seen");
  }

  @DisplayName("Undone later: what went elsewhere stays there, and a folder that holds more stays")
  @Test
  void undoneLater() {
    String pile = keep(found.subList(0, 2));
    UUID command = UUID.randomUUID();
    String folder = over(command).get("id").asString();
    String work = group.find("lamp*").stream().filter(w -> !found.contains(w)).findFirst().get();
    moe.post("/folders/" + folder + "/items", Map.of("publications", List.of(work), "note", ""))
        .ok();
    String note = pia.post("/actions/" + command + "/undo", Map.of()).ok().get("note").asString();
    assertThat(note).isEmpty();
    assertThat(ids(pia, pile)).containsExactlyInAnyOrderElementsOf(found.subList(0, 2));
    assertThat(ids(moe, folder)).containsExactly(work);
  }

  @DisplayName("Refused: an empty pile, a name that is taken; a keep that went along is not undone")
  @Test
  void refused() {
    assertThat(pia.post("/pile/turned-over", Map.of("name", "From Pia")).type())
        .isEqualTo("pile-empty");
    UUID kept = UUID.randomUUID();
    pia.post("/pile/items", Map.of("publications", found.subList(0, 1), "note", ""), kept).ok();
    group.folder("Taken");
    assertThat(pia.post("/pile/turned-over", Map.of("name", "taken")).type())
        .isEqualTo("folder-there");
    over(UUID.randomUUID());
    assertThat(pia.post("/actions/" + kept + "/undo", Map.of()).type()).isEqualTo("changed-since");
  }
}
