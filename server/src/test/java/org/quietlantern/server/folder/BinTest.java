package org.quietlantern.server.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

class BinTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Bea Bin", "Bo Bin").guest("Gil Guest");
  private final Client bea = group.client(0);
  private final Client bo = group.client(1);
  private final List<String> found = group.find("moth or bat*").subList(0, 5);
  private final String folder = group.folder("Verges");

  private void keep(Client who, List<String> works, String why) {
    who.post("/folders/" + folder + "/items", Map.of("publications", works, "note", why)).ok();
  }

  private String takeOut(Client who, List<String> works) {
    UUID act = UUID.randomUUID();
    Map<String, Object> body = Map.of("publications", works);
    who.write("DELETE", "/folders/" + folder + "/items", body, act).ok();
    return act.toString();
  }

  private static JsonNode lines(Client who) {
    return who.get("/bin").ok().get("lines");
  }

  private static Client.Response back(Client who, String act, Object body, UUID command) {
    return who.write("POST", "/bin/" + act + "/publications/back", body, command);
  }

  private JsonNode read() {
    return bea.get("/folders/" + folder).ok();
  }

  private static Client.Response undo(Client who, Object act) {
    return who.post("/actions/" + act + "/undo", Map.of());
  }

  @DisplayName("What a colleague took out is brought back as it was, one by one or all, and undone")
  @Test
  void takenOut() {
    keep(bea, found, "for the review");
    keep(bo, found.subList(0, 1), "too");
    JsonNode before = read();
    String act = takeOut(bo, found);
    JsonNode line = lines(bea).get(0);
    assertThat(line.get("kind").asString()).isEqualTo("publications");
    assertThat(line.get("publications").asInt()).isEqualTo(5);
    assertThat(line.get("some").size()).isEqualTo(3);
    assertThat(line.get("by").asString()).isEqualTo("Bo Bin");
    assertThat(line.at("/folder/id").asString()).isEqualTo(folder);
    assertThat(lines(group.client(2)).get(0).get("mayBringBack").asBoolean()).isFalse();

    String one = found.get(0);
    UUID single = UUID.randomUUID();
    Map<String, Object> wanted = Map.of("publications", List.of(one));
    assertThat(back(bea, act, wanted, single).ok().get("publications").asInt()).isEqualTo(1);
    assertThat(read().get("ids").size()).isEqualTo(1);
    assertThat(bea.get("/bin/" + act + "/publications").ok().findValuesAsString("id"))
        .containsExactlyInAnyOrderElementsOf(found.subList(1, 5));
    assertThat(undo(bo, act).type()).as("Bea changed it since").isEqualTo("changed-since");
    assertThat(back(bo, act, wanted, UUID.randomUUID()).type()).isEqualTo("changed-since");

    UUID rest = UUID.randomUUID();
    assertThat(back(bea, act, Map.of(), rest).ok().get("publications").asInt()).isEqualTo(4);
    assertThat(read().toString()).as("dates, reasons, order").isEqualTo(before.toString());
    assertThat(lines(bea)).isEmpty();
    assertThat(back(bea, act, Map.of(), UUID.randomUUID()).status()).isEqualTo(404);

    undo(bea, rest).ok();
    undo(bea, single).ok();
    assertThat(lines(bea).get(0).get("publications").asInt()).isEqualTo(5);
    undo(bo, act).ok();
    assertThat(read().toString()).isEqualTo(before.toString());
  }

  @DisplayName("What somebody kept again meanwhile does not lie in the bin, and stays with an undo")
  @Test
  void keptAgain() {
    keep(bea, found.subList(0, 2), "first");
    String act = takeOut(bea, found.subList(0, 2));
    keep(bo, found.subList(0, 1), "mine");
    assertThat(lines(bea).get(0).get("publications").asInt()).isEqualTo(1);
    UUID command = UUID.randomUUID();
    back(bea, act, Map.of(), command).ok();
    undo(bea, command).ok();
    assertThat(read().get("ids").valueStream().map(JsonNode::asString).toList())
        .containsExactly(found.get(0));
  }

  @DisplayName("Others see nothing of what was taken out of a pile, a guest brings nothing back")
  @Test
  void rights() {
    bea.post("/pile/items", Map.of("publications", found, "note", "")).ok();
    String pile = pile();
    UUID act = UUID.randomUUID();
    Map<String, Object> one = Map.of("publications", found.subList(0, 1));
    bea.write("DELETE", "/folders/" + pile + "/items", one, act).ok();
    assertThat(lines(bea).size()).isEqualTo(1);
    assertThat(lines(bo)).isEmpty();
    assertThat(bo.get("/bin/" + act + "/publications").status()).isEqualTo(404);
    assertThat(back(bo, act.toString(), Map.of(), UUID.randomUUID()).status()).isEqualTo(404);
    back(bea, act.toString(), Map.of(), UUID.randomUUID()).ok();
    keep(bea, found, "");
    String out = takeOut(bea, found);
    assertThat(back(group.client(2), out, Map.of(), UUID.randomUUID()).status()).isEqualTo(403);
    assertThat(bea.get("/bin/nonsense/publications").status()).isEqualTo(404);
  }

  private String pile() {
    return bea.get("/folders")
        .ok()
        .valueStream()
        .filter(one -> one.get("pile").asBoolean())
        .findFirst()
        .orElseThrow()
        .get("id")
        .asString();
  }

  @DisplayName("Who put it there is told; after thirty days it is not brought back from the bin")
  @Test
  void thirtyDays() {
    keep(bea, found, "");
    takeOut(bea, found);
    String search = group.search(folder, "Moths", "moth").get("id").asString();
    bo.write("DELETE", "/searches/" + search, Map.of(), UUID.randomUUID()).ok();
    String other = group.folder("Other");
    bo.write("DELETE", "/folders/" + other, Map.of(), UUID.randomUUID()).ok();
    assertThat(lines(bea).findValuesAsString("kind"))
        .containsExactlyInAnyOrder("folder", "search", "publications");
    assertThat(lines(bea).findValuesAsString("by")).contains("Bo Bin", "Bea Bin");
    assertThat(bea.get("/folders/" + other).body()).contains("lies in the bin");
    APP.pass(31);
    assertThat(lines(bea)).isEmpty();
    assertThat(bea.post("/bin/" + other + "/back", Map.of()).status()).isEqualTo(404);
    assertThat(bea.get("/folders/" + other).body()).doesNotContain("lies in the bin");
  }

  @DisplayName("A long bin is read page by page")
  @Test
  void pages() {
    keep(bea, found.subList(0, 1), "");
    for (int i = 0; i < 101; i++) {
      String one = group.folder("Folder " + i);
      bea.write("DELETE", "/folders/" + one, Map.of(), UUID.randomUUID()).ok();
    }
    JsonNode first = bea.get("/bin").ok();
    assertThat(first.get("lines").size()).isEqualTo(100);
    JsonNode rest = bea.get("/bin?from=" + first.get("next").asInt()).ok();
    assertThat(rest.get("lines").findValuesAsString("name")).containsExactly("Folder 0");
    assertThat(rest.hasNonNull("next")).isFalse();
  }
}
