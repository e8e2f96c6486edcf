package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
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

/** Saved searches that change, are checked, and are run again. */
class RevisingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Rune Revise", "Runa Revise").guest("Roy Guest");
  private final Client rune = group.client(0);
  private final Client runa = group.client(1);
  private final String folder = group.folder("Searches");
  private final JsonNode saved = group.search(folder, "Dimming", "dimm*");
  private final String at = "/searches/" + saved.get("id").asString();

  private Client.Response save(Client who, int revision, String text, String comment) {
    return save(who, revision, text, comment, UUID.randomUUID());
  }

  private Client.Response save(Client who, int revision, String text, String comment, UUID as) {
    return who.post(
        at + "/revisions",
        Map.of("asked", Map.of("text", text), "revision", revision, "comment", comment),
        as);
  }

  private JsonNode history() {
    return rune.get(at + "/history").ok();
  }

  private int count(String text) {
    return rune.post("/search/count", Map.of("text", text)).ok().get("count").asInt();
  }

  @DisplayName("N7, M1: what a change gains and loses is shown with titles before it is saved")
  @Test
  void gainedAndLost() {
    JsonNode change = rune.post(at + "/change", Map.of("text", "dimm* moth* or curfew*")).ok();
    int gained = count("dimm* moth* or curfew* not dimm*");
    assertThat(gained).isPositive();
    assertThat(change.get("gained").get("count").asInt()).isEqualTo(gained);
    assertThat(change.get("gained").get("titles").size()).isEqualTo(Math.min(8, gained));
    assertThat(change.get("gained").get("titles").get(0).get("title").asString()).isNotEmpty();
    assertThat(change.get("now").asInt()).isEqualTo(count("dimm*"));
    assertThat(change.get("next").asInt())
        .isEqualTo(change.get("now").asInt() + gained - change.get("lost").get("count").asInt());
    JsonNode made = save(rune, 1, "dimm* moth* or curfew*", " curfews are the same idea ").ok();
    assertThat(made.get("n").asInt()).isEqualTo(2);
    assertThat(made.get("gained").asInt()).isEqualTo(gained);
    JsonNode newest = history().get("revisions").get(0);
    assertThat(newest.get("comment").asString()).isEqualTo("curfews are the same idea");
    assertThat(newest.get("by").asString()).isEqualTo("Rune Revise");
    assertThat(newest.get("mine").asBoolean()).isTrue();
    assertThat(newest.get("lost")).isEqualTo(change.get("lost").get("count"));
    assertThat(history().get("revisions").findValuesAsString("n")).containsExactly("2", "1");
    assertThat(history().get("now")).isEqualTo(change.get("next"));
  }

  @DisplayName("A page that shows an older revision saves nothing over a newer one")
  @Test
  void stalePage() {
    save(runa, 1, "dimm* verges", "").ok();
    Client.Response late = save(rune, 1, "dimm* moths", "");
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.body()).contains("Runa Revise saved revision 2 meanwhile");
    assertThat(save(rune, 2, "dimm* verges", "").type()).isEqualTo("nothing-changed");
    assertThat(save(rune, 2, "dimm* (", "").type()).isEqualTo("search-problem");
    assertThat(history().get("revisions").size()).isEqualTo(2);
  }

  @Test
  void aRevisionIsSavedOnceAndCanBeTakenBack() {
    UUID command = UUID.randomUUID();
    save(rune, 1, "dimm* verges", "", command).ok();
    save(rune, 1, "dimm* verges", "", command).ok();
    assertThat(history().get("revisions").size()).isEqualTo(2);
    rune.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(history().get("revisions").size()).isEqualTo(1);
  }

  @DisplayName("A documented search asks why it is changed, and keeps its runs")
  @Test
  void documented() {
    rune.post(at + "/runs", Map.of()).ok();
    assertThat(history().get("runs").size()).as("runs of others are not kept").isZero();
    UUID command = UUID.randomUUID();
    rune.write("PUT", at + "/documented", Map.of("documented", true), command);
    assertThat(history().get("documentedBy").asString()).isEqualTo("Rune Revise");
    assertThat(save(runa, 1, "dimm* verges", "  ").type()).isEqualTo("reason-needed");
    save(runa, 1, "dimm* verges", "only verges are ours").ok();
    JsonNode step = rune.post(at + "/runs", Map.of()).ok();
    JsonNode run = history().get("runs").get(0);
    assertThat(run.get("n").asInt()).isEqualTo(2);
    assertThat(run.get("count")).isEqualTo(step.get("count"));
    assertThat(rune.get("/trail").ok().get("steps").get(0).get("q")).isEqualTo(step.get("q"));
    group.client(2).post(at + "/runs", Map.of()).ok();
    assertThat(history().get("runs").size()).as("a guest writes nothing").isEqualTo(1);
    assertThat(rune.post("/actions/" + command + "/undo", Map.of()).status())
        .as("changed since")
        .isEqualTo(409);
  }

  @DisplayName(
      "A revision is given to a colleague, remarked on by line, and checked by somebody else")
  @Test
  void checking() {
    String revision = at + "/revisions/1";
    String line = saved.get("strategy").get("lines").get(0).get("id").asString();
    assertThat(put(rune, revision + "/checked").type()).isEqualTo("own-revision");
    assertThat(give(rune, 0).type()).isEqualTo("own-revision");
    assertThat(give(rune, 2).type()).isEqualTo("guest");
    assertThat(give(rune, 1).status()).isEqualTo(200);
    JsonNode waiting = runa.get("/searches/to-check").ok();
    assertThat(waiting.get(0).get("name").asString()).isEqualTo("Dimming");
    assertThat(waiting.get(0).get("by").asString()).isEqualTo("Rune Revise");
    runa.post(revision + "/remarks", Map.of("line", line, "text", "what of part-night?")).ok();
    assertThat(runa.post(revision + "/remarks", Map.of("line", "zz", "text", "x")).status())
        .isEqualTo(404);
    assertThat(runa.post(revision + "/remarks", Map.of("line", line, "text", " ")).type())
        .isEqualTo("remark");
    UUID command = UUID.randomUUID();
    assertThat(runa.write("PUT", revision + "/checked", Map.of(), command).status()).isEqualTo(200);
    assertThat(runa.get("/searches/to-check").ok().size()).isZero();
    JsonNode shown = history().get("revisions").get(0);
    assertThat(shown.get("checks").get(0).get("checker").asString()).isEqualTo("Runa Revise");
    assertThat(shown.get("checks").get(0).hasNonNull("checked")).isTrue();
    assertThat(shown.get("lines").get(0).get("remarks").findValuesAsString("text"))
        .containsExactly("what of part-night?");
    String name = "s:" + saved.get("id").asString() + ":1";
    assertThat(rune.get("/report/text?of=" + name).body()).contains("Checked by Runa Revise on ");
    runa.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(runa.get("/searches/to-check").ok().size()).as("still asked").isEqualTo(1);
  }

  @Test
  void whoCheckedUnaskedStaysThatWhenBeingAskedIsTakenBack() {
    assertThat(put(runa, at + "/revisions/1/checked").status()).isEqualTo(200);
    UUID command = UUID.randomUUID();
    rune.post(at + "/revisions/1/checks", Map.of("member", group.member(1).pid()), command);
    assertThat(check().hasNonNull("askedBy")).isTrue();
    assertThat(check().hasNonNull("checked")).isTrue();
    rune.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(check().hasNonNull("askedBy")).isFalse();
    assertThat(check().hasNonNull("checked")).isTrue();
  }

  private JsonNode check() {
    return history().get("revisions").get(0).get("checks").get(0);
  }

  private Client.Response put(Client who, String path) {
    return who.write("PUT", path, Map.of(), UUID.randomUUID());
  }

  private Client.Response give(Client who, int colleague) {
    return who.post(at + "/revisions/1/checks", Map.of("member", group.member(colleague).pid()));
  }

  @DisplayName("A line that holds an older revision is told of the newer one")
  @Test
  void newerRevision() {
    String id = saved.get("id").asString();
    assertThat(rune.get("/search/held?name=s:" + id + ":1").ok().has("newer")).isFalse();
    save(rune, 1, "dimm* verges", "").ok();
    assertThat(rune.get("/search/held?name=s:" + id + ":1").ok().get("newer").asString())
        .isEqualTo("s:" + id + ":2");
  }

  @DisplayName(
      "N2, N7: an alert follows; what was here already goes into memory, or is shown if asked")
  @Test
  void alertFollows() {
    String alert = watch("daily");
    save(rune, 1, TestGroup.EVERYTHING, "").ok();
    APP.workOff();
    assertThat(rounds(alert)).as("nothing was announced").isZero();
    APP.passUntilSomethingCame();
    int came = rounds(alert);
    assertThat(came).as("found by the new revision").isPositive();
    assertThat(save(rune, 2, "kind: article", "").status()).isEqualTo(200);
    assertThat(rune.get("/folders/" + folder + "/searches").ok().get(0).get("alert").asString())
        .isEqualTo(alert);
  }

  @DisplayName("N7: what came since the last run stays apart from what an edit gained")
  @Test
  void whatCameMeanwhile() {
    String alert = watch("daily");
    int before = count(TestGroup.EVERYTHING);
    APP.harvestUntilSomethingCame();
    int came = count(TestGroup.EVERYTHING) - before;
    save(rune, 1, TestGroup.EVERYTHING, "").ok();
    APP.workOff();
    assertThat(rounds(alert)).isEqualTo(came);
  }

  @DisplayName("An alert goes back with the revision that is undone, and finds by it what comes")
  @Test
  void undoneWithItsAlert() {
    String alert = watch("daily");
    UUID command = UUID.randomUUID();
    save(rune, 1, "xylophones", "", command).ok();
    rune.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(history().get("revisions").size()).isEqualTo(1);
    save(rune, 1, TestGroup.EVERYTHING, "").ok();
    UUID later = UUID.randomUUID();
    save(rune, 2, "xylophones", "", later).ok();
    rune.post("/actions/" + later + "/undo", Map.of()).ok();
    int before = count(TestGroup.EVERYTHING);
    APP.harvestUntilSomethingCame();
    APP.workOff();
    assertThat(rounds(alert)).isEqualTo(count(TestGroup.EVERYTHING) - before).isPositive();
  }

  @Test
  void whatAnEditGainedIsShownByChoice() {
    watch("daily");
    int gained = count("curfew* not dimm*");
    Map<String, Object> body = new HashMap<>();
    body.put("asked", Map.of("text", "dimm* or curfew*"));
    body.put("revision", 1);
    body.put("comment", "");
    body.put("announce", true);
    rune.post(at + "/revisions", body).ok();
    String round = rune.get("/rounds").ok().get("rounds").get(0).get("id").asString();
    JsonNode arrivals = rune.get("/rounds/" + round).ok().get("arrivals");
    assertThat(arrivals.size()).isEqualTo(gained);
    assertThat(arrivals.findValuesAsString("newClass")).containsOnly("edited");
  }

  @DisplayName("N9: a watched search does not become one that cannot be watched")
  @Test
  void personalLimitsAreRefused() {
    watch("daily");
    Map<String, Object> words = Map.of("id", "a", "kind", "words", "text", "dimm*");
    Map<String, Object> came =
        Map.of("id", "b", "kind", "limit", "property", "came", "from", "2026-11-01");
    Map<String, Object> strategy = Map.of("version", 2, "lines", List.of(words, came));
    Client.Response answer =
        rune.post(
            at + "/revisions",
            Map.of("asked", Map.of("strategy", strategy), "revision", 1, "comment", ""));
    assertThat(answer.type()).isEqualTo("not-watchable");
    assertThat(history().get("revisions").size()).isEqualTo(1);
  }

  private String watch(String rhythm) {
    Map<String, Object> body = Map.of("search", saved.get("id").asString(), "rhythm", rhythm);
    return rune.post("/alerts", body).ok().get("id").asString();
  }

  private int rounds(String alert) {
    return rune.get("/alerts/" + alert).ok().get("alert").get("findings").asInt();
  }
}
