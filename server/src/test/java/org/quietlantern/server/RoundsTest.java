package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.core.watch.NewClass;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.job.NightlyChecks;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** Nothing that waits falls out of sight, however long ago it came and however much there is. */
class RoundsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();

  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private static final int OLD_ROUNDS = 130;
  private final TestGroup group = APP.group("Ragna Round", "Rolf Round").guest("Rut Guest");
  private final Client ragna = group.client(0);
  private final String folder = group.folder("Kept");

  private static List<SourceRecord> records(String prefix, int many) {
    return IntStream.range(0, many)
        .mapToObj(
            i ->
                Supply.mods(
                    prefix + i,
                    "Glowworms " + prefix + " counted at pond " + i,
                    "Pond" + i,
                    Supply.doi("10.5555/" + prefix + "." + i)))
        .toList();
  }

  @DisplayName("N5: a run that finds more than a thousand announces every one of them")
  @Test
  void manyAtOnce() {
    group.alert(folder, "Glowworms", "title: glowworms title: many", "daily");
    Supply.made(APP, "many", 5).take(records("many", 1_050));
    APP.workOff();
    JsonNode rounds = ragna.get("/rounds").ok();
    assertThat(rounds.get("owed").asInt()).isEqualTo(1_050);
    String round = rounds.get("rounds").get(0).get("id").asString();
    List<String> arrived = ids(ragna.get("/rounds/" + round).ok());
    assertThat(ragna.exported("/rounds/" + round, "ris", "link").lines())
        .filteredOn(line -> line.startsWith("UR  - "))
        .extracting(line -> line.substring(line.length() - 10))
        .containsExactlyElementsOf(arrived);
    Map<String, Object> table = Map.of("form", "csv", "columns", List.of("title"));
    assertThat(ragna.post("/rounds/" + round + "/export/table", table).body().lines())
        .hasSize(1_051);
    Map<String, Object> document = Map.of("form", "docx", "columns", List.of("title"));
    assertThat(ragna.post("/rounds/" + round + "/export/table", document).body())
        .contains("1,050 publications are more than the 1,000");
    assertThat(arrived).hasSize(1_050).doesNotHaveDuplicates();
    List<String> all = new ArrayList<>(arrived);
    for (int start = 0; start < all.size(); start += 500) {
      mark(ragna, all.subList(start, Math.min(start + 500, all.size())), "seen", null);
    }
    assertThat(ragna.get("/rounds").ok().get("owed").asInt()).isZero();
    assertThat(ragna.get("/rounds").ok().has("waiting")).isFalse();
    keepAll(all);
  }

  /** C5: a folder of more than a thousand is shown by all its ids and rows and exported whole. */
  private void keepAll(List<String> all) {
    for (int start = 0; start < all.size(); start += 500) {
      List<String> page = all.subList(start, Math.min(start + 500, all.size()));
      ragna.post("/folders/" + folder + "/items", Map.of("publications", page, "note", "")).ok();
    }
    JsonNode view = ragna.get("/folders/" + folder + "?folder-order=title").ok();
    List<String> ids = view.get("ids").valueStream().map(JsonNode::asString).toList();
    assertThat(ids).containsExactlyInAnyOrderElementsOf(all);
    List<String> last = ids.subList(ids.size() - 200, ids.size());
    JsonNode rows = ragna.post("/folders/" + folder + "/rows", Map.of("ids", last)).ok();
    assertThat(rows.valueStream().map(row -> row.get("publication").get("id").asString()))
        .containsExactlyElementsOf(last);
    assertThat(ragna.get("/folders").ok().get(0).get("items").asInt()).isEqualTo(all.size());
    assertThat(ragna.exported("/folders/" + folder, "ris").lines())
        .filteredOn(line -> line.startsWith("TY  - "))
        .hasSize(all.size());
  }

  private static List<String> ids(JsonNode round) {
    return round
        .get("arrivals")
        .valueStream()
        .map(arrival -> arrival.get("publication").get("id").asString())
        .toList();
  }

  private static UUID mark(Client who, List<String> ids, String mark, String round) {
    UUID command = UUID.randomUUID();
    Map<String, Object> body =
        round == null
            ? Map.of("publications", ids, "mark", mark, "reason", "")
            : Map.of("publications", ids, "mark", mark, "reason", "", "round", round);
    who.post("/marks", body, command).ok();
    return command;
  }

  @DisplayName("Owed count, board and pages agree over all rounds, also the oldest")
  @Test
  void oldRoundsStay() {
    String search = group.search(folder, "Old", "title: glowworms title: old").get("id").asString();
    String alert =
        ragna
            .post("/alerts", Map.of("search", search, "rhythm", "daily"))
            .ok()
            .get("id")
            .asString();
    Supply.made(APP, "old", 6).take(records("old", OLD_ROUNDS));
    oneARound(alert, search);

    JsonNode first = ragna.get("/rounds").ok();
    List<String> shown = new ArrayList<>();
    JsonNode page = first;
    while (true) {
      page.get("rounds").forEach(round -> shown.add(round.get("id").asString()));
      if (page.get("older").asInt() == 0) {
        break;
      }
      page = ragna.get("/rounds?before=" + shown.get(shown.size() - 1)).ok();
    }
    assertThat(shown).hasSize(OLD_ROUNDS).doesNotHaveDuplicates();
    assertThat(first.get("owed").asInt()).isEqualTo(OLD_ROUNDS);
    assertThat(first.get("waiting").asString()).isEqualTo(shown.get(0));

    for (String round : shown.subList(0, OLD_ROUNDS - 1)) {
      mark(ragna, ids(ragna.get("/rounds/" + round).ok()), "pass", round);
    }
    JsonNode left = ragna.get("/rounds").ok();
    assertThat(left.get("owed").asInt()).isEqualTo(1);
    assertThat(left.get("waiting").asString()).isEqualTo(shown.get(OLD_ROUNDS - 1));
    assertThat(group.client(1).get("/rounds").ok().get("owed").asInt()).isEqualTo(OLD_ROUNDS);
    JsonNode guest = group.client(2).get("/rounds").ok();
    assertThat(guest.get("owed").asInt()).as("a guest owes nothing").isZero();
    assertThat(guest.has("waiting")).isFalse();
  }

  /** Closes a round for each publication, a day apart. */
  private void oneARound(String alert, String search) {
    int id = DATABASE.queryForObject("select id from alert where pid = ?", Integer.class, alert);
    int revision =
        DATABASE.queryForObject("select revision from alert where pid = ?", Integer.class, alert);
    int grp = DATABASE.queryForObject("select grp from alert where pid = ?", Integer.class, alert);
    List<Integer> found =
        DATABASE.queryForList(
            "select id from publication where fields->>'title' like 'Glowworms old %' order by id",
            Integer.class);
    Rounds rounds = APP.bean(Rounds.class);
    Instant day = APP.bean(Calendar.class).now();
    APP.bean(TransactionTemplate.class)
        .executeWithoutResult(
            status -> {
              for (int i = 0; i < OLD_ROUNDS; i++) {
                int round = rounds.gathering(id).round();
                rounds.announce(
                    grp,
                    List.of(
                        new Rounds.FoundBy(
                            id,
                            revision,
                            List.of(
                                Rounds.Found.first(found.get(i), NewClass.PUBLISHED, List.of())))));
                rounds.count(List.of(id));
                rounds.close(round, day.plus(Duration.ofDays(i)));
                rounds.open(id, day.plus(Duration.ofDays(i)), day.plus(Duration.ofDays(i + 1)));
              }
            });
    assertThat(search).isNotEmpty();
  }

  @DisplayName("Several marked at once are one act; an undo takes back just that act")
  @Test
  void severalAreOneAct() {
    group.alert(folder, "Three", "title: glowworms title: three", "daily");
    Supply.made(APP, "three", 7).take(records("three", 3));
    APP.workOff();
    String round = ragna.get("/rounds").ok().get("rounds").get(0).get("id").asString();
    List<String> three = ids(ragna.get("/rounds/" + round).ok());
    UUID pass = mark(ragna, three, "pass", round);
    UUID raise = mark(ragna, three.subList(0, 1), "raise", round);
    assertThat(ragna.get("/rounds").ok().get("owed").asInt()).isZero();
    assertThat(undo(pass).type()).as("one of them was said anew").isEqualTo("changed-since");
    undo(raise).ok();
    undo(pass).ok();
    assertThat(ragna.get("/rounds").ok().get("owed").asInt()).isEqualTo(3);
    assertThat(
            DATABASE.queryForObject(
                "select count(*) from lamp l join membership m on m.id = l.membership where m.pid = ?",
                Integer.class,
                group.member(0).pid()))
        .isZero();
  }

  private Client.Response undo(UUID command) {
    return ragna.post("/actions/" + command + "/undo", Map.of());
  }

  @DisplayName("N8: covered is what as many members reviewed as were asked for; guests never count")
  @Test
  void asked() {
    String alert = group.alert(folder, "Asked", "title: glowworms title: asked", "daily");
    ragna
        .write(
            "PUT",
            "/alerts/" + alert,
            Map.of("rhythm", "daily", "hour", "08:00", "asked", 3, "folder", folder),
            UUID.randomUUID())
        .ok();
    Supply.made(APP, "asked", 9).take(records("asked", 2));
    APP.workOff();
    String round = ragna.get("/rounds").ok().get("rounds").get(0).get("id").asString();
    List<String> both = ids(ragna.get("/rounds/" + round).ok());
    mark(ragna, both, "seen", round);
    assertThat(covered()).as("by one of two").isZero();
    mark(group.client(1), both.subList(0, 1), "seen", round);
    assertThat(covered()).as("by all there are").isEqualTo(1);
  }

  private int covered() {
    return ragna.get("/rounds").ok().get("rounds").get(0).get("covered").asInt();
  }

  @DisplayName("Every night lamps and counts are held against the events, and put right")
  @Test
  void nightly() {
    group.alert(folder, "Night", "title: glowworms title: night", "daily");
    group.alert(folder, "Nothing yet", "title: unheardof", "daily");
    Supply.made(APP, "night", 8).take(records("night", 4));
    APP.workOff();
    String round = ragna.get("/rounds").ok().get("rounds").get(0).get("id").asString();
    List<String> four = ids(ragna.get("/rounds/" + round).ok());
    mark(ragna, four.subList(0, 2), "pass", round);
    NightlyChecks checks = APP.bean(NightlyChecks.class);
    tomorrow();
    APP.workOff();
    checks.run();
    assertThat(checks.outcomes()).extracting(NightlyChecks.Outcome::differences).containsOnly(0);

    String before = ragna.get("/rounds/" + round).ok().toString();
    DATABASE.update(
        "delete from lamp where membership = (select id from membership where pid = ?)",
        group.member(0).pid());
    DATABASE.update("update round set arrivals = 1, nobody = 7 where pid = ?", round);
    checks.run();
    assertThat(ragna.get("/rounds/" + round).ok().toString()).as("once a day").isNotEqualTo(before);
    tomorrow();
    checks.run();
    assertThat(ragna.get("/rounds/" + round).ok().toString()).isEqualTo(before);
    assertThat(checks.outcomes())
        .extracting(NightlyChecks.Outcome::what, NightlyChecks.Outcome::differences)
        .contains(
            org.assertj.core.groups.Tuple.tuple("lamps", 2),
            org.assertj.core.groups.Tuple.tuple("counts of rounds", 1));
  }

  private static void tomorrow() {
    Calendar calendar = APP.bean(Calendar.class);
    APP.setClock(calendar.now().plus(Duration.ofDays(1)));
  }

  @DisplayName("O1: in a round the newest here stand first")
  @Test
  void newestFirst() {
    group.alert(folder, "Order", "title: glowworms title: order", "monthly:28");
    Supply supply = Supply.made(APP, "order", 9);
    supply.take(records("order", 1));
    APP.workOff();
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofHours(3)));
    supply.take(records("order", 2).subList(1, 2));
    APP.workOff();
    String round = ragna.get("/rounds").ok().get("rounds").get(0).get("id").asString();
    JsonNode arrivals = ragna.get("/rounds/" + round).ok().get("arrivals");
    assertThat(arrivals.get(0).get("publication").get("title").asString()).endsWith("pond 1");
  }
}
