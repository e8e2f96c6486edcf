package org.quietlantern.server.person;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;

/** Stewards end accounts, and let them be used again. */
class AccountEndingTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup house = APP.group("Stina Steward");
  private final TestGroup group = APP.group("Cora Ordinator", "Ben Member");
  private final Client stina = house.client(0);
  private final Client cora = group.client(0);
  private final Client ben = group.client(1);
  private final String bens = ben.below("").get("/api/me").ok().get("email").asString();

  @BeforeEach
  void steward() {
    APP.makeSteward(house.member(0));
  }

  private static Client.Response set(Client who, String email, boolean ended) {
    return who.write(
        "PUT", "/house/accounts/state", Map.of("email", email, "ended", ended), UUID.randomUUID());
  }

  private int signIn() {
    return new Client(APP.address()).signIn(bens, TestApp.PASSWORD).status();
  }

  @DisplayName("Ended: every visit and membership, no way in; used again, in no group")
  @Test
  void ended() {
    assertThat(set(cora, bens, true).status()).isEqualTo(403);
    assertThat(set(stina, bens, true).status()).isEqualTo(204);
    assertThat(ben.get("").status()).isEqualTo(401);
    assertThat(signIn()).isEqualTo(401);
    assertThat(cora.get("/members").ok().findValuesAsString("name"))
        .containsExactly("Cora Ordinator");
    assertThat(set(stina, bens, false).status()).isEqualTo(204);
    assertThat(signIn()).isEqualTo(200);
    Client again = new Client(APP.address());
    again.signIn(bens, TestApp.PASSWORD).ok();
    assertThat(again.get("/api/me").ok().get("groups")).isEmpty();
  }

  @DisplayName("Not one's own, not nobody's, and not where a group keeps no coordinator")
  @Test
  void refused() {
    String own = stina.below("").get("/api/me").ok().get("email").asString();
    assertThat(set(stina, own, true).status()).isEqualTo(422);
    assertThat(set(stina, "nobody@x.example", true).status()).isEqualTo(404);
    String coras = cora.below("").get("/api/me").ok().get("email").asString();
    assertThat(set(stina, coras, true).type()).isEqualTo("last-coordinator");
    assertThat(cora.get("").status()).isEqualTo(200);
  }

  @DisplayName("A link that was sent before lets nobody back in; one that is made later does")
  @Test
  void links() {
    String before = link();
    assertThat(set(stina, bens, true).status()).isEqualTo(204);
    assertThat(enter(before)).isEqualTo(410);
    assertThat(signIn()).isEqualTo(401);
    assertThat(enter(link())).isEqualTo(200);
    assertThat(signIn()).isEqualTo(200);
  }

  private String link() {
    String code = UUID.randomUUID().toString();
    APP.bean(JdbcTemplate.class)
        .update(
            "insert into entry_link (code, email, steward, until) values (?, ?, false, ?)",
            Hash.of(code),
            bens,
            Timestamp.from(Instant.now().plusSeconds(600)));
    return code;
  }

  private static int enter(String code) {
    Client visitor = new Client(APP.address());
    visitor.get("/api/me");
    return visitor
        .post(
            "/api/entry/visit",
            Map.of("code", code, "password", TestApp.PASSWORD, "zone", "Europe/Oslo"))
        .status();
  }
}
