package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

class KeepingTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Kaja Keep", "Kim Keep");
  private final Client kaja = group.client(0);
  private final Client kim = group.client(1);
  private final String folder = group.folder("Verges");
  private final String publication = group.find("moth").get(0);

  private Client.Response keep(Client who, String note, UUID command) {
    return who.post(
        "/folders/" + folder + "/items",
        Map.of("publications", List.of(publication), "note", note),
        command);
  }

  private JsonNode items() {
    return kim.get("/folders/" + folder).ok().get("items");
  }

  @DisplayName("K1, K2: the other member sees it with who, when and why; twice is once")
  @Test
  void keepingTwice() {
    keep(kaja, "the design we wanted", UUID.randomUUID()).ok();
    JsonNode again = keep(kim, "methods", UUID.randomUUID()).ok();
    assertThat(again.get("already").asBoolean()).isTrue();
    assertThat(again.get("keeper").asString()).isEqualTo("Kaja Keep");
    assertThat(items().size()).isEqualTo(1);
    JsonNode reasons = items().get(0).get("reasons");
    assertThat(
            reasons
                .valueStream()
                .map(r -> r.get("who").asString() + ": " + r.get("text").asString()))
        .containsExactly("Kaja Keep: the design we wanted", "Kim Keep: methods");
    assertThat(reasons.get(0).get("at").asString()).matches("\\d{4}-\\d\\d-\\d\\dT.*Z");
  }

  @Test
  void repeatingACommandChangesNothing() {
    UUID command = UUID.randomUUID();
    JsonNode first = keep(kaja, "once", command).ok();
    assertThat(keep(kaja, "once", command).ok()).isEqualTo(first);
    assertThat(items().get(0).get("reasons").size()).isEqualTo(1);
    assertThat(keep(kim, "a stranger's id", command).type()).isEqualTo("command-used");
  }

  @DisplayName("Two members at once: one item, no error")
  @Test
  void twoAtOnce() {
    List<CompletableFuture<Client.Response>> both =
        IntStream.range(0, 8)
            .mapToObj(i -> i % 2 == 0 ? kaja : kim)
            .map(who -> CompletableFuture.supplyAsync(() -> keep(who, "now", UUID.randomUUID())))
            .toList();
    assertThat(both).allSatisfy(answer -> assertThat(answer.join().status()).isEqualTo(200));
    assertThat(items().size()).isEqualTo(1);
  }

  @DisplayName("Undo takes it out, unless somebody else kept it too, and says so")
  @Test
  void undo() {
    UUID command = UUID.randomUUID();
    keep(kaja, "", command).ok();
    assertThat(lampOf(kaja)).isEqualTo("lit");
    undo(kaja, command).ok();
    assertThat(items().size()).isZero();
    assertThat(lampOf(kaja)).isEqualTo("unlit");
    assertThat(undo(kaja, command).type()).isEqualTo("undone-already");

    UUID second = UUID.randomUUID();
    keep(kaja, "", second).ok();
    keep(kim, "mine too", UUID.randomUUID()).ok();
    assertThat(undo(kaja, second).ok().get("note").asString()).contains("Kim Keep kept it too");
    assertThat(items().size()).isEqualTo(1);
    assertThat(undo(kim, second).status()).as("only one's own").isEqualTo(404);
  }

  private Client.Response undo(Client who, UUID command) {
    return who.post("/actions/" + command + "/undo", Map.of());
  }

  private String lampOf(Client who) {
    return who.get("/publications/" + publication).ok().get("lamp").asString();
  }

  @DisplayName("Bringing back what was taken out gives no reason twice")
  @Test
  void noReasonTwice() {
    keep(kaja, "the design we wanted", UUID.randomUUID()).ok();
    UUID out = UUID.randomUUID();
    kim.write(
            "DELETE",
            "/folders/" + folder + "/items",
            Map.of("publications", List.of(publication)),
            out)
        .ok();
    assertThat(items().size()).isZero();
    keep(kaja, "the design we wanted", UUID.randomUUID()).ok();
    undo(kim, out).ok();
    assertThat(items().get(0).get("reasons").size()).isEqualTo(1);
    keep(kaja, "the design we wanted", UUID.randomUUID()).ok();
    assertThat(items().get(0).get("reasons").size()).as("said again").isEqualTo(1);
  }

  @DisplayName("K1: a pile is a pile by whichever address; others see that it was seen, no verdict")
  @Test
  void pileByAddress() {
    Map<String, Object> body = Map.of("publications", List.of(publication), "note", "secret");
    String pile = kaja.post("/pile/items", body).ok().get("folderId").asString();
    String other = group.find("moth").get(1);
    kaja.post(
            "/folders/" + pile + "/items",
            Map.of("publications", List.of(other), "note", "secret too"))
        .ok();
    JsonNode said = kim.get("/publications/" + other).ok().get("said").get(0);
    assertThat(said.get("mark").asString()).isEqualTo("seen");
    assertThat(kim.get("/publications/" + other).ok().toString()).doesNotContain("secret");
    assertThat(kim.get("/folders/" + pile).status()).isEqualTo(404);
  }

  @DisplayName("Several are kept in one act and taken back in one; one by one they are taken out")
  @Test
  void severalAtOnce() {
    List<String> five = group.find("moth").subList(0, 5);
    UUID command = UUID.randomUUID();
    JsonNode kept =
        kaja.post(
                "/folders/" + folder + "/items",
                Map.of("publications", five, "note", "all"),
                command)
            .ok();
    assertThat(kept.get("publications").asInt()).isEqualTo(5);
    assertThat(kept.get("added").asInt()).isEqualTo(5);
    assertThat(items().size()).isEqualTo(5);
    UUID out = UUID.randomUUID();
    kim.write(
            "DELETE",
            "/folders/" + folder + "/items",
            Map.of("publications", five.subList(0, 2)),
            out)
        .ok();
    assertThat(items().size()).isEqualTo(3);
    String before = items().toString();
    undo(kim, out).ok();
    assertThat(items().size()).isEqualTo(5);
    kim.write(
            "DELETE",
            "/folders/" + folder + "/items",
            Map.of("publications", five.subList(0, 2)),
            UUID.randomUUID())
        .ok();
    assertThat(items().toString()).isEqualTo(before);
    undo(kaja, command).ok();
    assertThat(items().size()).isZero();
    assertThat(lampOf(kaja)).isEqualTo("unlit");
    List<String> with = new java.util.ArrayList<>(five);
    with.add("zzzzzzzzzz");
    assertThat(
            kaja.post("/folders/" + folder + "/items", Map.of("publications", with, "note", ""))
                .status())
        .as("all or none")
        .isEqualTo(404);
    assertThat(items().size()).isZero();
  }

  @DisplayName(
      "A folder is renamed, moved and ended, and comes back; what is watched from it stays")
  @Test
  void folderActs() {
    String outer = group.folder("Outer");
    UUID change = UUID.randomUUID();
    kaja.write("PUT", "/folders/" + folder, Map.of("name", "Banks", "parent", outer), change).ok();
    JsonNode view = kim.get("/folders/" + folder).ok();
    assertThat(view.get("name").asString()).isEqualTo("Banks");
    assertThat(view.get("parent").asString()).isEqualTo(outer);
    assertThat(
            kaja.write(
                    "PUT",
                    "/folders/" + outer,
                    Map.of("name", "Outer", "parent", folder),
                    UUID.randomUUID())
                .type())
        .isEqualTo("folder-circle");
    assertThat(end(outer, UUID.randomUUID()).type()).isEqualTo("folder-holds");
    undo(kaja, change).ok();
    assertThat(kim.get("/folders/" + folder).ok().get("name").asString()).isEqualTo("Verges");

    group.alert(folder, "Watched", "moth", "daily");
    Client.Response watched = end(folder, UUID.randomUUID());
    assertThat(watched.type()).isEqualTo("folder-watched");
    assertThat(watched.body()).contains("Watched");
    UUID ended = UUID.randomUUID();
    assertThat(end(outer, ended).status()).isEqualTo(200);
    assertThat(kim.get("/folders/" + outer).type()).isEqualTo("ended");
    assertThat(kim.get("/bin").ok().get("lines").get(0).get("name").asString()).isEqualTo("Outer");
    String again = group.folder("Outer");
    assertThat(undo(kaja, ended).type()).as("its name is taken").isEqualTo("folder-there");
    end(again, UUID.randomUUID());
    kim.post("/bin/" + outer + "/back", Map.of()).ok();
    assertThat(kim.get("/folders/" + outer).status()).isEqualTo(200);
  }

  private Client.Response end(String which, UUID command) {
    return kaja.write("DELETE", "/folders/" + which, Map.of(), command);
  }

  @DisplayName("A saved search is renamed and moved, and back")
  @Test
  void savedSearchActs() {
    String other = group.folder("Other");
    String search = group.search(folder, "S", "moth").get("id").asString();
    group.search(other, "T", "moth");
    UUID move = UUID.randomUUID();
    assertThat(move(search, "T", other, UUID.randomUUID()).type()).isEqualTo("search-there");
    move(search, "Moths", other, move).ok();
    assertThat(searchesIn(other)).containsExactly("Moths", "T");
    undo(kaja, move).ok();
    assertThat(searchesIn(folder)).containsExactly("S");
  }

  private List<String> searchesIn(String which) {
    return kim.get("/folders/" + which + "/searches")
        .ok()
        .valueStream()
        .map(search -> search.get("name").asString())
        .toList();
  }

  private Client.Response move(String search, String name, String to, UUID command) {
    return kaja.write("PUT", "/searches/" + search, Map.of("name", name, "folder", to), command);
  }

  @DisplayName("An undo is refused when the same thing was changed since")
  @Test
  void undoAfterChange() {
    UUID saved = UUID.randomUUID();
    String search =
        kaja.post(
                "/folders/" + folder + "/searches",
                Map.of("name", "S", "asked", Map.of("text", "moth")),
                saved)
            .ok()
            .get("id")
            .asString();
    UUID alert = UUID.randomUUID();
    kim.post("/alerts", Map.of("search", search, "rhythm", "daily"), alert).ok();
    assertThat(undo(kaja, saved).type()).isEqualTo("changed-since");
    undo(kim, alert).ok();
    undo(kaja, saved).ok();
    assertThat(kaja.get("/searches/" + search).status()).isEqualTo(404);
  }

  @Test
  void badInputIsRefusedWithASentence() {
    assertThat(kaja.post("/folders", Map.of("name", "  ")).type()).isEqualTo("folder-name");
    assertThat(kaja.post("/folders", Map.of("name", "VERGES")).type()).isEqualTo("folder-there");
    assertThat(keep(kaja, "x".repeat(4001), UUID.randomUUID()).type()).isEqualTo("note");
    assertThat(
            kaja.post(
                    "/folders/zzzzzzzzzz/items",
                    Map.of("publications", List.of(publication), "note", ""))
                .status())
        .isEqualTo(404);
    assertThat(kaja.post("/alerts", Map.of("search", "x", "rhythm", "hourly")).type())
        .isEqualTo("rhythm");
  }

  @DisplayName("Export: items in = items out, with stable links and the group's notes")
  @Test
  void risExport() {
    keep(kaja, "why, in Ångström", UUID.randomUUID()).ok();
    String ris = kim.exported("/folders/" + folder, "ris", "link", "reasons");
    assertThat(ris.lines().filter(l -> l.startsWith("TY  - "))).hasSize(1);
    assertThat(ris)
        .contains(
            "UR  - http://lantern.test/p/" + publication, "N1  - Kaja Keep: why, in Ångström");
  }

  @Test
  void changesAreToldOnceAndQuietIs304() {
    long latest = kim.get("/changes?since=0").ok().get("latest").asLong();
    assertThat(kim.get("/changes?since=" + latest).status()).isEqualTo(304);
    keep(kaja, "", UUID.randomUUID()).ok();
    JsonNode changes = kim.get("/changes?since=" + latest).ok();
    assertThat(changes.get("kinds").valueStream().map(JsonNode::asString))
        .containsExactly("item.keep");
  }
}
