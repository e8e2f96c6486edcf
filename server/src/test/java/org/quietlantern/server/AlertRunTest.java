package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Runs of alerts: when they look, over what, and what they do with what they cannot read. */
class AlertRunTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();

  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private final TestGroup group = APP.group("Alma Alert", "Aksel Alert").guest("Anne Guest");
  private final Client alma = group.client(0);
  private final String folder = group.folder("Kept");

  private static String title(String word, int i) {
    return "Sandhoppers " + word + " at lit beach " + i;
  }

  private static void supply(String source, String word, int from, int to) {
    Supply supply = Supply.made(APP, source, 5);
    for (int i = from; i < to; i++) {
      supply.take(
          Supply.mods(
              source + i, title(word, i), "Beach" + i, Supply.doi("10.5555/" + source + "." + i)));
    }
  }

  private JsonNode alert(String id) {
    return alma.get("/alerts/" + id).ok();
  }

  private int findings(String id) {
    return alert(id).get("alert").get("findings").asInt();
  }

  @DisplayName("One record that breaks an alert is set aside by name; the rest goes on")
  @Test
  void oneBrokenRecord() {
    String id = group.alert(folder, "Broken", "title: broken title: sandhoppers", "at-once");
    supply("broken", "broken", 0, 3);
    String broken = title("broken", 1);
    String good =
        DATABASE.queryForObject(
            "select fields::text from publication where fields->>'title' = ?",
            String.class,
            broken);
    DATABASE.update(
        "update publication set fields = jsonb_build_object('title', ?::text, 'authors', 7)"
            + " where fields->>'title' = ?",
        broken,
        broken);
    APP.bean(Watching.class).run();
    assertThat(findings(id)).isEqualTo(2);
    JsonNode told = alert(id);
    assertThat(told.get("alert").get("setAside").asInt()).isEqualTo(1);
    assertThat(told.get("setAside").get(0).get("title").asString()).isEqualTo(broken);
    assertThat(told.get("alert").hasNonNull("failed")).as("the run itself went well").isFalse();

    assertThat(alma.get("/set-aside").ok().get("setAside").size()).as("for stewards").isZero();
    APP.makeSteward(group.member(0));
    JsonNode all = alma.get("/set-aside").ok();
    assertThat(all.get("setAside").findValuesAsString("title")).contains(broken);

    // The record changes, and is looked at again.
    DATABASE.update(
        "update publication set fields = ?::jsonb where fields->>'title' = ?", good, broken);
    DATABASE.update(
        "insert into publication_change (publication, kinds, at) select id, array['fields'], now()"
            + " from publication where fields->>'title' = ?",
        broken);
    APP.workOff();
    assertThat(findings(id)).isEqualTo(3);
    assertThat(alert(id).get("alert").get("setAside").asInt()).isZero();
  }

  @DisplayName("What was set aside is tried again when records are read better")
  @Test
  void triedAgainWithABetterReader() {
    String id = group.alert(folder, "Better", "title: better title: sandhoppers", "at-once");
    supply("better", "better", 0, 1);
    String good =
        DATABASE.queryForObject(
            "select fields::text from publication where fields->>'title' = ?",
            String.class,
            title("better", 0));
    DATABASE.update(
        "update publication set fields = jsonb_build_object('title', 'x', 'authors', 7)"
            + " where fields->>'title' = ?",
        title("better", 0));
    APP.bean(Watching.class).run();
    assertThat(findings(id)).isZero();
    DATABASE.update("update publication set fields = ?::jsonb where fields->>'title' = 'x'", good);
    DATABASE.update("update set_aside set edition = edition - 1 where resolved is null");
    supply("better", "other", 5, 6);
    APP.bean(Watching.class).run();
    assertThat(findings(id)).isEqualTo(1);
  }

  @DisplayName("N5: alerts look when a harvest has ended, not in its middle")
  @Test
  void notInTheMiddle() {
    String id = group.alert(folder, "Middle", "title: middle title: sandhoppers", "at-once");
    supply("middle", "middle", 0, 0);
    DATABASE.update(
        "insert into harvest (source, state, started, after_no) select id, 'running', now(),"
            + " (select coalesce(max(no), 0) from publication_change) from source where key = 'middle'");
    supply("middle", "middle", 0, 2);
    APP.bean(Watching.class).run();
    assertThat(findings(id)).as("while it runs").isZero();
    supply("middle", "middle", 2, 4);
    DATABASE.update("update harvest set state = 'failed' where state = 'running'");
    APP.bean(Watching.class).run();
    assertThat(findings(id)).isEqualTo(4);
    JsonNode rounds = alert(id).get("rounds");
    assertThat(rounds.size()).as("one harvest closes one round").isEqualTo(1);
    assertThat(rounds.get(0).get("arrivals").asInt()).isEqualTo(4);
    String round = rounds.get(0).get("id").asString();
    assertThat(alma.get("/rounds/" + round).ok().get("arrivals").findValuesAsString("newClass"))
        .as("N2: not seen by the run before, on whichever page they came")
        .containsOnly("published");
    DATABASE.update(
        "delete from harvest where source in (select id from source where key = 'middle')");
  }

  @DisplayName("N2: what was here and only now matches says so, and is told once")
  @Test
  void nowMatching() {
    String id = group.alert(folder, "Changing", "title: altered title: sandhoppers", "at-once");
    Supply supply = Supply.made(APP, "changing", 5);
    String doi = Supply.doi("10.5555/changing.1");
    supply.take(Supply.mods("changing1", "Sandhoppers of a lit shore", "Beach", doi));
    APP.bean(Watching.class).run();
    assertThat(findings(id)).isZero();
    supply.take(Supply.mods("changing1", "Sandhoppers of an altered shore", "Beach", doi));
    APP.bean(Watching.class).run();
    supply.take(Supply.mods("changing1", "Sandhoppers of an altered beach", "Beach", doi));
    APP.bean(Watching.class).run();
    assertThat(findings(id)).isEqualTo(1);
    String round = alert(id).get("rounds").get(0).get("id").asString();
    assertThat(alma.get("/rounds/" + round).ok().get("arrivals").findValuesAsString("newClass"))
        .containsExactly("now matching");
  }

  @DisplayName("N6: checked, nothing is recorded with the sources that were asked and answered")
  @Test
  void checkedNothing() {
    String id = group.alert(folder, "Nothing", "title: nothingatall", "at-once");
    Supply.made(APP, "down", 9);
    APP.bean(Harvests.class).harvestAll();
    APP.bean(Watching.class).run();
    JsonNode run = alert(id).get("runs").get(0);
    assertThat(run.get("found").asInt()).isZero();
    assertThat(run.get("sources").valueStream().map(JsonNode::asString))
        .contains("The Night Index")
        .doesNotContain("Source down");
    int runs = alert(id).get("runs").size();
    APP.bean(Watching.class).run();
    assertThat(alert(id).get("runs").size()).as("nothing ended since").isEqualTo(runs);
  }

  @DisplayName("N6: a round names the sources that were harvested while it gathered")
  @Test
  void sourcesOfARound() {
    String id = group.alert(folder, "Round", "title: nothingatall", "daily");
    Supply.made(APP, "mute", 9);
    APP.pass(2);
    assertThat(alert(id).get("rounds").size()).isPositive();
    assertThat(
            DATABASE.queryForList(
                "select distinct s.key from round_source c join round r on r.id = c.round"
                    + " join alert a on a.id = r.alert join source s on s.id = c.source"
                    + " where a.pid = ?",
                String.class,
                id))
        .containsExactly("night-index");
  }

  @DisplayName("N9: what may not be watched is found however deep it is held, and named")
  @Test
  void heldDeep() {
    Map<String, Object> came =
        Map.of("id", "c", "kind", "limit", "property", "came", "from", "2026-11-01");
    Map<String, Object> words = Map.of("id", "w", "kind", "words", "text", "moth");
    String q = settle(List.of(words, came));
    String deep = settle(List.of(held("h", "q:" + q)));
    Map<String, Object> strategy =
        Map.of("version", 2, "lines", List.of(words, held("deep", "q:" + deep)));
    String search =
        alma.post(
                "/folders/" + folder + "/searches",
                Map.of("name", "Deep", "asked", Map.of("strategy", strategy)))
            .ok()
            .get("id")
            .asString();
    Client.Response refused = alma.post("/alerts", Map.of("search", search, "rhythm", "daily"));
    assertThat(refused.type()).isEqualTo("not-watchable");
    assertThat(refused.json().get("line").asString()).isEqualTo("deep");
  }

  private static Map<String, Object> held(String id, String name) {
    return Map.of("id", id, "kind", "held", "strategies", List.of(name));
  }

  private String settle(List<Map<String, Object>> lines) {
    Map<String, Object> strategy = Map.of("version", 2, "lines", lines);
    return alma.post("/steps", Map.of("asked", Map.of("strategy", strategy), "order", "relevance"))
        .ok()
        .get("q")
        .asString();
  }

  @DisplayName("An alert pauses, goes on with the gap or without, changes and ends; each undoable")
  @Test
  void changes() {
    String id = group.alert(folder, "Changes", "title: changes title: sandhoppers", "at-once");
    alma.post("/alerts/" + id + "/pause", Map.of()).ok();
    supply("changes", "changes", 0, 2);
    APP.bean(Watching.class).run();
    assertThat(findings(id)).isZero();
    alma.post("/alerts/" + id + "/resume", Map.of("gap", true)).ok();
    APP.bean(Watching.class).run();
    assertThat(findings(id)).as("the gap is made up for").isEqualTo(2);

    UUID pause = UUID.randomUUID();
    alma.post("/alerts/" + id + "/pause", Map.of(), pause).ok();
    undo(alma, pause).ok();
    assertThat(alert(id).get("alert").get("state").asString()).isEqualTo("watching");

    alma.post("/alerts/" + id + "/pause", Map.of()).ok();
    supply("changes", "changes", 2, 4);
    UUID without = UUID.randomUUID();
    alma.post("/alerts/" + id + "/resume", Map.of("gap", false), without).ok();
    APP.bean(Watching.class).run();
    assertThat(findings(id)).as("the gap is passed over").isEqualTo(2);
    Supply.made(APP, "corrected", 4)
        .take(Supply.mods("again", title("changes", 2), "Beach2", Supply.doi("10.5555/changes.2")));
    APP.bean(Watching.class).run();
    assertThat(findings(id)).as("nor does it come when it changes").isEqualTo(2);
    assertThat(undo(alma, without).type()).isEqualTo("cannot-be-undone");
    assertThat(alma.post("/alerts/" + id + "/resume", Map.of("gap", true)).type())
        .isEqualTo("changed-since");

    String other = group.folder("Other");
    UUID change = UUID.randomUUID();
    Client.Response changed =
        alma.write(
            "PUT",
            "/alerts/" + id,
            Map.of("rhythm", "monthly:31", "hour", "08:00", "asked", 2, "folder", other),
            change);
    assertThat(changed.ok().get("rhythm").asString()).isEqualTo("monthly:31");
    assertThat(changed.ok().get("nextCloses").asString()).isNotEmpty();
    undo(alma, change).ok();
    assertThat(alert(id).get("alert").get("rhythm").asString()).isEqualTo("at-once");
    assertThat(alert(id).get("alert").get("folder").get("name").asString()).isEqualTo("Kept");

    Client.Response feed = alma.post("/feeds", Map.of("of", "alert:" + id));
    String address = feed.ok().get("address").asString().replace("http://lantern.test", "");
    assertThat(new Client(APP.address()).get(address).status()).isEqualTo(200);
    UUID end = UUID.randomUUID();
    assertThat(alma.write("DELETE", "/alerts/" + id, Map.of(), end).status()).isEqualTo(200);
    assertThat(new Client(APP.address()).get(address).body()).contains("has ended");
    assertThat(alma.get("/rounds").ok().get("rounds").size()).as("arrivals stay").isPositive();
    undo(alma, end).ok();
    assertThat(new Client(APP.address()).get(address).body()).doesNotContain("has ended");
    supply("changes", "changes", 4, 5);
    APP.bean(Watching.class).run();
    assertThat(findings(id)).as("it watches again").isEqualTo(3);
  }

  private static Client.Response undo(Client who, UUID command) {
    return who.post("/actions/" + command + "/undo", Map.of());
  }

  @DisplayName("N10: a saved search ends with its alert, and both come back")
  @Test
  void aSearchEnds() {
    String search = group.search(folder, "Ends", "moth").get("id").asString();
    String id =
        alma.post("/alerts", Map.of("search", search, "rhythm", "daily")).ok().get("id").asString();
    UUID end = UUID.randomUUID();
    JsonNode ended = alma.write("DELETE", "/searches/" + search, Map.of(), end).ok();
    assertThat(ended.get("alert").asString()).isEqualTo(id);
    assertThat(alma.get("/searches/" + search).status()).isEqualTo(404);
    assertThat(alert(id).get("alert").get("state").asString()).isEqualTo("ended");
    group.search(folder, "Ends", "bat");
    assertThat(undo(alma, end).type()).as("its name is taken").isEqualTo("search-there");
    String second = alma.get("/folders/" + folder + "/searches").ok().get(0).get("id").asString();
    alma.write("DELETE", "/searches/" + second, Map.of(), UUID.randomUUID()).ok();
    undo(alma, end).ok();
    assertThat(alma.get("/searches/" + search).ok().get("alert").asString()).isEqualTo(id);
  }
}
