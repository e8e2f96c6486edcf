package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;

class AccountTest {
  private static final TestApp APP = TestApp.shared();

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
        .update("update sign_in_failure set system_at = system_at - interval '16 minutes'");
    assertThat(client.signIn("tries@x.example", TestApp.PASSWORD).status())
        .as("a quarter of an hour later")
        .isEqualTo(200);
    assertThat(client.signIn("nobody@x.example", "wrong").type()).isEqualTo("wrong-words");
  }

  @DisplayName("The session holds the account's number and nothing else; signing out ends it")
  @Test
  void theSession() {
    TestGroup group = APP.group("Anna Account");
    Client anna = group.client(0).below("");
    assertThat(anna.get("/api/me").ok().get("groups").get(0).get("id").asString())
        .isEqualTo(group.pid());
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    assertThat(
            database.queryForList(
                "select distinct attribute_name from spring_session_attributes", String.class))
        .containsExactly("account");
    assertThat(anna.write("DELETE", "/api/session", Map.of(), java.util.UUID.randomUUID()).status())
        .isEqualTo(204);
    assertThat(anna.get("/api/me").status()).isEqualTo(401);
  }
}
