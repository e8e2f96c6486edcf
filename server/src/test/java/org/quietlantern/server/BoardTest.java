package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("The board: what it counts is what its cells lead to, what lists say and what is owed")
class BoardTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();

  private final TestGroup group = onMonday().guest("Gil Board");
  private final Client bea = group.client(0);
  private final Client bo = group.client(1);
  private final String folder = group.folder("Kept");

  private static TestGroup onMonday() {
    days(-1);
    return APP.group("Bea Board", "Bo Board");
  }

  private static void days(int days) {
    APP.setClock(TestApp.BEGINS.plus(Duration.ofDays(days)));
  }

  private void came(Supply supply, String word, int first, int many) {
    supply.take(
        IntStream.range(first, first + many)
            .mapToObj(
                n -> Supply.mods(word + n, "The %s of ford %d".formatted(word, n), "Ford", ""))
            .toList());
    APP.bean(Watching.class).run();
  }

  private static JsonNode board(Client who, String asked) {
    return who.get("/board" + asked).ok();
  }

  private static void say(Client who, String mark, JsonNode round, int... which) {
    for (int n : which) {
      String work = round.get("arrivals").get(n).get("id").asString();
      who.post("/marks", Map.of("publications", List.of(work), "mark", mark, "reason", "")).ok();
    }
  }

  private JsonNode round(String id, String asked) {
    return bea.get("/rounds/" + id + asked).ok();
  }

  /** Each cell leads to as many arrivals as it says. */
  private void cellsLeadToWhatTheyCount(JsonNode row) {
    String id = row.get("round").asString();
    int arrivals = row.get("arrivals").asInt();
    assertThat(round(id, "?left=uncovered").get("arrivals").size())
        .isEqualTo(arrivals - row.get("covered").asInt());
    assertThat(round(id, "?left=nobody").get("arrivals").size())
        .isEqualTo(row.get("nobody").asInt());
    for (int member = 0; member < 2; member++) {
      String pid = group.member(member).pid();
      assertThat(round(id, "?left=" + pid).get("arrivals").size())
          .isEqualTo(row.at("/shares/" + pid).asInt() - row.at("/reviewed/" + pid).asInt());
    }
  }

  @DisplayName("By round, by week and by alert it adds up to what is owed, with what waits longest")
  @Test
  void addsUp() {
    days(0);
    String first = group.alert(folder, "Sluices", "title: sluice", "at-once");
    group.alert(folder, "Weirs", "title: weir", "at-once");
    Supply supply = Supply.made(APP, "fords", 5);
    came(supply, "sluice", 0, 4);
    came(supply, "weir", 0, 3);
    days(8);
    came(supply, "sluice", 100, 5);
    JsonNode rows = board(bea, "").get("rows");
    assertThat(rows).hasSize(3);
    assertThat(rows.get(2).get("arrivals").asInt()).as("the last that came is last").isEqualTo(5);
    JsonNode oldest = round(rows.get(0).get("round").asString(), "");
    say(bea, "pass", oldest, 0, 1);
    say(bo, "hold", oldest, 2);
    rows = board(bea, "").get("rows");
    rows.forEach(this::cellsLeadToWhatTheyCount);
    assertThat(rows.get(0).get("nobody").asInt()).isEqualTo(2);
    assertThat(Instant.parse(rows.get(0).get("waitingSince").asString()))
        .isEqualTo(Instant.parse(oldest.at("/arrivals/3/came").asString()));
    say(bo, "seen", oldest, 0, 1, 2, 3);
    assertThat(board(bea, "").at("/rows/0").has("waitingSince")).as("all are covered").isFalse();

    int owed = bea.get("/rounds").ok().get("owed").asInt();
    for (String by : List.of("round", "week", "alert")) {
      JsonNode all = board(bea, "?by=" + by).get("rows");
      assertThat(left(all, group.member(0).pid())).as(by).isEqualTo(owed);
      assertThat(all.valueStream().mapToInt(row -> row.get("nobody").asInt()).sum())
          .isEqualTo(bea.get("/arrivals").ok().get("nobody").asInt());
      assertThat(all.valueStream().mapToInt(row -> row.get("rounds").asInt()).sum()).isEqualTo(3);
    }
    JsonNode weeks = board(bea, "?by=week").get("rows");
    assertThat(weeks).hasSize(2);
    assertThat(weeks.get(0).get("from").asString()).isEqualTo("2026-11-16");
    assertThat(weeks.get(0).get("to").asString()).isEqualTo("2026-11-22");
    JsonNode one = board(bea, "?alert=" + first);
    assertThat(one.get("only").asString()).isEqualTo("Sluices");
    assertThat(one.get("rows")).hasSize(2);
    assertThat(board(bea, "?from=2026-11-20&to=2026-11-24").get("rows").isEmpty()).isTrue();
    assertThat(board(bea, "?from=2026-11-17&to=2026-11-17").get("rows")).hasSize(2);
    assertThat(board(group.client(2), "")).as("guests read it").isEqualTo(board(bea, ""));
    table();
  }

  private static int left(JsonNode rows, String member) {
    return rows.valueStream()
        .mapToInt(
            row -> row.at("/shares/" + member).asInt() - row.at("/reviewed/" + member).asInt())
        .sum();
  }

  private void table() {
    List<String> lines = bea.get("/board.csv").body().lines().toList();
    assertThat(lines.get(0))
        .endsWith(
            "alert,from,to,rounds,arrivals,\"Bea Board, reviewed\",\"Bea Board, of\","
                + "\"Bo Board, reviewed\",\"Bo Board, of\",covered,seen by nobody,"
                + "oldest waiting since");
    assertThat(lines).hasSize(4);
    assertThat(lines.get(1)).matches("Sluices,2026-11-17,2026-11-17,1,4,2,4,4,4,4,0,");
  }

  @DisplayName("Who was away, came or went is told, and not counted")
  @Test
  void notes() {
    days(40);
    TestGroup others = APP.group("Nils Note", "Nora Note", "Nele Note");
    Client nils = others.client(0);
    days(50);
    nils.post(
            "/members/" + others.member(0).pid() + "/absences",
            Map.of("from", "2027-01-02", "to", "2027-01-04"))
        .ok();
    nils.write("DELETE", "/members/" + others.member(2).pid(), Map.of(), UUID.randomUUID()).ok();
    Set<String> told = new HashSet<>();
    board(nils, "?from=2026-12-20&to=2027-01-10")
        .get("notes")
        .forEach(note -> told.add(note.get("what").asString() + " " + note.get("from").asString()));
    assertThat(told)
        .containsExactlyInAnyOrder("joined 2026-12-27", "left 2027-01-06", "away 2027-01-02");
    assertThat(board(nils, "?from=2027-01-05&to=2027-01-10").get("notes")).hasSize(1);
  }

  @DisplayName("Days that are none, more than a year, what it does not go by: said")
  @Test
  void refused() {
    for (String asked :
        List.of("?from=2026-11-20&to=2026-11-19", "?from=2020-01-01&to=2026-11-19", "?by=moon")) {
      assertThat(bea.get("/board" + asked).status()).as(asked).isEqualTo(422);
    }
    assertThat(bea.get("/board?from=yesterday").status()).isEqualTo(400);
    assertThat(bea.get("/rounds/none?left=nobody").status()).isEqualTo(404);
  }
}
