package org.quietlantern.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.standins.mail.MailDrop;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** One's own account: password forgotten or changed, another address, where one is signed in. */
class MyAccountTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final String OTHER = "other-words-now";
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);
  private final String email = "mira." + UUID.randomUUID() + "@x.example";

  @BeforeEach
  void account() {
    database.update("delete from sign_in_try");
    APP.bean(Accounts.class).add(email, TestApp.PASSWORD, "Europe/Oslo");
  }

  private static Client visitor() {
    Client visitor = new Client(APP.address());
    visitor.get("/api/me");
    return visitor;
  }

  private Client signedIn() {
    Client visitor = visitor();
    visitor.signIn(email, TestApp.PASSWORD).ok();
    return visitor;
  }

  private static Client.Response forgotten(String address) {
    return visitor().post("/api/entry/forgotten", Map.of("email", address));
  }

  private static List<MailDrop.Got> letters(String address) {
    APP.bean(Forgotten.class).run();
    APP.bean(MailJob.class).run();
    return APP.outside().mail().gotBy(address);
  }

  private static String code(MailDrop.Got letter) {
    return letter.text().replaceFirst("(?s).*/(?:enter|address)#(\\S+).*", "$1");
  }

  private static Client.Response enter(Client who, String code) {
    return who.post(
        "/api/entry/visit", Map.of("code", code, "password", OTHER, "zone", "Europe/Oslo"));
  }

  @DisplayName("Forgotten: a link by mail, once, within its hour; all visits and other links end")
  @Test
  void forgotten() {
    Client before = signedIn();
    assertThat(forgotten(email.toUpperCase(java.util.Locale.ROOT)).status()).isEqualTo(204);
    assertThat(forgotten(email).status()).isEqualTo(204);
    List<MailDrop.Got> letters = letters(email);
    assertThat(letters).hasSize(2);
    assertThat(letters.get(0).subject()).isEqualTo("Another password for Quiet Lantern");
    assertThat(enter(visitor(), code(letters.get(0))).status()).isEqualTo(200);
    assertThat(before.get("/api/me").status()).isEqualTo(401);
    assertThat(visitor().signIn(email, TestApp.PASSWORD).status()).isEqualTo(401);
    assertThat(visitor().signIn(email, OTHER).status()).isEqualTo(200);
    assertThat(enter(visitor(), code(letters.get(0))).status()).isEqualTo(410);
    assertThat(enter(visitor(), code(letters.get(1))).status()).as("asked before").isEqualTo(410);
  }

  @DisplayName("Nobody learns who has an account; who asks very often is told to wait")
  @Test
  void tellsNothing() {
    String nobody = "nobody." + UUID.randomUUID() + "@x.example";
    Client.Response known = forgotten(email);
    Client.Response unknown = forgotten(nobody);
    assertThat(unknown.status()).isEqualTo(known.status());
    assertThat(unknown.body()).isEqualTo(known.body()).isEmpty();
    assertThat(letters(nobody)).isEmpty();
    Stream<Integer> answers =
        Stream.concat(
            Stream.generate(() -> forgotten(nobody).status()).limit(6),
            Stream.generate(() -> forgotten(email).status()).limit(6));
    assertThat(answers).containsExactly(204, 204, 204, 204, 429, 429, 204, 204, 204, 204, 429, 429);
    assertThat(letters(email)).as("three links at once").hasSize(3);
    for (String bad : List.of("", "x", "a@b\r\nBcc: c@d.example", "x".repeat(400) + "@x.example")) {
      assertThat(forgotten(bad).type()).as(bad).isEqualTo("email");
    }
  }

  @DisplayName("A link that many use at once is used by one of them")
  @Test
  void once() {
    forgotten(email);
    String code = code(letters(email).get(0));
    List<CompletableFuture<Integer>> all =
        IntStream.range(0, 6)
            .mapToObj(i -> visitor())
            .map(who -> CompletableFuture.supplyAsync(() -> enter(who, code).status()))
            .toList();
    assertThat(all.stream().map(CompletableFuture::join).sorted())
        .containsExactly(200, 410, 410, 410, 410, 410);
  }

  @DisplayName("Too old, it leads nowhere")
  @Test
  void old() {
    forgotten(email);
    String code = code(letters(email).get(0));
    database.update("update entry_link set until = until - interval '61 minutes'");
    assertThat(enter(visitor(), code).status()).isEqualTo(410);
    assertThat(visitor().signIn(email, TestApp.PASSWORD).status()).isEqualTo(200);
  }

  @DisplayName(
      "Changed with the old one; the other visits end, a letter tells, guesses are counted")
  @Test
  void changed() {
    Client here = signedIn();
    Client there = signedIn();
    assertThat(change(here, "guess", OTHER).type()).isEqualTo("wrong-words");
    assertThat(change(here, "x".repeat(100_000), OTHER).type()).isEqualTo("wrong-words");
    assertThat(change(here, TestApp.PASSWORD, "short").type()).isEqualTo("password");
    assertThat(change(here, TestApp.PASSWORD, OTHER).status()).isEqualTo(204);
    assertThat(here.get("/api/me").status()).isEqualTo(200);
    assertThat(there.get("/api/me").status()).isEqualTo(401);
    assertThat(visitor().signIn(email, OTHER).status()).isEqualTo(200);
    assertThat(letters(email))
        .extracting(MailDrop.Got::subject)
        .containsExactly("Your password was changed");
    for (int i = 0; i < 5; i++) {
      change(here, "guess" + i, OTHER);
    }
    assertThat(change(here, OTHER, TestApp.PASSWORD).status()).isEqualTo(429);
  }

  private static Client.Response change(Client who, String password, String next) {
    return who.put("/api/me/password", Map.of("password", password, "next", next));
  }

  @DisplayName("Another address once it has answered; the former one is told, and lets nobody in")
  @Test
  void address() {
    String next = "mira.next." + UUID.randomUUID() + "@x.example";
    Client here = signedIn();
    assertThat(ask(here, next, "guess").type()).isEqualTo("wrong-words");
    assertThat(ask(here, next, TestApp.PASSWORD).status()).isEqualTo(204);
    assertThat(here.get("/api/me").ok().get("email").asString()).isEqualTo(email);
    String code = code(letters(next).get(0));
    Client elsewhere = visitor();
    assertThat(elsewhere.post("/api/entry/address", Map.of("code", "x")).status()).isEqualTo(404);
    assertThat(elsewhere.post("/api/entry/address", Map.of("code", code)).ok().toString())
        .isEqualTo("{\"email\":\"%s\"}".formatted(next));
    assertThat(elsewhere.get("/api/me").status())
        .as("a link to confirm lets nobody in")
        .isEqualTo(401);
    assertThat(elsewhere.post("/api/entry/address", Map.of("code", code)).status()).isEqualTo(410);
    assertThat(here.get("/api/me").ok().get("email").asString()).isEqualTo(next);
    assertThat(letters(email))
        .extracting(MailDrop.Got::subject)
        .containsExactly("Your account has another address");
    assertThat(visitor().signIn(email, TestApp.PASSWORD).status()).isEqualTo(401);
    assertThat(visitor().signIn(next, TestApp.PASSWORD).status()).isEqualTo(200);
  }

  @DisplayName("An address that somebody has: they are told, who asked is not, nothing changes")
  @Test
  void taken() {
    String colleague = "colleague." + UUID.randomUUID() + "@x.example";
    APP.bean(Accounts.class).add(colleague, TestApp.PASSWORD, "Europe/Oslo");
    Client here = signedIn();
    assertThat(ask(here, colleague, TestApp.PASSWORD).status()).isEqualTo(204);
    List<MailDrop.Got> letters = letters(colleague);
    assertThat(letters).extracting(MailDrop.Got::subject).containsExactly("Your address is in use");
    assertThat(letters.get(0).text()).doesNotContain("/address#");
    for (int i = 0; i < 2; i++) {
      String more = "x" + i + UUID.randomUUID() + "@x.example";
      assertThat(ask(here, more, TestApp.PASSWORD).status()).isEqualTo(204);
    }
    assertThat(ask(here, "y" + UUID.randomUUID() + "@x.example", TestApp.PASSWORD).type())
        .isEqualTo("too-many-letters");
  }

  private static Client.Response ask(Client who, String address, String password) {
    return who.post("/api/me/address", Map.of("email", address, "password", password));
  }

  @DisplayName("Where one is signed in; one visit ended, or all others; nobody else's")
  @Test
  void visits() {
    Client here = signedIn();
    Client there = signedIn();
    Client third = signedIn();
    JsonNode visits = here.get("/api/me/visits").ok();
    assertThat(visits).hasSize(3);
    assertThat(visits.findValuesAsString("here")).containsOnlyOnce("true");
    assertThat(visits.toString()).doesNotContain(sessionIds());
    String own = own(there);
    Client stranger = visitor();
    String other = "other." + UUID.randomUUID() + "@x.example";
    APP.bean(Accounts.class).add(other, TestApp.PASSWORD, "Europe/Oslo");
    stranger.signIn(other, TestApp.PASSWORD).ok();
    assertThat(end(stranger, "/" + own).status()).isEqualTo(404);
    assertThat(there.get("/api/me").status()).isEqualTo(200);
    assertThat(end(here, "/" + own).status()).isEqualTo(204);
    assertThat(there.get("/api/me").status()).isEqualTo(401);
    assertThat(third.get("/api/me").status()).isEqualTo(200);
    assertThat(end(here, "").status()).isEqualTo(204);
    assertThat(third.get("/api/me").status()).isEqualTo(401);
    assertThat(here.get("/api/me/visits").ok()).hasSize(1);
    assertThat(stranger.get("/api/me").status()).isEqualTo(200);
  }

  private static Client.Response end(Client who, String visit) {
    return who.write("DELETE", "/api/me/visits" + visit, Map.of(), UUID.randomUUID());
  }

  private static String own(Client who) {
    for (JsonNode visit : who.get("/api/me/visits").ok()) {
      if (visit.get("here").asBoolean()) {
        return visit.get("id").asString();
      }
    }
    throw new AssertionError("a visit without itself");
  }

  private String[] sessionIds() {
    return database
        .queryForList("select session_id from spring_session", String.class)
        .toArray(String[]::new);
  }
}
