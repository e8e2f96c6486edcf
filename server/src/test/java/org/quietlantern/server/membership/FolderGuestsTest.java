package org.quietlantern.server.membership;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import tools.jackson.databind.JsonNode;

/** R4: who was asked to one folder sees that and nothing else. */
class FolderGuestsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Cora Ordinator", "Ben Member");
  private final Client cora = group.client(0);
  private final Client ben = group.client(1);
  private final String email = "gia." + UUID.randomUUID() + "@x.example";
  private final String folder = group.folder("For the reviewers");
  private final String moth = group.find("moth").get(0);

  private MailDrop.Got letter() {
    APP.bean(MailJob.class).run();
    List<MailDrop.Got> got = APP.outside().mail().gotBy(email);
    return got.get(got.size() - 1);
  }

  private static String code(MailDrop.Got letter) {
    return letter.text().replaceFirst("(?s).*/join#(\\S+).*", "$1");
  }

  private Client.Response ask(Client who, String to, String may) {
    return who.post("/folders/" + to + "/invitations", Map.of("email", email, "may", may));
  }

  private static Client.Response begin(Client who, String code) {
    return who.post(
        "/api/join/visit",
        Map.of(
            "code",
            code,
            "name",
            "Gia Guest",
            "password",
            TestApp.PASSWORD,
            "zone",
            "Europe/Oslo"));
  }

  private static Client visitor() {
    Client visitor = new Client(APP.address());
    visitor.get("/api/me");
    return visitor;
  }

  private Client come() {
    Client gia = visitor();
    begin(gia, code(letter())).ok();
    return gia.below("/api/groups/" + group.pid());
  }

  @DisplayName("Asked by whoever may change the folder, by mail; sees the folder and nothing else")
  @Test
  void comes() {
    ben.post("/folders/" + folder + "/items", Map.of("publications", List.of(moth), "note", "why"))
        .ok();
    ben.post("/publications/" + moth + "/remarks", Map.of("text", "Read this one")).ok();
    ben.put("/publications/" + moth + "/read", Map.of("extent", "text")).ok();
    ask(ben, folder, "remark").ok();
    MailDrop.Got letter = letter();
    assertThat(letter.subject()).startsWith("Ben Member asks you to a folder of “Group ");
    assertThat(letter.text()).contains("read and remark on the folder “For the reviewers”");
    JsonNode open = visitor().post("/api/join", Map.of("code", code(letter))).ok();
    assertThat(open.get("folder").asString()).isEqualTo("For the reviewers");
    assertThat(open.get("may").asString()).isEqualTo("remark");
    assertThat(ben.get("/folders/" + folder + "/invitations").ok()).hasSize(1);
    assertThat(cora.get("/invitations").ok()).as("nobody was asked into the group").isEmpty();
    Client gia = come();
    assertThat(gia.get("").ok().at("/me/onlyFolders").asBoolean()).isTrue();
    assertThat(gia.get("").ok().get("members")).as("who else is there").hasSize(1);
    assertThat(gia.get("/folders").ok()).hasSize(1);
    assertThat(gia.get("/folders/" + folder).ok().get("may").asString()).isEqualTo("remark");
    JsonNode leaf = gia.get("/publications/" + moth).ok();
    assertThat(leaf.get("said")).as("marks of the group").isEmpty();
    assertThat(leaf.get("read")).as("who read it").isEmpty();
    assertThat(gia.get("/publications/" + group.find("bat").get(0)).status()).isEqualTo(404);
    gia.post("/publications/" + moth + "/remarks", Map.of("text", "I did. Strong.")).ok();
    assertThat(ben.get("/publications/" + moth + "/remarks").body()).contains("I did. Strong.");
    assertThat(gia.get("/changes?since=0").body()).doesNotContain("reading.say", "remark.add");
    assertThat(cora.get("/members").ok().at("/2/onlyFolders").asBoolean()).isTrue();
    assertThat(cora.get("/rounds").status()).isEqualTo(200);
    assertThat(gia.get("/rounds").status()).isEqualTo(404);
  }

  @DisplayName("By another folder's letter the same guest sees both; taken off, neither")
  @Test
  void both() {
    ask(cora, folder, "read").ok();
    String second = group.folder("Second");
    ask(cora, second, "read").ok();
    String later = code(letter());
    List<MailDrop.Got> got = APP.outside().mail().gotBy(email);
    Client gia = visitor();
    begin(gia, code(got.get(0))).ok();
    gia.post("/api/join/member", Map.of("code", later, "name", "Gia Guest")).ok();
    Client inside = gia.below("/api/groups/" + group.pid());
    assertThat(inside.get("/folders").ok()).hasSize(2);
    assertThat(ask(cora, folder, "read").type()).isEqualTo("member-already");
    for (String one : List.of(folder, second)) {
      int version = cora.get("/folders/" + one + "/rights").ok().get("version").asInt();
      cora.put(
              "/folders/" + one + "/rights",
              Map.of("openTo", "group", "groupMay", "edit", "named", List.of(), "version", version))
          .ok();
    }
    assertThat(inside.get("/folders").ok()).isEmpty();
    assertThat(inside.get("/folders/" + folder).status()).isEqualTo(404);
  }

  @DisplayName("Made a member by a coordinator they see all; undone, one folder again")
  @Test
  void becomesMember() {
    ask(cora, folder, "read").ok();
    Client gia = come();
    UUID role = UUID.randomUUID();
    String path = "/members/" + group.member(2).pid() + "/role";
    cora.write("PUT", path, Map.of("role", "member"), role).ok();
    assertThat(gia.get("/rounds").status()).isEqualTo(200);
    cora.post("/actions/" + role + "/undo", Map.of()).ok();
    assertThat(gia.get("/rounds").status()).isEqualTo(404);
    gia.write("DELETE", "/members/" + group.member(2).pid(), Map.of(), UUID.randomUUID()).ok();
    assertThat(gia.get("/folders").status()).isEqualTo(404);
    String other = group.folder("Another");
    ask(cora, other, "read").ok();
    gia.below("")
        .post("/api/join/member", Map.of("code", code(letter()), "name", "Gia Guest"))
        .ok();
    assertThat(gia.get("/folders").ok().findValuesAsString("name"))
        .as("what they were asked to before is over")
        .containsExactly("Another");
  }

  @DisplayName("Refused: more than to remark, without the right, to a pile, into what is no more")
  @Test
  void refused() {
    assertThat(ask(cora, folder, "edit").type()).isEqualTo("may");
    assertThat(
            cora.post("/folders/" + folder + "/invitations", Map.of("email", "no", "may", "read"))
                .type())
        .isEqualTo("email");
    String pile =
        ben.post("/pile/items", Map.of("publications", List.of(moth), "note", ""))
            .ok()
            .get("folderId")
            .asString();
    assertThat(ask(ben, pile, "read").type()).isEqualTo("pile");
    assertThat(ask(cora, pile, "read").status()).isEqualTo(404);
    cora.put(
            "/folders/" + folder + "/rights",
            Map.of("openTo", "group", "groupMay", "read", "named", List.of(), "version", 1))
        .ok();
    assertThat(ask(ben, folder, "read").status()).isEqualTo(403);
    ask(cora, folder, "read").ok();
    String invitation = cora.get("/folders/" + folder + "/invitations").ok().at("/0/id").asString();
    assertThat(
            ben.write("DELETE", "/invitations/" + invitation, Map.of(), UUID.randomUUID()).status())
        .isEqualTo(403);
    String code = code(letter());
    cora.write("DELETE", "/folders/" + folder, Map.of(), UUID.randomUUID()).ok();
    assertThat(begin(visitor(), code).status()).as("it is in the bin").isEqualTo(410);
  }
}
