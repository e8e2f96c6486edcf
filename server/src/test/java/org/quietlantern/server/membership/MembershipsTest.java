package org.quietlantern.server.membership;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;

/** R1, R2: roles, leaving, and the coordinator that a group keeps. */
class MembershipsTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Cora Ordinator", "Ben Member").guest("Gus Guest");
  private final Client cora = group.client(0);
  private final Client ben = group.client(1);
  private final Client gus = group.client(2);

  private Client.Response role(Client who, int whose, String role) {
    String path = "/members/" + group.member(whose).pid() + "/role";
    return who.write("PUT", path, Map.of("role", role), UUID.randomUUID());
  }

  private Client.Response end(Client who, String member) {
    return who.write("DELETE", "/members/" + member, Map.of(), UUID.randomUUID());
  }

  @DisplayName("Roles are given by coordinators; the last one stays one, whoever asks")
  @Test
  void roles() {
    assertThat(role(ben, 0, "guest").status()).isEqualTo(403);
    assertThat(role(gus, 2, "coordinator").status()).isEqualTo(403);
    assertThat(role(cora, 0, "member").type()).isEqualTo("last-coordinator");
    assertThat(role(cora, 1, "king").status()).isEqualTo(422);
    role(cora, 1, "coordinator").ok();
    assertThat(ben.get("").ok().at("/me/role").asString()).isEqualTo("coordinator");
    role(ben, 0, "guest").ok();
    assertThat(cora.post("/folders", Map.of("name", "Verges")).status()).isEqualTo(403);
    assertThat(end(ben, group.member(1).pid()).type()).isEqualTo("last-coordinator");
  }

  @DisplayName("Everybody leaves, a guest too; from then on there is nothing for them")
  @Test
  void leaving() {
    String guest = group.member(2).pid();
    String member = group.member(1).pid();
    assertThat(end(gus, member).status()).isEqualTo(403);
    assertThat(end(ben, guest).status()).isEqualTo(403);
    end(gus, guest).ok();
    assertThat(gus.get("").status()).isEqualTo(404);
    UUID command = UUID.randomUUID();
    cora.write("DELETE", "/members/" + member, Map.of(), command).ok();
    assertThat(ben.get("/folders").status()).isEqualTo(404);
    assertThat(end(cora, member).status()).isEqualTo(404);
    cora.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(ben.get("").ok().at("/me/name").asString()).isEqualTo("Ben Member");
    assertThat(end(cora, group.member(0).pid()).type()).isEqualTo("last-coordinator");
  }

  @DisplayName("Addresses are shown to coordinators and to oneself")
  @Test
  void addresses() {
    assertThat(cora.get("/members").ok().findValuesAsString("email")).hasSize(3);
    assertThat(ben.get("/members").ok().findValuesAsString("email"))
        .singleElement()
        .asString()
        .startsWith("ben.member");
  }
}
