package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;

/** Commands of a group take turns, and whoever waits holds nothing that others need. */
class TurnsTest {
  private static final TestApp APP = TestApp.shared();

  /** Three times as many as there are connections to the database. */
  private static final int MANY = 30;

  @DisplayName("A group whose commands stand still keeps no other group waiting")
  @Test
  void othersGoOn() throws SQLException {
    TestGroup slow = APP.group("Tilda Turns");
    TestGroup other = APP.group("Otto Turns");
    Client slowly = slow.client(0);
    other.folder("Before");
    ExecutorService threads = Executors.newFixedThreadPool(MANY);
    List<CompletableFuture<Integer>> given;
    try (Connection connection = APP.bean(DataSource.class).getConnection()) {
      connection.setAutoCommit(false);
      hold(connection, slow);
      given =
          IntStream.range(0, MANY)
              .mapToObj(
                  n ->
                      CompletableFuture.supplyAsync(
                          () -> slowly.post("/folders", Map.of("name", "Folder " + n)).status(),
                          threads))
              .toList();
      for (int n = 0; n < MANY; n++) {
        assertThat(other.client(0).get("/folders").status()).isEqualTo(200);
        other.folder("Folder " + n);
      }
      assertThat(given).as("none was carried out meanwhile").noneMatch(CompletableFuture::isDone);
      connection.rollback();
    } finally {
      threads.shutdown();
    }
    assertThat(given.stream().map(CompletableFuture::join)).containsOnly(200);
    assertThat(slowly.get("/folders").ok()).hasSize(MANY);
  }

  private static void hold(Connection connection, TestGroup group) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute("select pg_advisory_xact_lock(2, " + group.member(0).group() + ")");
    }
  }

  @DisplayName("More than hands can give are refused, with when to come again")
  @Test
  void tooMany() throws SQLException {
    TestGroup slow = APP.group("Tomas Turns");
    Client slowly = slow.client(0);
    slowly.get("/folders").ok();
    ExecutorService threads = Executors.newFixedThreadPool(2 * MANY);
    List<CompletableFuture<Client.Response>> given;
    try (Connection connection = APP.bean(DataSource.class).getConnection()) {
      connection.setAutoCommit(false);
      hold(connection, slow);
      given =
          IntStream.range(0, 2 * MANY)
              .mapToObj(
                  n ->
                      CompletableFuture.supplyAsync(
                          () -> slowly.post("/folders", Map.of("name", "Folder " + n)), threads))
              .toList();
      CompletableFuture.anyOf(given.toArray(CompletableFuture[]::new)).join();
      connection.rollback();
    } finally {
      threads.shutdown();
    }
    List<Client.Response> refused =
        given.stream().map(CompletableFuture::join).filter(a -> a.status() != 200).toList();
    assertThat(refused)
        .isNotEmpty()
        .allSatisfy(
            answer -> {
              assertThat(answer.status()).isEqualTo(503);
              assertThat(answer.type()).isEqualTo("busy");
              assertThat(answer.header("Retry-After")).isNotEmpty();
            });
    assertThat(slowly.get("/folders").ok()).hasSize(2 * MANY - refused.size());
  }
}
