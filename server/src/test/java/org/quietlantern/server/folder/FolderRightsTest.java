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

/** R4: whose a folder is. */
class FolderRightsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group =
      APP.group("Cora Ordinator", "Ben Member", "Mia Member").guest("Gus Guest");
  private final Client cora = group.client(0);
  private final Client ben = group.client(1);
  private final Client mia = group.client(2);
  private final Client gus = group.client(3);
  private final String folder =
      ben.post("/folders", Map.of("name", "Quiet work")).ok().get("id").asString();
  private final String moth = group.find("moth").get(0);

  private Map<String, Object> named(int member, String may) {
    return Map.of("member", group.member(member).pid(), "may", may);
  }

  private Client.Response set(
      Client who, String folder, String openTo, String groupMay, Object... named) {
    int version = who.get("/folders/" + folder + "/rights").ok().get("version").asInt();
    return who.put("/folders/" + folder + "/rights", wanted(openTo, groupMay, version, named));
  }

  private static Map<String, Object> wanted(
      String openTo, String groupMay, int version, Object... named) {
    return Map.of(
        "openTo", openTo, "groupMay", groupMay, "named", List.of(named), "version", version);
  }

  /** Shuts everybody out but Ben, as the first that is said of it. */
  private UUID closeToAllButBen() {
    UUID closing = UUID.randomUUID();
    String path = "/folders/" + folder + "/rights";
    ben.write("PUT", path, wanted("named", "edit", 1, named(1, "edit")), closing).ok();
    return closing;
  }

  private Client.Response keep(Client who, String folder) {
    return who.post(
        "/folders/" + folder + "/items", Map.of("publications", List.of(moth), "note", "why"));
  }

  private static List<String> names(Client who) {
    return who.get("/folders").ok().valueStream().map(f -> f.get("name").asString()).toList();
  }

  @DisplayName("What is for some is nothing to the others: no list, no name, no deed, no keeper")
  @Test
  void closed() {
    set(ben, folder, "named", "edit", named(1, "edit"), named(3, "read")).ok();
    keep(ben, folder).ok();
    assertThat(names(ben)).contains("Quiet work");
    assertThat(names(gus)).contains("Quiet work");
    for (Client other : List.of(cora, mia)) {
      assertThat(names(other)).doesNotContain("Quiet work");
      assertThat(other.get("/folders/" + folder).status()).isEqualTo(404);
      assertThat(other.get("/folders/" + folder + "/rights").status()).isEqualTo(404);
      assertThat(keep(other, folder).status()).isEqualTo(404);
      assertThat(other.get("/activity?of=folder:" + folder).status()).isEqualTo(404);
      assertThat(other.get("/activity").body()).doesNotContain("Quiet work", folder);
      assertThat(other.get("/publications/" + moth).body()).doesNotContain("Quiet work");
      assertThat(other.get("/changes?since=0").body()).doesNotContain("item.keep");
    }
    String latest = mia.get("/changes?since=0").ok().get("latest").asString();
    set(ben, folder, "named", "edit", named(1, "edit"), named(3, "remark")).ok();
    assertThat(mia.get("/changes?since=" + latest).body())
        .as("they knew the folder when it was closed, and learn no more of it")
        .doesNotContain("folder.rights");
    assertThat(cora.post("/folders", Map.of("name", "Quiet work")).status())
        .as("a name is not taken by what nobody sees")
        .isEqualTo(200);
    assertThat(set(ben, folder, "group", "edit").type()).isEqualTo("folder-there");
    assertThat(mia.get("/publications/" + moth).ok().at("/said/0/mark").asString())
        .as("a keep that nobody sees is no verdict")
        .isEqualTo("seen");
    assertThat(ben.get("/activity?of=folder:" + folder).body()).contains("kept {publications}");
  }

  @DisplayName("Who may read changes nothing, by no way; who may remark says something")
  @Test
  void reads() {
    keep(ben, folder).ok();
    set(ben, folder, "named", "edit", named(1, "edit"), named(2, "read"), named(3, "read")).ok();
    JsonNode seen = mia.get("/folders/" + folder).ok();
    assertThat(seen.get("may").asString()).isEqualTo("read");
    String path = "/folders/" + folder;
    List<Object> one = List.of(moth);
    assertThat(keep(mia, folder).status()).isEqualTo(403);
    assertThat(
            mia.write("DELETE", path + "/items", Map.of("publications", one), UUID.randomUUID())
                .status())
        .isEqualTo(403);
    assertThat(mia.put(path, Map.of("name", "Mine")).status()).isEqualTo(403);
    assertThat(mia.write("DELETE", path, Map.of(), UUID.randomUUID()).status()).isEqualTo(403);
    assertThat(mia.put(path + "/items/" + moth + "/place", Map.of()).status()).isEqualTo(403);
    assertThat(mia.post(path + "/copies", Map.of("name", "Mine")).status()).isEqualTo(403);
    String pile = pile(mia);
    assertThat(mia.post(path + "/items/moved", Map.of("publications", one, "to", pile)).status())
        .isEqualTo(403);
    mia.post(path + "/items/copied", Map.of("publications", one, "to", pile)).ok();
    String remarks = "/publications/" + moth + "/remarks";
    assertThat(gus.post(remarks, Map.of("text", "Nice")).status()).isEqualTo(403);
    set(ben, folder, "named", "edit", named(1, "edit"), named(3, "remark")).ok();
    String said = gus.post(remarks, Map.of("text", "Nice")).ok().get("id").asString();
    gus.put("/remarks/" + said, Map.of("text", "Nicer")).ok();
    assertThat(mia.get(remarks).body()).contains("Nicer", "Gus Guest");
    assertThat(
            gus.post("/publications/" + group.find("bat").get(0) + "/remarks", Map.of("text", "x"))
                .status())
        .as("of what is elsewhere")
        .isEqualTo(403);
    gus.write("DELETE", "/remarks/" + said, Map.of(), UUID.randomUUID()).ok();
    assertThat(mia.get("/folders/" + folder).status()).isEqualTo(404);
  }

  private String pile(Client who) {
    return who.post("/pile/items", Map.of("publications", List.of(moth), "note", ""))
        .ok()
        .get("folderId")
        .asString();
  }

  @DisplayName("An act is undone only by who may still change the folder")
  @Test
  void undo() {
    UUID kept = UUID.randomUUID();
    mia.post(
            "/folders/" + folder + "/items",
            Map.of("publications", List.of(moth), "note", ""),
            kept)
        .ok();
    UUID closing = closeToAllButBen();
    assertThat(mia.post("/actions/" + kept + "/undo", Map.of()).status()).isEqualTo(404);
    set(ben, folder, "group", "read", named(1, "edit")).ok();
    assertThat(mia.post("/actions/" + kept + "/undo", Map.of()).status()).isEqualTo(403);
    assertThat(keep(mia, folder).status()).isEqualTo(403);
    keep(cora, folder).ok();
    assertThat(ben.post("/actions/" + closing + "/undo", Map.of()).type())
        .isEqualTo("changed-since");
    set(ben, folder, "group", "edit").ok();
    mia.post("/actions/" + kept + "/undo", Map.of()).ok();
  }

  @DisplayName("Nobody shuts themselves out, guests edit nothing, of two the later is told")
  @Test
  void refused() {
    assertThat(set(ben, folder, "named", "edit", named(2, "edit")).type()).isEqualTo("yourself");
    assertThat(set(ben, folder, "group", "read").type()).isEqualTo("yourself");
    assertThat(set(ben, folder, "named", "edit", named(1, "edit"), named(3, "edit")).type())
        .isEqualTo("guest");
    assertThat(set(ben, folder, "everybody", "edit").type()).isEqualTo("openTo");
    assertThat(set(ben, folder, "group", "own").type()).isEqualTo("may");
    assertThat(set(gus, folder, "group", "edit").status()).isEqualTo(403);
    Map<String, Object> wanted =
        Map.of("openTo", "group", "groupMay", "edit", "named", List.of(), "version", 1);
    ben.put("/folders/" + folder + "/rights", wanted).ok();
    assertThat(mia.put("/folders/" + folder + "/rights", wanted).type()).isEqualTo("changed-since");
    assertThat(set(ben, pile(ben), "named", "edit", named(1, "edit")).type()).isEqualTo("pile");
  }

  @DisplayName("A folder inside counts as the one around it, unless it is set apart")
  @Test
  void inside() {
    String inner = ben.post("/folders", Map.of("name", "Inner")).ok().get("id").asString();
    ben.put("/folders/" + inner, Map.of("name", "Inner", "parent", folder)).ok();
    set(ben, folder, "named", "edit", named(1, "edit"), named(2, "read")).ok();
    assertThat(names(mia)).contains("Inner");
    assertThat(names(cora)).doesNotContain("Inner");
    assertThat(ben.get("/folders/" + inner + "/rights").ok().get("as").asString())
        .isEqualTo("Quiet work");
    set(ben, inner, "group", "edit").ok();
    assertThat(cora.get("/folders/" + inner).ok().get("parent")).as("of what is hidden").isNull();
    assertThat(mia.put("/folders/" + inner, Map.of("name", "Inner", "parent", folder)).status())
        .as("into one that she reads")
        .isEqualTo(403);
    String search = group.search(inner, "Moths", "moth").get("id").asString();
    assertThat(set(ben, inner, "named", "edit", named(1, "edit")).type())
        .as("a search is the group's")
        .isEqualTo("folder-closed");
    assertThat(ben.put("/searches/" + search, Map.of("name", "Moths", "folder", folder)).type())
        .isEqualTo("folder-closed");
    assertThat(
            ben.post(
                    "/folders/" + folder + "/searches",
                    Map.of("name", "Bats", "asked", Map.of("text", "bat")))
                .type())
        .isEqualTo("folder-closed");
    assertThat(ben.post("/folders/" + inner + "/merged", Map.of("to", folder)).type())
        .isEqualTo("folder-closed");
    String copy =
        ben.post("/folders/" + folder + "/copies", Map.of("name", "Twin"))
            .ok()
            .get("id")
            .asString();
    assertThat(cora.get("/folders/" + copy).status()).as("a copy is for the same").isEqualTo(404);
    assertThat(mia.get("/folders/" + copy).ok().get("may").asString()).isEqualTo("read");
  }

  @DisplayName("A folder that nobody could open any more falls to the coordinators, until undone")
  @Test
  void fallen() {
    set(ben, folder, "named", "edit", named(1, "edit"), named(2, "read")).ok();
    assertThat(cora.get("/folders/" + folder).status()).isEqualTo(404);
    UUID gone = UUID.randomUUID();
    String path = "/members/" + group.member(1).pid();
    cora.write("DELETE", path, Map.of(), gone).ok();
    assertThat(cora.get("/folders/" + folder).ok().get("may").asString()).isEqualTo("edit");
    assertThat(cora.get("/folders/" + folder + "/rights").ok().get("fallen").asBoolean()).isTrue();
    cora.post("/actions/" + gone + "/undo", Map.of()).ok();
    assertThat(cora.get("/folders/" + folder).status()).isEqualTo(404);
  }

  @DisplayName("A hidden folder inside one that goes into the bin stays, and is not told of")
  @Test
  void hiddenInside() {
    String inner = ben.post("/folders", Map.of("name", "Inner")).ok().get("id").asString();
    ben.put("/folders/" + inner, Map.of("name", "Inner", "parent", folder)).ok();
    set(ben, inner, "named", "edit", named(1, "edit")).ok();
    mia.write("DELETE", "/folders/" + folder, Map.of(), UUID.randomUUID()).ok();
    assertThat(names(ben)).contains("Inner").doesNotContain("Quiet work");
    assertThat(ben.get("/folders/" + inner).ok().get("parent")).isNull();
    ben.write("DELETE", "/folders/" + inner, Map.of(), UUID.randomUUID()).ok();
    assertThat(mia.get("/bin").body()).contains("Quiet work").doesNotContain("Inner");
    assertThat(mia.post("/bin/" + inner + "/back", Map.of()).status()).isEqualTo(404);
    ben.post("/bin/" + inner + "/back", Map.of()).ok();
    assertThat(names(cora)).doesNotContain("Inner");
  }

  @DisplayName(
      "A folder that is watched is not closed; one of an alert that ended is, unnamed there")
  @Test
  void watched() {
    String alert = group.alert(folder, "Moths", TestGroup.EVERYTHING, "at-once");
    APP.passUntilSomethingCame();
    String round = ben.get("/rounds").ok().at("/rounds/0/id").asString();
    assertThat(set(ben, folder, "named", "edit", named(1, "edit")).type())
        .isEqualTo("folder-closed");
    assertThat(set(ben, folder, "group", "read", named(1, "edit")).type())
        .as("an alert keeps where every member may")
        .isEqualTo("folder-closed");
    String search = ben.get("/alerts/" + alert).ok().at("/alert/search").asString();
    ben.write("DELETE", "/searches/" + search, Map.of(), UUID.randomUUID()).ok();
    UUID closing = closeToAllButBen();
    assertThat(mia.get("/alerts").body()).doesNotContain("Quiet work", folder);
    assertThat(mia.get("/rounds/" + round).body()).doesNotContain("Quiet work", folder);
    String found = mia.get("/rounds/" + round).ok().at("/arrivals/0/publication/id").asString();
    assertThat(
            mia.post(
                    "/marks",
                    Map.of(
                        "publications",
                        List.of(found),
                        "mark",
                        "keep",
                        "reason",
                        "",
                        "round",
                        round))
                .type())
        .isEqualTo("folder-closed");
    assertThat(mia.get("/bin").body()).as("nor what ended in it").doesNotContain("Moths");
    assertThat(mia.post("/bin/" + search + "/back", Map.of()).status()).isEqualTo(404);
    assertThat(ben.post("/bin/" + search + "/back", Map.of()).type()).isEqualTo("folder-closed");
    ben.post("/actions/" + closing + "/undo", Map.of()).ok();
    ben.post("/bin/" + search + "/back", Map.of()).ok();
  }
}
