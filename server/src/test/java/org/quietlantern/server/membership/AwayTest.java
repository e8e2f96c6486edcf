package org.quietlantern.server.membership;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
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

class AwayTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Cora Ordinator", "Ben Member").guest("Gus Guest");
  private final Client cora = group.client(0);
  private final Client ben = group.client(1);
  private final String bens = group.member(1).pid();

  private static int owed(Client who) {
    return who.get("/rounds").ok().get("owed").asInt();
  }

  private LocalDate today() {
    return LocalDate.parse(cora.get("").ok().get("today").asString());
  }

  private static Client.Response away(Client who, String member, Object from, Object to) {
    Map<String, Object> days =
        to == null
            ? Map.of("from", from.toString())
            : Map.of("from", from.toString(), "to", to.toString());
    return who.post("/members/" + member + "/absences", days);
  }

  private JsonNode seen(String member) {
    return cora.get("")
        .ok()
        .get("members")
        .valueStream()
        .filter(one -> one.get("id").asString().equals(member))
        .findFirst()
        .orElseThrow();
  }

  @DisplayName("V5: what comes while somebody is away rests, what they owed before stays; undone")
  @Test
  void rests() {
    group.alert(group.folder("Verges"), "Everything", TestGroup.EVERYTHING, "at-once");
    APP.passUntilSomethingCame();
    int before = owed(ben);
    assertThat(before).isPositive().isEqualTo(owed(cora));
    UUID command = UUID.randomUUID();
    LocalDate tomorrow = today().plusDays(1);
    cora.post("/members/" + bens + "/absences", Map.of("from", tomorrow.toString()), command).ok();
    assertThat(seen(bens).has("away")).as("not yet").isFalse();
    APP.passUntilSomethingCame();
    assertThat(owed(cora)).isGreaterThan(before);
    assertThat(owed(ben)).isEqualTo(before);
    assertThat(seen(bens).has("away")).isTrue();
    JsonNode board = ben.get("/rounds").ok().get("rounds").get(0);
    assertThat(board.get("shares").get(bens).asInt()).as("nothing of it is theirs").isZero();
    cora.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(owed(ben)).isEqualTo(owed(cora));
  }

  @DisplayName("Until a day: on the next one it is theirs again")
  @Test
  void until() {
    group.alert(group.folder("Verges"), "Everything", TestGroup.EVERYTHING, "at-once");
    String id = away(ben, bens, today(), today().plusDays(3)).ok().get("id").asString();
    assertThat(seen(bens).get("away").get("to").asString()).isEqualTo(today().plusDays(3) + "");
    APP.pass(3);
    assertThat(owed(ben)).isZero();
    APP.pass(1);
    assertThat(seen(bens).has("away")).isFalse();
    APP.passUntilSomethingCame();
    assertThat(owed(ben)).isPositive().isLessThan(owed(cora) + 1);
    int came = owed(ben);
    ben.write("DELETE", "/absences/" + id, Map.of(), UUID.randomUUID()).ok();
    assertThat(owed(ben)).isEqualTo(owed(cora)).isGreaterThanOrEqualTo(came);
  }

  @DisplayName("One's own, a coordinator anybody's; days that are none are refused by name")
  @Test
  void whose() {
    String coras = group.member(0).pid();
    assertThat(away(ben, coras, today(), null).status()).isEqualTo(403);
    assertThat(away(cora, bens, today(), today().minusDays(1)).type()).isEqualTo("to");
    assertThat(cora.post("/members/" + bens + "/absences", Map.of()).status()).isEqualTo(400);
    assertThat(away(cora, bens, "tomorrow", null).status()).isEqualTo(400);
    assertThat(away(cora, "nobody1234", today(), null).status()).isEqualTo(404);
    away(cora, coras, today(), null).ok();
    String others = members(cora).get(0).get("away").get(0).get("id").asString();
    assertThat(members(ben).get(0).get("away")).as("Cora's days are Cora's to tell").isEmpty();
    assertThat(ben.write("DELETE", "/absences/" + others, Map.of(), UUID.randomUUID()).status())
        .isEqualTo(403);
    assertThat(seen(coras).has("away")).isTrue();
  }

  private static List<JsonNode> members(Client who) {
    return who.get("/members").ok().valueStream().toList();
  }
}
