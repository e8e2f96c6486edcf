package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What members say to each other of a publication. */
class RemarksTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Cora Teller", "Mats Answer").guest("Gus Guest");
  private final Client cora = group.client(0);
  private final Client mats = group.client(1);
  private final String work = group.find("moth").get(0);
  private final String path = "/publications/" + work + "/remarks";

  private String say(Client who, String text) {
    return who.post(path, Map.of("text", text)).ok().get("id").asString();
  }

  private String answer(Client who, String remark, String text) {
    return who.post(path, Map.of("text", text, "answers", remark)).ok().get("id").asString();
  }

  private JsonNode first(Client who) {
    return who.get(path).ok().get(0);
  }

  private static String write(String remark) {
    return "/remarks/" + remark;
  }

  @DisplayName(
      "Said, answered, an answer to an answer belongs to the remark; guests read, strangers not")
  @Test
  void thread() {
    String remark = say(cora, "Which lamps?\nAnd where?");
    String answered = answer(mats, remark, "Sodium");
    answer(cora, answered, "Thank you");
    JsonNode shown = first(mats);
    assertThat(shown.get("text").asString()).isEqualTo("Which lamps?\nAnd where?");
    assertThat(shown.get("answers").findValuesAsString("text"))
        .containsExactly("Sodium", "Thank you");
    assertThat(first(group.client(2)).get("name").asString()).isEqualTo("Cora Teller");
    assertThat(group.client(2).post(path, Map.of("text", "me too")).status()).isEqualTo(403);
    Client other = APP.group("Olga Other").client(0);
    assertThat(other.get(path).ok()).isEmpty();
    assertThat(other.post(path, Map.of("text", "x", "answers", remark)).status()).isEqualTo(404);
    String elsewhere = "/publications/" + group.find("moth").get(1) + "/remarks";
    assertThat(cora.post(elsewhere, Map.of("text", "x", "answers", remark)).status())
        .as("of another work")
        .isEqualTo(404);
    assertThat(cora.get("/changes?since=0").body()).contains("remark.add");
  }

  @DisplayName("Written anew by its writer for a quarter of an hour; then another one is written")
  @Test
  void anew() {
    String remark = say(cora, "Frist");
    assertThat(first(cora).get("changeable").asBoolean()).isTrue();
    assertThat(first(mats).get("changeable").asBoolean()).isFalse();
    UUID command = UUID.randomUUID();
    cora.write("PUT", write(remark), Map.of("text", "First"), command).ok();
    assertThat(first(mats).get("text").asString()).isEqualTo("First");
    assertThat(first(mats).get("changed")).isNotNull();
    cora.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(first(mats).get("text").asString()).isEqualTo("Frist");
    assertThat(mats.write("PUT", write(remark), Map.of("text", "x"), UUID.randomUUID()).status())
        .isEqualTo(403);
    for (String bad : new String[] {"", "  \n ", "x".repeat(10_001)}) {
      assertThat(cora.post(path, Map.of("text", bad)).type()).isEqualTo("remark");
    }
    String odd = "<script>alert(1)</script> \u202Eabc 🌙".repeat(20);
    assertThat(cora.write("PUT", write(remark), Map.of("text", odd), UUID.randomUUID()).status())
        .isEqualTo(200);
    assertThat(first(cora).get("text").asString()).isEqualTo(odd.strip());
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofMinutes(16)));
    assertThat(first(cora).get("changeable").asBoolean()).isFalse();
    assertThat(cora.write("PUT", write(remark), Map.of("text", "x"), UUID.randomUUID()).type())
        .isEqualTo("too-late");
  }

  @DisplayName(
      "Taken back by its writer: answers stay; undone, it is there again; settled by anybody")
  @Test
  void takenBack() {
    String remark = say(cora, "Wrong site?");
    answer(mats, remark, "No");
    assertThat(mats.write("DELETE", write(remark), Map.of(), UUID.randomUUID()).status())
        .isEqualTo(403);
    UUID command = UUID.randomUUID();
    cora.write("DELETE", write(remark), Map.of(), command).ok();
    assertThat(first(mats).get("text")).isNull();
    assertThat(first(mats).get("answers")).hasSize(1);
    assertThat(cora.write("PUT", write(remark), Map.of("text", "x"), UUID.randomUUID()).status())
        .as("it is gone")
        .isEqualTo(404);
    cora.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(first(mats).get("text").asString()).isEqualTo("Wrong site?");
    UUID settled = UUID.randomUUID();
    mats.write("PUT", write(remark) + "/settled", Map.of("settled", true), settled).ok();
    assertThat(first(cora).get("settledBy").asString()).isEqualTo("Mats Answer");
    mats.post("/actions/" + settled + "/undo", Map.of()).ok();
    assertThat(first(cora).get("settledBy")).isNull();

    UUID said = UUID.randomUUID();
    cora.write("POST", path, Map.of("text", "slip"), said).ok();
    cora.post("/actions/" + said + "/undo", Map.of()).ok();
    assertThat(cora.get(path).ok().findValuesAsString("text")).doesNotContain("slip");
    UUID answeredOne = UUID.randomUUID();
    String one =
        cora.write("POST", path, Map.of("text", "asked"), answeredOne).ok().get("id").asString();
    answer(mats, one, "and answered");
    cora.post("/actions/" + answeredOne + "/undo", Map.of()).ok();
    assertThat(cora.get(path).body()).doesNotContain("asked").contains("and answered");
  }

  @DisplayName("Whoever is named behind @ is mentioned, as the remark reads now")
  @Test
  void mentioned() {
    String remark = say(cora, "@Mats, is this the one? @Nobody");
    assertThat(mentions(remark)).isEqualTo(1);
    cora.write("PUT", write(remark), Map.of("text", "found it"), UUID.randomUUID()).ok();
    assertThat(mentions(remark)).isZero();
  }

  private static int mentions(String remark) {
    return APP.bean(JdbcTemplate.class)
        .queryForObject(
            "select count(*)::int from remark_mention m join remark r on r.id = m.remark"
                + " where r.pid = ?",
            Integer.class,
            remark);
  }
}
