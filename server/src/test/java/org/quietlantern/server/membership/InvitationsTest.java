package org.quietlantern.server.membership;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** R4: asked in by mail, once, for one address, for seven days. */
class InvitationsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);
  private final TestGroup group = APP.group("Cora Ordinator", "Ben Member").guest("Gus Guest");
  private final Client cora = group.client(0);
  private final String email = "nora." + UUID.randomUUID() + "@x.example";

  private static Client visitor() {
    Client visitor = new Client(APP.address());
    visitor.get("/api/me");
    return visitor;
  }

  private UUID invite(String role) {
    UUID command = UUID.randomUUID();
    cora.write("POST", "/invitations", Map.of("email", email, "role", role), command).ok();
    return command;
  }

  /** Lets the letters leave, and answers what stands in the link of the last one. */
  private String code() {
    APP.bean(MailJob.class).run();
    List<MailDrop.Got> got = APP.outside().mail().gotBy(email);
    return got.get(got.size() - 1).text().replaceFirst("(?s).*/join#(\\S+).*", "$1");
  }

  private static Client.Response look(Client who, String code) {
    return who.post("/api/join", Map.of("code", code));
  }

  private static Client.Response begin(Client who, String code, String name) {
    return who.post(
        "/api/join/visit",
        Map.of("code", code, "name", name, "password", TestApp.PASSWORD, "zone", "Europe/Oslo"));
  }

  private static Client.Response join(Client who, String code) {
    return who.post("/api/join/member", Map.of("code", code, "name", "Nora Field"));
  }

  private JsonNode invitations() {
    return cora.get("/invitations").ok();
  }

  @DisplayName(
      "Somebody new makes an account by the link and is in the group; the link is used then")
  @Test
  void somebodyNew() {
    invite("member");
    String code = code();
    MailDrop.Got letter = APP.outside().mail().gotBy(email).get(0);
    assertThat(letter.subject()).startsWith("Cora Ordinator asks you into “Group ");
    assertThat(letter.html()).contains("<b>Cora Ordinator</b>", "/join#" + code);
    assertThat(letter.messageId()).endsWith("@lantern.example>");
    Client nora = visitor();
    JsonNode open = look(nora, code).ok();
    assertThat(open.get("email").asString()).isEqualTo(email);
    assertThat(open.get("known").asBoolean()).isFalse();
    assertThat(visitor().get("/join").status()).as("the page that the link opens").isEqualTo(200);
    assertThat(invitations().get(0).get("letter").asString()).isEqualTo("sent");
    assertThat(begin(nora, code, " ").status()).isEqualTo(422);
    assertThat(begin(nora, code, "Nora Field").ok().get("id").asString()).isEqualTo(group.pid());
    assertThat(nora.get("/api/groups/" + group.pid()).ok().at("/me/name").asString())
        .isEqualTo("Nora Field");
    JsonNode done = cora.get("/activity").ok().at("/lines/0/deed");
    assertThat(done.get("who").asString()).isEqualTo("Nora Field");
    assertThat(done.get("words").asString()).isEqualTo("joined the group");
    assertThat(begin(visitor(), code, "Somebody Else").status()).isEqualTo(410);
    assertThat(look(visitor(), code).status()).isEqualTo(410);
    assertThat(invitations()).isEmpty();
    String again = cora.post("/invitations", Map.of("email", email, "role", "guest")).type();
    assertThat(again).isEqualTo("member-already");
    assertThat(
            database.queryForObject(
                "select count(*) from outbox where recipient = ? and body_text <> ''",
                Integer.class,
                email))
        .as("what lets somebody in is forgotten")
        .isZero();
  }

  @DisplayName("Who has an account joins with it; nobody else can, by the same link")
  @Test
  void somebodyKnown() {
    TestGroup home = APP.group("Hanna Home");
    Client hanna = home.client(0).below("");
    String address = hanna.get("/api/me").ok().get("email").asString();
    cora.post("/invitations", Map.of("email", address, "role", "guest")).ok();
    APP.bean(MailJob.class).run();
    String code =
        APP.outside().mail().gotBy(address).get(0).text().replaceFirst("(?s).*#(\\S+).*", "$1");
    Client ben = group.client(1).below("");
    assertThat(look(visitor(), code).ok().get("known").asBoolean()).isTrue();
    assertThat(look(ben, code).ok().get("other").asBoolean()).isTrue();
    assertThat(look(hanna, code).ok().get("here").asBoolean()).isTrue();
    assertThat(join(ben, code).status()).isEqualTo(403);
    assertThat(join(visitor(), code).status()).isEqualTo(401);
    assertThat(begin(visitor(), code, "Mallory Mask").type()).isEqualTo("known");
    assertThat(join(hanna, code).ok().get("id").asString()).isEqualTo(group.pid());
    assertThat(hanna.get("/api/me").ok().get("groups")).hasSize(2);
    assertThat(hanna.get("/api/groups/" + group.pid()).ok().at("/me/role").asString())
        .isEqualTo("guest");
    assertThat(join(hanna, code).status()).isEqualTo(410);
  }

  @DisplayName("Taken back, sent anew, too old: the link leads nowhere, and says why")
  @Test
  void leadsNowhere() {
    UUID first = invite("member");
    String one = code();
    invite("guest");
    String two = code();
    assertThat(look(visitor(), one).status()).isEqualTo(410);
    assertThat(look(visitor(), two).ok().get("role").asString()).isEqualTo("guest");
    assertThat(cora.post("/actions/" + first + "/undo", Map.of()).type())
        .isEqualTo("changed-since");
    String id = invitations().get(0).get("id").asString();
    cora.write("DELETE", "/invitations/" + id, Map.of(), UUID.randomUUID()).ok();
    assertThat(look(visitor(), two).json().get("detail").asString()).contains("taken back");
    assertThat(begin(visitor(), two, "Nora Field").status()).isEqualTo(410);
    invite("member");
    String three = code();
    database.update(
        "update invitation set system_until = system_until - interval '7 days' where email = ?",
        email);
    assertThat(begin(visitor(), three, "Nora Field").json().get("detail").asString())
        .contains("older than seven days");
    assertThat(invitations().get(0).get("expired").asBoolean()).isTrue();
    for (String bad : List.of("", "x", "y".repeat(500), three + "x")) {
      assertThat(look(visitor(), bad).status()).as(bad).isEqualTo(404);
    }
  }

  @DisplayName("Used by ten at once, it lets one in")
  @Test
  void atOnce() {
    invite("member");
    String code = code();
    List<Integer> answers =
        IntStream.range(0, 10)
            .mapToObj(
                i ->
                    CompletableFuture.supplyAsync(
                        () -> begin(visitor(), code, "Nora Field").status()))
            .toList()
            .stream()
            .map(CompletableFuture::join)
            .sorted()
            .toList();
    assertThat(answers.stream().filter(status -> status == 200)).hasSize(1);
    assertThat(answers.stream().filter(status -> status != 200)).isSubsetOf(409, 410);
    assertThat(cora.get("/members").ok()).hasSize(4);
  }

  @DisplayName("Asked by coordinators only; addresses with line ends and unknown roles are refused")
  @Test
  void refused() {
    Map<String, Object> asked = Map.of("email", email, "role", "member");
    assertThat(group.client(1).post("/invitations", asked).status()).isEqualTo(403);
    assertThat(group.client(2).post("/invitations", asked).status()).isEqualTo(403);
    assertThat(group.client(1).get("/invitations").ok()).isEmpty();
    for (String bad : List.of("nora", "a@b.example\r\nBcc: c@d.example", "", "a@b,c@d")) {
      assertThat(cora.post("/invitations", Map.of("email", bad, "role", "member")).status())
          .as(bad)
          .isEqualTo(422);
    }
    assertThat(cora.post("/invitations", Map.of("email", email, "role", "king")).status())
        .isEqualTo(422);
    assertThat(APP.outside().mail().gotBy(email)).isEmpty();
  }

  @DisplayName("What a group is called ends no header and is no markup in the letter")
  @Test
  void hostileNames() {
    database.update(
        "update grp set name = ? where pid = ?",
        "Moths\r\nBcc: all@x.example\r\n\r\n<script>alert(1)</script>",
        group.pid());
    invite("member");
    code();
    MailDrop.Got letter = APP.outside().mail().gotBy(email).get(0);
    assertThat(letter.subject()).contains("Moths Bcc: all@x.example");
    assertThat(letter.html()).doesNotContain("<script>").contains("&lt;script&gt;");
    assertThat(APP.outside().mail().gotBy("all@x.example")).isEmpty();
  }

  @DisplayName("V5: whoever joins owes what comes from then on; whoever leaves owes nothing")
  @Test
  void owed() {
    String folder = group.folder("Verges");
    group.alert(folder, "Everything", TestGroup.EVERYTHING, "at-once");
    APP.passUntilSomethingCame();
    assertThat(cora.get("/rounds").ok().get("owed").asInt()).isPositive();
    invite("member");
    Client nora = visitor();
    begin(nora, code(), "Nora Field").ok();
    Client in = nora.below("/api/groups/" + group.pid());
    assertThat(in.get("/rounds").ok().get("owed").asInt()).isZero();
    assertThat(in.get("/today").ok().get("arrivals")).isEmpty();
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofHours(1)));
    APP.passUntilSomethingCame();
    assertThat(in.get("/rounds").ok().get("owed").asInt()).isPositive();
    String me = in.get("").ok().at("/me/id").asString();
    in.write("DELETE", "/members/" + me, Map.of(), UUID.randomUUID()).ok();
    assertThat(in.get("/rounds").status()).isEqualTo(404);
    assertThat(cora.get("/members").ok().findValuesAsString("name")).doesNotContain("Nora Field");
    assertThat(cora.get("/rounds").ok().get("rounds").get(0).get("shares").has(me)).isFalse();
    // Asked again, the same person goes on under the same membership.
    invite("coordinator");
    Client again = nora.below("");
    join(again, code()).ok();
    assertThat(in.get("").ok().at("/me/id").asString()).isEqualTo(me);
    assertThat(in.get("/rounds").ok().get("owed").asInt()).isZero();
  }
}
