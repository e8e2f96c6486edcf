package org.quietlantern.server.membership;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** What coordinators set for the whole group. */
class SettingTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Cora Ordinator", "Ben Member").guest("Gus Guest");
  private final Client cora = group.client(0);
  private final Client ben = group.client(1);
  private final UUID command = UUID.randomUUID();

  private Client.Response set(Client who, Map<String, ?> parts) {
    JsonNode now = cora.get("/settings").ok();
    Map<String, Object> wanted =
        new HashMap<>(
            Map.of(
                "name", now.get("name").asString(),
                "zone", now.get("zone").asString(),
                "membersInvite", now.get("membersInvite").asBoolean(),
                "version", now.get("version").asInt()));
    wanted.putAll(parts);
    return who.write("PUT", "/settings", wanted, command);
  }

  private static Client.Response ask(Client who, String role) {
    String email = UUID.randomUUID() + "@x.example";
    return who.post("/invitations", Map.of("email", email, "role", role));
  }

  @DisplayName("The frame tells everybody what was set; an undo brings back what was before")
  @Test
  void setAndUndone() {
    JsonNode before = cora.get("/settings").ok();
    String librarian = group.member(1).pid();
    JsonNode set =
        set(
                cora,
                Map.of(
                    "name",
                    "Night and light",
                    "reasons",
                    List.of(" not about lamps ", "", "no data"),
                    "librarians",
                    List.of(librarian)))
            .ok();
    assertThat(set.get("reasons").valueStream().map(JsonNode::asString))
        .containsExactly("not about lamps", "no data");
    JsonNode frame = ben.get("").ok();
    assertThat(frame.get("name").asString()).isEqualTo("Night and light");
    assertThat(frame.get("reasons")).isEqualTo(set.get("reasons"));
    assertThat(frame.at("/me/librarian").asBoolean()).isTrue();
    assertThat(frame.at("/members/0/librarian").asBoolean()).isFalse();
    cora.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(cora.get("/settings").ok()).isEqualTo(before);
  }

  @DisplayName("Refused from members, from a stale page, and for what cannot be")
  @Test
  void refused() {
    JsonNode before = cora.get("/settings").ok();
    assertThat(set(ben, Map.of()).type()).isEqualTo("not-yours");
    assertThat(set(cora, Map.of("version", 7)).type()).isEqualTo("stale");
    assertThat(set(cora, Map.of("zone", "Europe/Atlantis")).status()).isEqualTo(422);
    assertThat(set(cora, Map.of("name", "1")).status()).isEqualTo(422);
    assertThat(set(cora, Map.of("reasons", List.of("twice", "twice "))).status()).isEqualTo(422);
    assertThat(set(cora, Map.of("reasons", List.of("r".repeat(201)))).status()).isEqualTo(422);
    assertThat(set(cora, Map.of("usualLimits", "nosuch")).status()).isEqualTo(422);
    String guest = group.member(2).pid();
    assertThat(set(cora, Map.of("librarians", List.of(guest))).status()).isEqualTo(422);
    String other = APP.group("Olga Other").member(0).pid();
    assertThat(set(cora, Map.of("librarians", List.of(other))).status()).isEqualTo(404);
    assertThat(cora.get("/settings").ok()).isEqualTo(before);
  }

  @DisplayName("Members ask people in where it is set, but make nobody a coordinator")
  @Test
  void membersInvite() {
    assertThat(ask(ben, "guest").status()).isEqualTo(403);
    set(cora, Map.of("membersInvite", true)).ok();
    String mine = ask(ben, "member").ok().get("id").asString();
    String hers = ask(cora, "member").ok().get("id").asString();
    assertThat(ask(ben, "coordinator").status()).isEqualTo(403);
    assertThat(ask(group.client(2), "guest").status()).isEqualTo(403);
    assertThat(ben.get("/invitations").ok().findValuesAsString("id")).containsExactly(mine);
    assertThat(cora.get("/invitations").ok().findValuesAsString("id")).containsExactly(hers, mine);
    assertThat(takeBack(ben, hers).status()).isEqualTo(403);
    takeBack(ben, mine).ok();
    assertThat(cora.get("/invitations").ok().findValuesAsString("id")).containsExactly(hers);
  }

  private static Client.Response takeBack(Client who, String invitation) {
    return who.write("DELETE", "/invitations/" + invitation, Map.of(), UUID.randomUUID());
  }

  @DisplayName("N6: in another zone rounds close, and dates are, by its days")
  @Test
  void zone() {
    String folder = group.folder("Watched");
    String alert = group.alert(folder, "Moths", "moth", "daily");
    set(cora, Map.of("zone", "Pacific/Kiritimati")).ok();
    Instant there = closes(alert);
    cora.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(Duration.between(there, closes(alert)).abs().toHours() % 24)
        .as("five in the morning, %s and %s", there, closes(alert))
        .isIn(13L, 11L);
    assertThat(cora.get("").ok().get("zone").asString()).isEqualTo("Europe/Oslo");
  }

  private Instant closes(String alert) {
    return Instant.parse(cora.get("/alerts/" + alert).ok().at("/alert/nextCloses").asString());
  }

  @DisplayName("A set of limits that is gone is nobody's usual one any more")
  @Test
  void usualLimits() {
    Map<String, Object> limit =
        Map.of("id", "k", "kind", "limit", "property", "kind", "chosen", List.of("article"));
    String limits =
        cora.post(
                "/limit-sets",
                Map.of(
                    "name", "Articles", "strategy", Map.of("version", 3, "lines", List.of(limit))))
            .ok()
            .get("id")
            .asString();
    set(cora, Map.of("usualLimits", limits)).ok();
    assertThat(ben.get("").ok().get("usualLimits").asString()).isEqualTo(limits);
    ben.write("DELETE", "/limit-sets/" + limits, Map.of(), UUID.randomUUID()).ok();
    assertThat(ben.get("").ok().has("usualLimits")).isFalse();
  }
}
