package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** A folder as a list: its orders, what goes from one to another, and what was said of it. */
class FolderListTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Cora Keeper", "Mats Mover");
  private final Client cora = group.client(0);
  private final Client mats = group.client(1);

  private void keep(Client who, String folder, List<String> ids, String note) {
    who.post("/folders/" + folder + "/items", Map.of("publications", ids, "note", note)).ok();
  }

  private List<String> ids(String folder, String order) {
    JsonNode view = cora.get("/folders/" + folder + "?folder-order=" + order).ok();
    List<String> ids = view.get("ids").valueStream().map(JsonNode::asString).toList();
    assertThat(view.get("items").valueStream().map(i -> i.get("publication").get("id").asString()))
        .containsExactlyElementsOf(ids.subList(0, Math.min(50, ids.size())));
    return ids;
  }

  private List<String> said(String folder, String publication) {
    return cora.post("/folders/" + folder + "/rows", Map.of("ids", List.of(publication)))
        .ok()
        .valueStream()
        .flatMap(row -> row.get("reasons").valueStream())
        .map(reason -> reason.get("who").asString() + ": " + reason.get("text").asString())
        .toList();
  }

  private Client.Response move(
      Client who, String from, String to, List<String> ids, boolean copy, UUID command) {
    Map<String, Object> body = Map.of("publications", ids, "to", to);
    String how = copy ? "copied" : "moved";
    return who.write("POST", "/folders/" + from + "/items/" + how, body, command);
  }

  @DisplayName("Orders: as kept, by who, and those of the catalogue; each the other way round")
  @Test
  void orders() {
    String folder = group.folder("Orders");
    List<String> found = group.find("moth or bat* or light").subList(0, 60);
    keep(mats, folder, found.subList(0, 30), "");
    keep(cora, folder, found.subList(30, 60), "");
    List<String> kept = ids(folder, "kept");
    assertThat(kept.subList(0, 30)).containsExactlyInAnyOrderElementsOf(found.subList(30, 60));
    List<String> turned = new ArrayList<>(kept);
    Collections.reverse(turned);
    assertThat(ids(folder, "-kept")).isEqualTo(turned);
    assertThat(ids(folder, "nonsense")).isEqualTo(kept);
    assertThat(ids(folder, "who").subList(0, 30))
        .as("Cora before Mats")
        .containsExactlyInAnyOrderElementsOf(found.subList(30, 60));
    List<JsonNode> rows =
        ids(folder, "published").stream()
            .map(id -> cora.get("/publications/" + id).ok().get("publication"))
            .toList();
    assertThat(rows.stream().map(row -> row.path("year").asInt(0)).toList())
        .isSortedAccordingTo(Comparator.reverseOrder());
    assertThat(ids(folder, "cited")).hasSize(60).doesNotHaveDuplicates();
    assertThat(ids(folder, "title")).containsExactlyInAnyOrderElementsOf(kept);
  }

  @DisplayName("Moved and copied with what each member said, under their names; undone exactly")
  @Test
  void moved() {
    String from = group.folder("From");
    String to = group.folder("To");
    List<String> works = group.find("bat*").subList(0, 20);
    keep(cora, from, works, "for the review");
    keep(mats, from, works.subList(0, 5), "mine too");
    keep(mats, to, works.subList(0, 1), "there before");
    UUID command = UUID.randomUUID();
    JsonNode moved = move(mats, from, to, works, false, command).ok();
    assertThat(moved.get("there").asInt()).isEqualTo(1);
    assertThat(ids(from, "kept")).isEmpty();
    assertThat(ids(to, "kept")).containsExactlyInAnyOrderElementsOf(works);
    assertThat(said(to, works.get(0)))
        .containsExactlyInAnyOrder(
            "Cora Keeper: for the review", "Mats Mover: mine too", "Mats Mover: there before");
    assertThat(move(mats, from, to, works, false, command).ok()).isEqualTo(moved);
    assertThat(move(mats, from, to, works, false, UUID.randomUUID()).type())
        .as("not there any more")
        .isEqualTo("changed-since");

    mats.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(ids(to, "kept")).containsExactly(works.get(0));
    assertThat(said(to, works.get(0))).containsExactly("Mats Mover: there before");
    assertThat(said(from, works.get(0)))
        .containsExactly("Cora Keeper: for the review", "Mats Mover: mine too");

    UUID copied = UUID.randomUUID();
    move(cora, from, to, works.subList(3, 8), true, copied).ok();
    assertThat(ids(from, "kept")).hasSize(20);
    assertThat(ids(to, "kept")).hasSize(6);
    move(cora, from, to, works.subList(3, 8), true, UUID.randomUUID()).ok();
    assertThat(said(to, works.get(3))).as("said once").hasSize(2);
    assertThat(move(cora, from, from, works, true, UUID.randomUUID()).type())
        .isEqualTo("same-folder");
  }

  @DisplayName(
      "K1: what is turned over from a pile to the group is kept by the verdict; undone too")
  @Test
  void turnedOver() {
    List<String> works = group.find("lamp*").subList(0, 3);
    cora.post("/pile/items", Map.of("publications", works, "note", "to look at")).ok();
    String pile =
        cora.get("/folders")
            .ok()
            .valueStream()
            .filter(folder -> folder.get("pile").asBoolean())
            .findFirst()
            .orElseThrow()
            .get("id")
            .asString();
    String to = group.folder("Ours");
    assertThat(move(mats, pile, to, works, false, UUID.randomUUID()).status()).isEqualTo(404);
    UUID command = UUID.randomUUID();
    move(cora, pile, to, works, false, command).ok();
    assertThat(ids(pile, "kept")).isEmpty();
    assertThat(said(to, works.get(1))).containsExactly("Cora Keeper: to look at");
    assertThat(mark(works.get(1))).contains("keep");
    assertThat(mats.get("/changes?since=0").body()).doesNotContain("item.move");
    cora.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(ids(pile, "kept")).containsExactlyInAnyOrderElementsOf(works);
    assertThat(mark(works.get(1))).doesNotContain("keep");
  }

  @DisplayName("What a folder is for is said with its name, kept without, and undone with it")
  @Test
  void described() {
    String folder = group.folder("Described");
    UUID command = UUID.randomUUID();
    Map<String, String> said = Map.of("name", "Described", "description", " for the\nreview ");
    cora.write("PUT", "/folders/" + folder, said, command).ok();
    assertThat(described(folder)).isEqualTo("for the review");
    Map<String, String> named = Map.of("name", "Named");
    mats.write("PUT", "/folders/" + folder, named, UUID.randomUUID()).ok();
    assertThat(described(folder)).isEqualTo("for the review");
    Map<String, String> none = Map.of("name", "Named", "description", "");
    UUID emptied = UUID.randomUUID();
    mats.write("PUT", "/folders/" + folder, none, emptied).ok();
    assertThat(described(folder)).isEmpty();
    mats.post("/actions/" + emptied + "/undo", Map.of()).ok();
    assertThat(described(folder)).isEqualTo("for the review");
  }

  private String described(String folder) {
    return cora.get("/folders/" + folder).ok().get("description").asString();
  }

  @DisplayName(
      "By hand: each is put where it shall stand, and back by an undo; new ones come first")
  @Test
  void byHand() {
    String folder = group.folder("By hand");
    List<String> works = group.find("street").subList(0, 6);
    keep(cora, folder, works.subList(0, 5), "");
    List<String> expected = new ArrayList<>(ids(folder, "hand"));
    Random random = new Random(3);
    for (int act = 0; act < 40; act++) {
      String moved = expected.get(random.nextInt(5));
      List<String> others = new ArrayList<>(expected);
      others.remove(moved);
      int at = random.nextInt(5);
      String before = at == 4 ? null : others.get(at);
      Map<String, Object> body = new HashMap<>();
      body.put("before", before);
      UUID command = UUID.randomUUID();
      String path = "/folders/" + folder + "/items/" + moved + "/place";
      (act % 2 == 0 ? cora : mats).write("PUT", path, body, command).ok();
      List<String> was = expected;
      others.add(at, moved);
      expected = others;
      assertThat(ids(folder, "hand")).as("act %d", act).isEqualTo(expected);
      if (act % 5 == 4) {
        (act % 2 == 0 ? cora : mats).post("/actions/" + command + "/undo", Map.of()).ok();
        expected = was;
        assertThat(ids(folder, "hand")).as("undone %d", act).isEqualTo(expected);
      }
    }
    keep(mats, folder, works.subList(5, 6), "");
    assertThat(ids(folder, "hand").get(0)).isEqualTo(works.get(5));
    String path = "/folders/" + folder + "/items/" + works.get(5) + "/place";
    Map<String, String> nowhere = Map.of("before", group.find("bat*").get(0));
    assertThat(cora.write("PUT", path, nowhere, UUID.randomUUID()).status()).isEqualTo(409);
  }

  private String mark(String publication) {
    return cora.get("/publications/" + publication).ok().get("said").toString();
  }

  @DisplayName("A note is written anew by its writer alone, and by what it was; undone exactly")
  @Test
  void notes() {
    String folder = group.folder("Notes");
    List<String> works = group.find("light").subList(0, 1);
    String one = works.get(0);
    keep(cora, folder, works, "frist");
    keep(mats, folder, works, "second");
    String path = "/folders/" + folder + "/items/" + one + "/note";
    UUID command = UUID.randomUUID();
    cora.write("PUT", path, Map.of("was", "frist", "text", " first "), command).ok();
    assertThat(said(folder, one)).containsExactly("Cora Keeper: first", "Mats Mover: second");
    assertThat(
            cora.write("PUT", path, Map.of("was", "second", "text", "x"), UUID.randomUUID()).type())
        .as("not hers")
        .isEqualTo("changed-since");
    String long_ = "x".repeat(4_001);
    assertThat(
            cora.write("PUT", path, Map.of("was", "first", "text", long_), UUID.randomUUID())
                .type())
        .isEqualTo("note");
    cora.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(said(folder, one)).containsExactly("Cora Keeper: frist", "Mats Mover: second");
  }

  @DisplayName(
      "K: however it is kept, moved, copied, taken out and undone, nothing is lost or doubled")
  @Test
  void nothingIsLost() {
    Random random = new Random(15);
    List<String> works = group.find("moth").subList(0, 12);
    List<String> folders = List.of(group.folder("A"), group.folder("B"), group.folder("C"));
    Map<String, Set<String>> expected =
        Map.of(
            folders.get(0), new TreeSet<>(),
            folders.get(1), new TreeSet<>(),
            folders.get(2), new TreeSet<>());
    for (int act = 0; act < 60; act++) {
      Client who = random.nextBoolean() ? cora : mats;
      String from = folders.get(random.nextInt(3));
      String to = folders.get(random.nextInt(3));
      List<String> some = works.subList(random.nextInt(6), 6 + random.nextInt(6));
      UUID command = UUID.randomUUID();
      Map<String, Set<String>> before = copyOf(expected);
      int what = random.nextInt(4);
      Client.Response done;
      if (what == 0) {
        Map<String, Object> body = Map.of("publications", some, "note", "n" + random.nextInt(3));
        done = who.post("/folders/" + to + "/items", body, command);
        expected.get(to).addAll(some);
      } else if (what == 3) {
        Map<String, Object> body = Map.of("publications", some);
        done = who.write("DELETE", "/folders/" + from + "/items", body, command);
        if (done.status() == 200) {
          expected.get(from).removeAll(some);
        }
      } else {
        done = move(who, from, to, some, what == 2, command);
        if (done.status() == 200) {
          expected.get(to).addAll(some);
          if (what == 1) {
            expected.get(from).removeAll(some);
          }
        }
      }
      if (done.status() == 200 && random.nextInt(3) == 0) {
        who.post("/actions/" + command + "/undo", Map.of()).ok();
        expected.forEach(
            (folder, held) -> {
              held.clear();
              held.addAll(before.get(folder));
            });
      }
      for (String folder : folders) {
        assertThat(ids(folder, "kept"))
            .as("folder %s after act %d (%d)", folders.indexOf(folder), act, what)
            .containsExactlyInAnyOrderElementsOf(expected.get(folder));
      }
    }
    JsonNode listed = cora.get("/folders").ok();
    for (JsonNode folder : listed) {
      if (expected.containsKey(folder.get("id").asString())) {
        assertThat(folder.get("items").asInt())
            .isEqualTo(expected.get(folder.get("id").asString()).size());
      }
    }
  }

  private static Map<String, Set<String>> copyOf(Map<String, Set<String>> all) {
    Map<String, Set<String>> copy = new HashMap<>();
    all.forEach((folder, held) -> copy.put(folder, new TreeSet<>(held)));
    return copy;
  }
}
