package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.springframework.jdbc.core.JdbcTemplate;

/** Coming in by a link that whoever runs the installation handed out; the first group. */
class EntryTest {
  private static final TestApp APP = TestApp.shared();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private static final String WORDS = "words-of-her-own";

  private static String link(String email, boolean steward, Duration from) {
    String code = UUID.randomUUID().toString();
    DATABASE.update(
        "insert into entry_link (code, email, steward, until) values (?, ?, ?, ?)",
        Hash.of(code),
        email,
        steward,
        Timestamp.from(Instant.now().plus(from)));
    return code;
  }

  private static String link(String email) {
    return link(email, true, Duration.ofHours(1));
  }

  private static String someone() {
    return "entry" + UUID.randomUUID() + "@example.org";
  }

  private static Client.Response enter(Client who, String code, String password) {
    return who.post(
        "/api/entry/visit", Map.of("code", code, "password", password, "zone", "Europe/Oslo"));
  }

  private static Client visitor() {
    Client visitor = new Client(APP.address());
    visitor.get("/api/me");
    return visitor;
  }

  @DisplayName("A link makes an account once, and its words open the door from then on")
  @Test
  void once() {
    String email = someone();
    String code = link(email);
    Client nora = visitor();
    assertThat(nora.post("/api/entry", Map.of("code", code)).ok().toString())
        .isEqualTo("{\"email\":\"%s\",\"known\":false}".formatted(email));
    assertThat(enter(nora, code, WORDS).ok().get("steward").asBoolean()).isTrue();
    assertThat(nora.get("/api/me").ok().get("email").asString()).isEqualTo(email);
    assertThat(enter(visitor(), code, WORDS).status()).isEqualTo(410);
    assertThat(visitor().post("/api/entry", Map.of("code", code)).status()).isEqualTo(410);
    assertThat(visitor().signIn(email, WORDS).status()).isEqualTo(200);
  }

  @DisplayName("Another link gives an account that is there other words, and takes no right away")
  @Test
  void again() {
    String email = someone();
    Client before = visitor();
    enter(before, link(email), WORDS).ok();
    assertThat(before.get("/api/me").status()).isEqualTo(200);
    String code = link(email, false, Duration.ofHours(1));
    Client nora = visitor();
    assertThat(nora.post("/api/entry", Map.of("code", code)).ok().get("known").asBoolean())
        .isTrue();
    assertThat(enter(nora, code, "other-words-now").ok().get("steward").asBoolean()).isTrue();
    assertThat(before.get("/api/me").status()).as("other visits have ended").isEqualTo(401);
    assertThat(nora.get("/api/me").status()).isEqualTo(200);
    assertThat(visitor().signIn(email, WORDS).status()).isEqualTo(401);
    assertThat(visitor().signIn(email, "other-words-now").status()).isEqualTo(200);
  }

  @Test
  void aLinkOfAnHourAgoAndOneThatNobodyHas() {
    String late = link(someone(), true, Duration.ofSeconds(-1));
    assertThat(enter(visitor(), late, WORDS).status()).isEqualTo(410);
    assertThat(enter(visitor(), "guessed", WORDS).status()).isEqualTo(404);
    assertThat(enter(visitor(), "x".repeat(5_000), WORDS).status()).isEqualTo(404);
    assertThat(visitor().post("/api/entry", Map.of()).status()).isEqualTo(400);
  }

  @ParameterizedTest
  @CsvSource({"short, Europe/Oslo", "long-enough-words, Atlantis/Harbour", "long-enough-words, ''"})
  void whatCannotBeUsedLeavesTheLinkAsItIs(String password, String zone) {
    String code = link(someone());
    Client visitor = visitor();
    assertThat(
            visitor
                .post("/api/entry/visit", Map.of("code", code, "password", password, "zone", zone))
                .status())
        .isEqualTo(422);
    assertThat(enter(visitor, code, WORDS).status()).isEqualTo(200);
  }

  @DisplayName("Two windows that use one link at once make one account")
  @Test
  void twoAtOnce() {
    String email = someone();
    String code = link(email);
    List<Integer> answers =
        IntStream.range(0, 4)
            .mapToObj(
                i -> CompletableFuture.supplyAsync(() -> enter(visitor(), code, WORDS).status()))
            .toList()
            .stream()
            .map(CompletableFuture::join)
            .sorted()
            .toList();
    assertThat(answers).containsExactly(200, 410, 410, 410);
    assertThat(
            DATABASE.queryForObject(
                "select count(*) from account where email = ?", Integer.class, email))
        .isEqualTo(1);
  }

  @DisplayName("Whoever has an account founds a group, once however often it is asked")
  @Test
  void founding() {
    Client nora = visitor();
    enter(nora, link(someone()), WORDS).ok();
    String address = "/api/foundings/" + UUID.randomUUID();
    Map<String, Object> wanted =
        Map.of("name", "Attic moths", "person", "Nora Field", "zone", "Europe/Oslo");
    String id = found(nora, address, wanted).ok().get("id").asString();
    assertThat(found(nora, address, wanted).ok().get("id").asString()).isEqualTo(id);
    assertThat(nora.get("/api/groups/" + id).ok().at("/me/role").asString())
        .isEqualTo("coordinator");
    assertThat(nora.get("/api/me").ok().get("groups")).hasSize(1);
    assertThat(found(nora, address, Map.of("name", "x", "person", "Nora", "zone", "UTC")).status())
        .isEqualTo(422);
    Client other = visitor();
    enter(other, link(someone(), false, Duration.ofHours(1)), WORDS).ok();
    assertThat(found(other, "/api/foundings/" + UUID.randomUUID(), wanted).status()).isEqualTo(200);
    assertThat(found(visitor(), address, wanted).status()).isEqualTo(401);
  }

  private static Client.Response found(Client who, String address, Map<String, Object> wanted) {
    return who.write("PUT", address, wanted, UUID.randomUUID());
  }
}
