package org.quietlantern.server.question;

import static org.assertj.core.api.Assertions.assertThat;

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

/** What members ask each other, with what they look at. */
class QuestionsTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group =
      APP.group("Asta Asker", "Lina Librarian", "Olga Other").guest("Gus Guest");
  private final Client asta = group.client(0);
  private final Client lina = group.client(1);
  private final Client olga = group.client(2);
  private final String lina_ = group.member(1).pid();
  private final UUID command = UUID.randomUUID();

  private static String sheet(Client who, String text) {
    return who.post(
            "/steps", Map.of("asked", Map.of("text", text), "order", "relevance", "how", "enter"))
        .ok()
        .get("q")
        .asString();
  }

  private Client.Response ask(Client who, String to, String place) {
    Map<String, String> body = new HashMap<>(Map.of("text", "Too few?", "place", place));
    if (!to.isEmpty()) {
      body.put("to", to);
    }
    return who.write("POST", "/questions", body, command);
  }

  private static List<String> waiting(Client who) {
    return who.get("/questions").ok().get("questions").findValuesAsString("id");
  }

  private static Client.Response stand(Client who, String id, Map<String, ?> said) {
    Map<String, Object> body = new HashMap<>(said);
    body.put("version", version(who, id));
    return who.put("/questions/" + id + "/state", body);
  }

  private static int version(Client who, String id) {
    return who.get("/questions/" + id).ok().at("/question/version").asInt();
  }

  @DisplayName("Asked with a sheet, answered with another, which is taken: each finds its turn")
  @Test
  void proposed() {
    String first = sheet(asta, "moth*");
    String place = "/q/" + first + "?order=title";
    String id = ask(asta, lina_, place).ok().get("id").asString();
    assertThat(waiting(lina)).containsExactly(id);
    assertThat(waiting(asta)).isEmpty();
    JsonNode seen = lina.get("/questions/" + id).ok().at("/question/seen");
    assertThat(seen.get("place").asString()).isEqualTo(place);
    assertThat(seen.get("name").asString()).isEqualTo("moth*");
    assertThat(seen.get("found").asInt())
        .isEqualTo(lina.post("/search", Map.of("text", "moth*")).ok().at("/answer/count").asInt());

    String better = sheet(lina, "moth* or bat*");
    lina.post("/questions/" + id + "/words", Map.of("text", "Add the order", "q", better)).ok();
    assertThat(waiting(lina)).isEmpty();
    assertThat(waiting(asta)).containsExactly(id);
    JsonNode word = asta.get("/questions/" + id).ok().at("/words/0");
    assertThat(word.get("sheet").asString()).isEqualTo("moth* or bat*");
    JsonNode compared = asta.get("/search/comparison?one=q:" + first + "&other=q:" + better).ok();
    assertThat(compared.get("gained").asInt()).isPositive();
    assertThat(compared.get("newestGained").size())
        .isEqualTo(Math.min(8, compared.get("gained").asInt()));
    assertThat(compared.get("newestLost")).isEmpty();

    stand(asta, id, Map.of("closed", true, "took", word.get("id").asString())).ok();
    assertThat(waiting(asta)).isEmpty();
    JsonNode ended = lina.get("/questions?of=ended").ok().at("/questions/0");
    assertThat(ended.get("took")).isEqualTo(word.get("id"));
    lina.post("/questions/" + id + "/words", Map.of("text", "One more thing")).ok();
    assertThat(waiting(asta)).as("said to a closed one").containsExactly(id);
  }

  @DisplayName("It is nobody else's: no page, no list, no line of the activity, no act")
  @Test
  void ofTwoSides() {
    String id = ask(asta, lina_, "/q/" + sheet(asta, "bat*")).ok().get("id").asString();
    for (Client other : List.of(olga, group.client(3))) {
      assertThat(other.get("/questions/" + id).status()).isEqualTo(404);
      assertThat(other.get("/questions?of=open").ok().get("open").asInt()).isZero();
      assertThat(other.get("/activity").ok().toString()).doesNotContain("Too few?", id);
      assertThat(other.get("/today/done").ok().toString()).doesNotContain("Too few?", id);
    }
    assertThat(olga.post("/questions/" + id + "/words", Map.of("text", "I know")).status())
        .isEqualTo(404);
    assertThat(
            olga.put("/questions/" + id + "/state", Map.of("closed", true, "version", 1)).status())
        .isEqualTo(404);
    assertThat(stand(lina, id, Map.of("closed", true)).type()).isEqualTo("not-yours");
    assertThat(lina.get("/activity").ok().at("/lines/0/deed/things").toString())
        .contains("Too few?");
  }

  @DisplayName("Who is asked is told by the next look for changes, and nobody else")
  @Test
  void told() {
    ask(asta, lina_, "/p/" + group.find("moth*").get(0)).ok();
    assertThat(lina.get("/changes?since=0").ok().get("kinds").toString()).contains("question.ask");
    assertThat(olga.get("/changes?since=0").ok().get("kinds")).isEmpty();
  }

  @DisplayName(
      "The librarian is whoever is set; the coordinators where nobody is, or nobody is left")
  @Test
  void librarian() {
    String place = "/q/" + sheet(olga, "verge");
    assertThat(ask(asta, "", place).status()).as("only she is asked herself").isEqualTo(422);
    String id = ask(olga, "", place).ok().get("id").asString();
    assertThat(waiting(asta)).containsExactly(id);
    assertThat(waiting(lina)).isEmpty();
    librarian(lina_);
    assertThat(waiting(asta)).isEmpty();
    assertThat(waiting(lina)).containsExactly(id);
    assertThat(olga.get("/questions/" + id).ok().get("question").has("to")).isFalse();
    asta.write("DELETE", "/members/" + lina_, Map.of(), UUID.randomUUID()).ok();
    assertThat(waiting(asta)).containsExactly(id);
  }

  private void librarian(String member) {
    JsonNode now = asta.get("/settings").ok();
    asta.put(
            "/settings",
            Map.of(
                "name", now.get("name").asString(),
                "zone", now.get("zone").asString(),
                "membersInvite", false,
                "librarians", List.of(member),
                "version", now.get("version").asInt()))
        .ok();
  }

  @DisplayName("What somebody was asked who has left goes to the librarian")
  @Test
  void leftMeanwhile() {
    String id = ask(olga, lina_, "/q/" + sheet(olga, "verge")).ok().get("id").asString();
    assertThat(waiting(asta)).isEmpty();
    asta.write("DELETE", "/members/" + lina_, Map.of(), UUID.randomUUID()).ok();
    assertThat(waiting(asta)).containsExactly(id);
    asta.post("/questions/" + id + "/words", Map.of("text", "I do it")).ok();
    assertThat(waiting(olga)).containsExactly(id);
  }

  @DisplayName("Refused: a place that is none or is not seen, nobody, oneself, a guest, no words")
  @Test
  void refused() {
    String place = "/q/" + sheet(asta, "moth*");
    assertThat(ask(asta, lina_, "//evil.example").status()).isEqualTo(422);
    assertThat(ask(asta, lina_, "/q/00000000").status()).isEqualTo(404);
    assertThat(ask(asta, lina_, "/f/00000000").status()).isEqualTo(404);
    assertThat(ask(asta, group.member(0).pid(), place).status()).isEqualTo(422);
    assertThat(ask(asta, group.member(3).pid(), place).status()).isEqualTo(422);
    assertThat(ask(asta, "nobody", place).status()).isEqualTo(404);
    assertThat(ask(group.client(3), lina_, place).status()).isEqualTo(403);
    assertThat(asta.post("/questions", Map.of("to", lina_, "text", " ", "place", place)).status())
        .isEqualTo(422);
    String closed = group.folder("Of two");
    asta.put(
            "/folders/" + closed + "/rights",
            Map.of(
                "openTo",
                "named",
                "groupMay",
                "edit",
                "named",
                List.of(Map.of("member", group.member(0).pid(), "may", "edit")),
                "version",
                1))
        .ok();
    assertThat(ask(asta, lina_, "/f/" + closed).body()).contains("does not see this folder");
  }

  @DisplayName("A stale page closes nothing; an answer is taken back exactly, a question whole")
  @Test
  void staleAndUndone() {
    String id = ask(asta, lina_, "/q/" + sheet(asta, "moth*")).ok().get("id").asString();
    UUID said = UUID.randomUUID();
    JsonNode before = asta.get("/questions/" + id).ok();
    lina.write("POST", "/questions/" + id + "/words", Map.of("text", "Hm"), said).ok();
    assertThat(asta.put("/questions/" + id + "/state", Map.of("closed", true, "version", 1)).type())
        .isEqualTo("stale");
    assertThat(asta.post("/actions/" + command + "/undo", Map.of()).type())
        .isEqualTo("changed-since");
    lina.post("/actions/" + said + "/undo", Map.of()).ok();
    assertThat(asta.get("/questions/" + id).ok()).isEqualTo(before);
    asta.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(asta.get("/questions/" + id).status()).isEqualTo(404);
    assertThat(waiting(lina)).isEmpty();
  }
}
