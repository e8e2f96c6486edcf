package org.quietlantern.server.today;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Timestamp;
import java.time.Duration;
import java.util.List;
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

/** What waits for a member, and what was done since their visit. */
class TodayTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Ada Early", "Ben Other").guest("Gus Guest");
  private final Client ada = group.client(0);
  private final Client ben = group.client(1);
  private final Client gus = group.client(2);
  private final List<String> found = group.find("moth or bat*");

  private static JsonNode waits(Client who, String of) {
    return who.get("/today").ok().get(of);
  }

  private static JsonNode done(Client who) {
    return who.get("/today/done").ok();
  }

  private static void visit(Client who) {
    who.write("PUT", "/visit", Map.of(), UUID.randomUUID());
  }

  private static void hoursPass(int hours) {
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofHours(hours)));
  }

  private static UUID mark(Client who, String publication, String mark, String reason) {
    UUID command = UUID.randomUUID();
    who.write(
            "POST",
            "/marks",
            Map.of("publications", List.of(publication), "mark", mark, "reason", reason),
            command)
        .ok();
    return command;
  }

  private static void changes(String publication, String... kinds) {
    hoursPass(1);
    APP.bean(JdbcTemplate.class)
        .update(
            """
            insert into publication_change (publication, kinds, at)
            select id, ?, ? from publication where pid = ?
            """,
            kinds,
            Timestamp.from(APP.bean(Calendar.class).now()),
            publication);
    hoursPass(1);
  }

  private static List<String> changed(Client who) {
    return waits(who, "changed")
        .valueStream()
        .map(
            one ->
                one.at("/publication/id").asString()
                    + " "
                    + String.join(
                        ",", one.get("kinds").valueStream().map(JsonNode::asString).toList())
                    + " "
                    + one.at("/folder/name").asString())
        .toList();
  }

  @DisplayName("N3: a kept work that was retracted waits for all who see it, until they open it")
  @Test
  void keptAndChanged() {
    String folder = group.folder("Verges");
    String before = found.get(3);
    changes(before, "retracted");
    ada.post(
            "/folders/" + folder + "/items",
            Map.of("publications", List.of(found.get(0), found.get(1), before), "note", ""))
        .ok();
    changes(found.get(0), "retracted", "fields");
    changes(found.get(1), "final");
    changes(found.get(0), "text");
    changes(found.get(2), "retracted");
    assertThat(changed(ada))
        .as("the latest first; not what was so when it was kept, nor what nobody keeps")
        .containsExactly(found.get(1) + " final Verges", found.get(0) + " retracted,fields Verges");
    assertThat(changed(ben))
        .as("what matters only to those who keep it")
        .containsExactly(found.get(0) + " retracted,fields Verges");
    assertThat(changed(group.guest("Lea Late").client(3))).as("before they came").isEmpty();
    ben.put("/publications/" + found.get(0) + "/opened", Map.of()).ok();
    assertThat(changed(ben)).isEmpty();
    changes(found.get(0), "corrected");
    assertThat(changed(ben)).containsExactly(found.get(0) + " corrected Verges");
    ada.write("DELETE", "/folders/" + folder, Map.of(), UUID.randomUUID()).ok();
    assertThat(changed(ben)).isEmpty();
  }

  @DisplayName("What changed in somebody's pile is theirs to know")
  @Test
  void changedInPile() {
    ada.post("/pile/items", Map.of("publications", found.subList(0, 1), "note", "")).ok();
    changes(found.get(0), "concern");
    assertThat(changed(ada)).hasSize(1);
    assertThat(changed(ben)).isEmpty();
  }

  @DisplayName("What is owed by alert adds up to what Arrivals says, and falls with each mark")
  @Test
  void owed() {
    String folder = group.folder("Verges");
    group.alert(folder, "Everything", TestGroup.EVERYTHING, "at-once");
    group.alert(folder, "All again", "moth or bat or light or lamp*", "daily");
    APP.passUntilSomethingCame();
    JsonNode owed = waits(ada, "arrivals");
    int sum = owed.valueStream().mapToInt(one -> one.get("owed").asInt()).sum();
    assertThat(sum).isPositive().isEqualTo(ada.get("/rounds").ok().get("owed").asInt());
    assertThat(waits(gus, "arrivals")).isEmpty();
    String round = owed.get(0).get("round").asString();
    JsonNode first = ada.get("/rounds/" + round).ok().get("arrivals").get(0);
    mark(ada, first.at("/publication/id").asString(), "pass", "");
    int left = waits(ada, "arrivals").valueStream().mapToInt(one -> one.get("owed").asInt()).sum();
    assertThat(left).isLessThan(sum).isEqualTo(ada.get("/rounds").ok().get("owed").asInt());
    JsonNode month = ada.get("/today/month").ok();
    assertThat(month).hasSize(31);
    assertThat(month.get(30).get("day").asString())
        .isEqualTo(ada.get("").ok().get("today").asString());
    assertThat(lit(ada)).isEqualTo(1);
    assertThat(lit(ben)).isZero();
  }

  private static int lit(Client who) {
    return who.get("/today/month").ok().valueStream().mapToInt(one -> one.get("lit").asInt()).sum();
  }

  @DisplayName("What a colleague raised waits until one says something of it, or it is taken back")
  @Test
  void raised() {
    UUID raise = mark(ben, found.get(0), "raise", "Is this our site?");
    mark(ben, found.get(1), "raise", "");
    JsonNode waiting = waits(ada, "raised");
    assertThat(waiting).hasSize(2);
    assertThat(waiting.get(1).get("question").asString()).isEqualTo("Is this our site?");
    assertThat(waiting.get(1).at("/publication/id").asString()).isEqualTo(found.get(0));
    assertThat(waits(ben, "raised")).as("one's own").isEmpty();
    assertThat(waits(gus, "raised")).as("who cannot mark").isEmpty();
    mark(ada, found.get(1), "pass", "");
    assertThat(waits(ada, "raised")).hasSize(1);
    ben.post("/actions/" + raise + "/undo", Map.of()).ok();
    assertThat(waits(ada, "raised")).isEmpty();
    assertThat(APP.group("Olga Other").client(0).get("/today").ok().get("raised")).isEmpty();
  }

  @DisplayName("Who is mentioned finds it until it is answered, settled, looked at or taken back")
  @Test
  void mentioned() {
    String path = "/publications/" + found.get(0) + "/remarks";
    List<String> remarks =
        List.of(say(path, "first"), say(path, "second"), say(path, "third"), say(path, "fourth"));
    assertThat(waits(ada, "mentions").findValuesAsString("text")).hasSize(4);
    assertThat(waits(gus, "mentions")).hasSize(4);
    assertThat(waits(ben, "mentions")).isEmpty();
    ada.post(path, Map.of("text", "Yes", "answers", remarks.get(0))).ok();
    ben.write(
            "PUT",
            "/remarks/" + remarks.get(1) + "/settled",
            Map.of("settled", true),
            UUID.randomUUID())
        .ok();
    look(ada, remarks.get(2), true, 200);
    assertThat(waits(ada, "mentions").findValuesAsString("remark")).containsExactly(remarks.get(3));
    assertThat(waits(gus, "mentions")).as("settled for all").hasSize(3);
    look(gus, remarks.get(0), true, 200);
    look(ben, remarks.get(0), true, 404);
    look(APP.group("Olga Other").client(0), remarks.get(0), true, 404);
    look(ada, remarks.get(2), false, 200);
    assertThat(waits(ada, "mentions")).hasSize(2);
    ben.write("DELETE", "/remarks/" + remarks.get(3), Map.of(), UUID.randomUUID()).ok();
    assertThat(waits(ada, "mentions").findValuesAsString("remark")).containsExactly(remarks.get(2));
  }

  private String say(String path, String what) {
    return ben.post(path, Map.of("text", "@Ada Early @Gus Guest " + what))
        .ok()
        .get("id")
        .asString();
  }

  private static void look(Client who, String remark, boolean lookedAt, int status) {
    String path = "/remarks/" + remark + "/looked-at";
    assertThat(who.write("PUT", path, Map.of("lookedAt", lookedAt), UUID.randomUUID()).status())
        .isEqualTo(status);
  }

  @DisplayName("Since the last visit: what others did, folded; a visit ends after an hour")
  @Test
  void since() {
    String folder = group.folder("Verges");
    assertThat(done(ben).get("lines").findValuesAsString("words")).contains("made {folder}");
    visit(ada);
    hoursPass(1);
    visit(ada);
    hoursPass(2);
    keep(ben, folder, 0);
    keep(ben, folder, 1);
    UUID passed = mark(ben, found.get(5), "pass", "");
    ben.post("/pile/items", Map.of("publications", found.subList(6, 7), "note", "")).ok();
    mark(ada, found.get(5), "pass", "");
    JsonNode before = done(ada);
    assertThat(before.get("lines")).as("the first visit goes on").hasSize(2);
    visit(ada);
    JsonNode lines = done(ada).get("lines");
    assertThat(lines.findValuesAsString("words"))
        .containsExactly("passed {publications}", "kept {publications} in {folder}");
    assertThat(lines.get(1).get("publications").asInt()).isEqualTo(2);
    assertThat(lines.get(1).get("who").asString()).isEqualTo("Ben Other");
    ben.post("/actions/" + passed + "/undo", Map.of()).ok();
    assertThat(done(ada).get("lines")).hasSize(1);
    hoursPass(3);
    visit(ada);
    assertThat(done(ada).get("lines")).as("another visit").isEmpty();
    assertThat(done(gus).get("lines")).isNotEmpty();
  }

  private void keep(Client who, String folder, int which) {
    who.post(
            "/folders/" + folder + "/items",
            Map.of("publications", found.subList(which, which + 1), "note", ""))
        .ok();
  }
}
