package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.session.FindByIndexNameSessionRepository;

class AccountTest {
  private static final TestApp APP = TestApp.shared();
  private static final ExecutorService THREADS = Executors.newFixedThreadPool(40);

  @BeforeEach
  void forgetTries() {
    APP.bean(JdbcTemplate.class).update("delete from sign_in_try");
  }

  @AfterAll
  static void end() {
    THREADS.shutdown();
  }

  @DisplayName("Five wrong tries are enough; a right one in between forgets them, and so does time")
  @Test
  void throttled() {
    APP.bean(Accounts.class).add("tries@x.example", TestApp.PASSWORD, "Europe/Oslo");
    Client client = new Client(APP.address());
    for (int i = 0; i < 4; i++) {
      assertThat(client.signIn("tries@x.example", "wrong").type()).isEqualTo("wrong-words");
    }
    assertThat(client.signIn("Tries@X.example", TestApp.PASSWORD).status()).isEqualTo(200);
    for (int i = 0; i < 5; i++) {
      assertThat(client.signIn("tries@x.example", "wrong").status()).isEqualTo(401);
    }
    assertThat(client.signIn("tries@x.example", TestApp.PASSWORD).status()).isEqualTo(429);
    APP.bean(JdbcTemplate.class)
        .update("update sign_in_try set system_at = system_at - interval '16 minutes'");
    assertThat(client.signIn("tries@x.example", TestApp.PASSWORD).status())
        .as("a quarter of an hour later")
        .isEqualTo(200);
    assertThat(client.signIn("nobody@x.example", "wrong").type()).isEqualTo("wrong-words");
  }

  @DisplayName(
      "A stranger who tries a member's address keeps nobody out of a browser that is known")
  @Test
  void noLockOutByStrangers() {
    APP.bean(Accounts.class).add("known@x.example", TestApp.PASSWORD, "Europe/Oslo");
    Client known = new Client(APP.address());
    assertThat(known.signIn("known@x.example", TestApp.PASSWORD).status()).isEqualTo(200);
    Client stranger = new Client(APP.address());
    for (int i = 0; i < 5; i++) {
      assertThat(stranger.signIn("known@x.example", "guess" + i).status()).isEqualTo(401);
    }
    assertThat(stranger.signIn("known@x.example", "guess").status()).isEqualTo(429);
    assertThat(known.signIn("known@x.example", TestApp.PASSWORD).status()).isEqualTo(200);
    assertThat(known.signIn("tries@x.example", "guess").status())
        .as("known for one's own address only")
        .isIn(401, 429);
  }

  @DisplayName("Tries at once are counted as they start: no more get through than one by one")
  @Test
  void manyAtOnce() {
    APP.bean(Accounts.class).add("crowd@x.example", TestApp.PASSWORD, "Europe/Oslo");
    List<Integer> answers =
        IntStream.range(0, 20)
            .mapToObj(
                i ->
                    CompletableFuture.supplyAsync(
                        () ->
                            new Client(APP.address())
                                .signIn("crowd@x.example", "guess" + i)
                                .status()))
            .toList()
            .stream()
            .map(CompletableFuture::join)
            .toList();
    assertThat(answers).filteredOn(status -> status == 401).hasSizeLessThanOrEqualTo(5);
    assertThat(answers).containsOnly(401, 429);
  }

  @DisplayName("People who sign in hold no connection to the database while passwords are checked")
  @Test
  void connectionsStayFree() throws InterruptedException {
    HikariPoolMXBean pool = APP.bean(HikariDataSource.class).getHikariPoolMXBean();
    List<CompletableFuture<Integer>> crowd =
        IntStream.range(0, 40)
            .mapToObj(
                i ->
                    CompletableFuture.supplyAsync(
                        () ->
                            new Client(APP.address())
                                .signIn("nobody" + i + "@x.example", "guess")
                                .status(),
                        THREADS))
            .toList();
    int samples = 0;
    int free = 0;
    while (!crowd.stream().allMatch(CompletableFuture::isDone)) {
      samples++;
      free += pool.getThreadsAwaitingConnection() == 0 ? 1 : 0;
      Thread.sleep(5);
    }
    assertThat(crowd).extracting(CompletableFuture::join).containsOnly(401);
    assertThat(free).isGreaterThan(samples * 3 / 4);
  }

  @DisplayName("What is missing or far too long is refused before anything is checked")
  @Test
  void oddWords() {
    Client client = new Client(APP.address());
    assertThat(client.signIn("a@x.example", "x".repeat(201)).status()).isEqualTo(422);
    assertThat(client.signIn("a".repeat(321), "x").status()).isEqualTo(422);
    assertThat(client.post("/api/session", Map.of("email", "a@x.example")).status()).isEqualTo(400);
  }

  @DisplayName(
      "The session holds the account's number and what the browser calls itself; signing out ends it")
  @Test
  void theSession() {
    TestGroup group = APP.group("Anna Account");
    Client anna = group.client(0).below("");
    assertThat(anna.get("/api/me").ok().get("groups").get(0).get("id").asString())
        .isEqualTo(group.pid());
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    assertThat(
            database.queryForList(
                "select distinct attribute_name from spring_session_attributes order by 1",
                String.class))
        .containsExactly(
            "account", "agent", FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME);
    assertThat(
            database.queryForList(
                "select principal_name from spring_session where principal_name <> ?",
                String.class,
                "x"))
        .as("by which visits are found is that number again")
        .isNotEmpty()
        .allMatch(name -> name.matches("\\d+"));
    assertThat(anna.write("DELETE", "/api/session", Map.of(), java.util.UUID.randomUUID()).status())
        .isEqualTo(204);
    assertThat(anna.get("/api/me").status()).isEqualTo(401);
  }
}
