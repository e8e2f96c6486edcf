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

/** Two folders become one, or one is copied. */
class WholeFoldersTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Mia Merger", "Moe Keeper").guest("Gus Guest");
  private final Client mia = group.client(0);
  private final Client moe = group.client(1);
  private final List<String> found = group.find("moth or bat*");
  private final String first = group.folder("First");
  private final String second = group.folder("Second");

  private static void keep(Client who, String folder, List<String> works, String why) {
    who.post("/folders/" + folder + "/items", Map.of("publications", works, "note", why)).ok();
  }

  private static JsonNode read(Client who, String folder) {
    return who.get("/folders/" + folder).ok();
  }

  private static List<String> ids(Client who, String folder) {
    return read(who, folder).get("ids").valueStream().map(JsonNode::asString).toList();
  }

  private UUID merge(String from, String to) {
    UUID command = UUID.randomUUID();
    mia.post("/folders/" + from + "/merged", Map.of("to", to), command).ok();
    return command;
  }

  private static Client.Response undo(Client who, UUID command) {
    return who.post("/actions/" + command + "/undo", Map.of());
  }

  private static List<String> reasons(JsonNode folder, String work) {
    for (JsonNode item : folder.get("items")) {
      if (item.at("/publication/id").asString().equals(work)) {
        return item.get("reasons").findValuesAsString("text");
      }
    }
    return List.of();
  }

  @DisplayName(
      "Everything goes along: works once with all that was said, searches, alerts, reports")
  @Test
  void merged() {
    keep(mia, first, found.subList(0, 4), "lamps");
    keep(moe, first, found.subList(3, 4), "bats");
    keep(moe, second, found.subList(3, 6), "bats");
    String search = group.search(first, "Lamps", "moth").get("id").asString();
    String alert = group.alert(first, "All", "moth", "daily");
    String inside = group.folder("Inside");
    mia.put("/folders/" + inside, Map.of("name", "Inside", "parent", first)).ok();
    JsonNode before = read(mia, first);
    UUID command = merge(first, second);
    assertThat(ids(mia, second)).containsExactlyInAnyOrderElementsOf(found.subList(0, 6));
    assertThat(reasons(read(mia, second), found.get(3))).containsExactlyInAnyOrder("lamps", "bats");
    assertThat(mia.get("/searches/" + search).ok().at("/folder/id").asString()).isEqualTo(second);
    assertThat(mia.get("/alerts/" + alert).ok().toString()).contains(second);
    assertThat(read(mia, inside).get("parent").asString()).isEqualTo(second);
    Client.Response gone = moe.get("/folders/" + first);
    assertThat(gone.status()).isEqualTo(410);
    assertThat(gone.json().get("folder").asString()).isEqualTo(second);
    assertThat(mia.get("/bin").ok().get("lines"))
        .as("an undo brings it back, not the bin")
        .isEmpty();
    assertThat(undo(mia, command).status()).isEqualTo(200);
    assertThat(read(mia, first)).isEqualTo(before);
    assertThat(ids(mia, second)).containsExactlyInAnyOrderElementsOf(found.subList(3, 6));
    assertThat(reasons(read(mia, second), found.get(3))).containsExactly("bats");
    assertThat(mia.get("/searches/" + search).ok().at("/folder/id").asString()).isEqualTo(first);
  }

  @DisplayName("What was kept before and went along is not taken back alone: it says who merged")
  @Test
  void olderActs() {
    UUID kept = UUID.randomUUID();
    moe.post(
            "/folders/" + first + "/items",
            Map.of("publications", found.subList(0, 2), "note", "x"),
            kept)
        .ok();
    merge(first, second);
    Client.Response refused = undo(moe, kept);
    assertThat(refused.type()).isEqualTo("changed-since");
    assertThat(refused.body()).contains("Mia Merger");
    assertThat(ids(moe, second)).hasSize(2);
  }

  @DisplayName("What was taken out before comes back into the folder that the first one went into")
  @Test
  void takenOutBefore() {
    keep(mia, first, found.subList(0, 3), "x");
    UUID out = UUID.randomUUID();
    moe.write(
            "DELETE",
            "/folders/" + first + "/items",
            Map.of("publications", found.subList(0, 1)),
            out)
        .ok();
    merge(first, second);
    assertThat(undo(moe, out).status()).isEqualTo(200);
    assertThat(ids(mia, second)).containsExactlyInAnyOrderElementsOf(found.subList(0, 3));
  }

  @DisplayName("A keep is not taken back behind the back of whoever moved the work")
  @Test
  void keepsAndMoving() {
    UUID kept = UUID.randomUUID();
    mia.post(
            "/folders/" + first + "/items",
            Map.of("publications", found.subList(0, 1), "note", "x"),
            kept)
        .ok();
    moe.post(
            "/folders/" + first + "/items/moved",
            Map.of("publications", found.subList(0, 1), "to", second))
        .ok();
    assertThat(undo(mia, kept).type()).isEqualTo("changed-since");
    assertThat(ids(mia, second)).hasSize(1);
  }

  @DisplayName("What went on since stays where it is; the rest comes back with the undo")
  @Test
  void since() {
    keep(mia, first, found.subList(0, 3), "x");
    UUID command = merge(first, second);
    String third = group.folder("Third");
    moe.post(
            "/folders/" + second + "/items/moved",
            Map.of("publications", found.subList(0, 1), "to", third))
        .ok();
    keep(moe, second, found.subList(5, 6), "new");
    Client.Response undone = undo(mia, command);
    assertThat(undone.ok().get("note").asString()).startsWith("1 of them went elsewhere since");
    assertThat(ids(mia, first)).containsExactlyInAnyOrderElementsOf(found.subList(1, 3));
    assertThat(ids(mia, second)).containsExactly(found.get(5));
    assertThat(ids(mia, third)).containsExactly(found.get(0));
  }

  @DisplayName("Of two that share a folder the later one is undone first")
  @Test
  void twoInARow() {
    String third = group.folder("Third");
    keep(mia, first, found.subList(0, 2), "x");
    UUID before = merge(first, second);
    UUID later = merge(second, third);
    assertThat(undo(mia, before).type()).isEqualTo("changed-since");
    assertThat(ids(mia, third)).hasSize(2);
    undo(mia, later).ok();
    undo(mia, before).ok();
    assertThat(ids(mia, first)).hasSize(2);
    assertThat(ids(mia, third)).isEmpty();
  }

  @DisplayName("Refused: itself, one that lies in it, a pile, what is of the same name, a stranger")
  @Test
  void refused() {
    assertThat(type(first, first)).isEqualTo("same-folder");
    mia.put("/folders/" + second, Map.of("name", "Second", "parent", first)).ok();
    assertThat(type(first, second)).isEqualTo("folder-circle");
    mia.put("/folders/" + second, Map.of("name", "Second")).ok();
    group.search(first, "Lamps", "moth");
    group.search(second, "lamps", "bat");
    assertThat(type(first, second)).isEqualTo("name-there");
    String pile =
        mia.post("/pile/items", Map.of("publications", found.subList(0, 1), "note", ""))
            .ok()
            .get("folderId")
            .asString();
    assertThat(type(pile, second)).isEqualTo("pile");
    assertThat(type(first, pile)).isEqualTo("pile");
    assertThat(moe.post("/folders/" + pile + "/merged", Map.of("to", second)).status())
        .as("another member's pile")
        .isEqualTo(404);
    Client other = APP.group("Olga Other").client(0);
    assertThat(other.post("/folders/" + first + "/merged", Map.of("to", second)).status())
        .isEqualTo(404);
    assertThat(group.client(2).post("/folders/" + first + "/merged", Map.of("to", second)).status())
        .isEqualTo(403);
  }

  private String type(String from, String to) {
    return mia.post("/folders/" + from + "/merged", Map.of("to", to)).type();
  }

  @DisplayName("Copied with what was said and in the same order; the undo takes no work away")
  @Test
  void copied() {
    keep(mia, first, found.subList(0, 3), "lamps");
    keep(moe, first, found.subList(2, 3), "bats");
    UUID command = UUID.randomUUID();
    String copy =
        mia.post("/folders/" + first + "/copies", Map.of("name", "For the review"), command)
            .ok()
            .get("id")
            .asString();
    assertThat(ids(moe, copy)).isEqualTo(ids(moe, first));
    assertThat(reasons(read(moe, copy), found.get(2))).containsExactlyInAnyOrder("lamps", "bats");
    assertThat(mia.post("/folders/" + first + "/copies", Map.of("name", "first")).type())
        .isEqualTo("folder-there");
    keep(moe, copy, found.subList(7, 8), "new");
    assertThat(undo(mia, command).type()).isEqualTo("folder-holds");
    moe.write(
            "DELETE",
            "/folders/" + copy + "/items",
            Map.of("publications", found.subList(7, 8)),
            UUID.randomUUID())
        .ok();
    assertThat(undo(mia, command).status()).isEqualTo(200);
    assertThat(mia.get("/folders/" + copy).status()).isEqualTo(404);
    assertThat(ids(mia, first)).hasSize(3);
  }

  @DisplayName("Nothing is put back into a folder that has ended; one that ended says so")
  @Test
  void ended() {
    keep(mia, first, found.subList(0, 2), "x");
    UUID moved = UUID.randomUUID();
    mia.post(
            "/folders/" + first + "/items/moved",
            Map.of("publications", found.subList(0, 2), "to", second),
            moved)
        .ok();
    mia.write("DELETE", "/folders/" + first, Map.of(), UUID.randomUUID()).ok();
    assertThat(undo(mia, moved).type()).isEqualTo("folder-ended");
    assertThat(ids(mia, second)).hasSize(2);
    assertThat(moe.get("/folders/" + first).type()).isEqualTo("ended");
    mia.post("/bin/" + first + "/back", Map.of()).ok();
    assertThat(undo(mia, moved).status()).isEqualTo(200);
    assertThat(ids(mia, first)).hasSize(2);
  }

  @DisplayName("Taken out and put back by the undo, it has its place in the order by hand again")
  @Test
  void place() {
    keep(mia, first, found.subList(0, 4), "x");
    String path = "/folders/" + first + "/items/" + found.get(3) + "/place";
    mia.put(path, Map.of("before", found.get(0))).ok();
    List<String> before = byHand();
    UUID out = UUID.randomUUID();
    mia.write(
            "DELETE",
            "/folders/" + first + "/items",
            Map.of("publications", found.subList(2, 4)),
            out)
        .ok();
    undo(mia, out).ok();
    assertThat(byHand()).isEqualTo(before);
    UUID merged = merge(first, second);
    undo(mia, merged).ok();
    assertThat(byHand()).isEqualTo(before);
  }

  private List<String> byHand() {
    return mia.get("/folders/" + first + "?folder-order=hand")
        .ok()
        .get("ids")
        .valueStream()
        .map(JsonNode::asString)
        .toList();
  }
}
