package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.review.OpenPoints;
import org.quietlantern.server.review.WaitedTexts;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@DisplayName("Lists of arrivals over all rounds; ModelTest holds them against plain sets")
class ArrivalListsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Lia List", "Lev List").guest("Gro List");
  private final Client lia = group.client(0);
  private final Client lev = group.client(1);
  private final Client gro = group.client(2);
  private final String folder = group.folder("Kept");

  private static JsonNode list(Client who, String list) {
    return who.get("/arrivals/" + list).ok();
  }

  private static List<String> works(Client who, String list) {
    return list(who, list)
        .get("arrivals")
        .valueStream()
        .map(one -> one.at("/arrival/publication/id").asString())
        .toList();
  }

  private static Client.Response say(Client who, String mark, String work) {
    return who.post("/marks", Map.of("publications", List.of(work), "mark", mark, "reason", "why"));
  }

  /** Works of one alert, in rounds of so many each. */
  private void rounds(String word, int rounds, int each) {
    String alert = group.alert(folder, word, "title: " + word, "at-once");
    assertThat(alert).isNotEmpty();
    Supply supply = Supply.made(APP, word, 5);
    for (int round = 0; round < rounds; round++) {
      int first = round * each;
      supply.take(
          IntStream.range(first, first + each)
              .mapToObj(
                  n -> Supply.mods(word + n, "The %s of pond %d".formatted(word, n), "Pond", ""))
              .toList());
      APP.bean(Watching.class).run();
    }
  }

  @DisplayName("Page by page everything that is owed once, as much as rounds and the frame say")
  @Test
  void owed() {
    rounds("quern", 4, 25);
    List<String> seen = new ArrayList<>();
    String next = "";
    int pages = 0;
    do {
      JsonNode page = lia.get("/arrivals/owed" + (next.isEmpty() ? "" : "?after=" + next)).ok();
      page.get("arrivals")
          .forEach(
              one -> {
                seen.add(one.at("/arrival/id").asString());
                assertThat(one.at("/round/alertName").asString()).isEqualTo("quern");
                assertThat(one.at("/round/folder/name").asString()).isEqualTo("Kept");
              });
      assertThat(page.get("count").asInt()).isEqualTo(100);
      next = page.path("next").asString("");
      pages++;
    } while (!next.isEmpty());
    assertThat(pages).isEqualTo(2);
    assertThat(seen).hasSize(100).doesNotHaveDuplicates();
    assertThat(lia.get("/rounds").ok().get("owed").asInt()).isEqualTo(100);
    say(lev, "seen", seen.get(7)).ok();
    say(lev, "hold", seen.get(8)).ok();
    assertThat(works(lia, "owed")).contains(seen.get(7), seen.get(8));
    assertThat(works(lev, "owed")).doesNotContain(seen.get(7)).contains(seen.get(8));
    assertThat(lia.get("/arrivals").ok().get("nobody").asInt()).isEqualTo(99);
    assertThat(works(lia, "nobody")).doesNotContain(seen.get(7)).contains(seen.get(8));
  }

  @DisplayName("What stands open: with marks from anywhere, as long as a member says so")
  @Test
  void open() {
    rounds("sluice", 1, 3);
    String came = works(lia, "owed").get(0);
    String elsewhere = group.find("moth").get(0);
    say(lia, "raise", came).ok();
    say(lev, "raise", elsewhere).ok();
    assertThat(works(lia, "raised")).containsExactly(elsewhere, came);
    JsonNode never = list(lia, "raised").get("arrivals").get(0);
    assertThat(never.has("round")).isFalse();
    assertThat(never.at("/arrival/lamps/1/reason").asString()).isEqualTo("why");
    say(lia, "hold", elsewhere).ok();
    assertThat(works(gro, "unsure")).as("for guests to read, too").containsExactly(elsewhere);
    UUID keep = UUID.randomUUID();
    lia.post(
            "/folders/" + folder + "/items",
            Map.of("publications", List.of(came), "note", "ours"),
            keep)
        .ok();
    say(lev, "pass", came).ok();
    assertThat(works(lev, "disputed")).containsExactly(came);
    assertThat(works(lev, "raised")).containsExactly(elsewhere);
    lia.post("/actions/" + keep + "/undo", Map.of()).ok();
    assertThat(works(lev, "disputed")).isEmpty();
    assertThat(works(lev, "raised")).as("raised, as before").containsExactly(elsewhere, came);

    lia.write("DELETE", "/members/" + group.member(1).pid(), Map.of(), UUID.randomUUID()).ok();
    assertThat(works(lia, "raised")).as("who is gone raises nothing").containsExactly(came);
    assertThat(APP.bean(OpenPoints.class).look()).isZero();
  }

  /** One that is published in a journal that the group may come to hold, and may be opened. */
  private static SourceRecord work(String id, boolean open) {
    return Supply.mods(
        id,
        "Text %s to be waited for".formatted(id),
        "Wait",
        "<relatedItem type=\"host\"><titleInfo><title>Waits</title></titleInfo>"
            + "<identifier type=\"issn\">9999-1101</identifier></relatedItem>"
            + Supply.doi("10.5555/wait." + id)
            + "<extension><supply xmlns=\"urn:quietlantern:supply:1\">"
            + (open ? "<access>open</access>" : "")
            + "</supply></extension>");
  }

  private void holdings(String file) {
    lia.write("PUT", "/holdings/group", Map.of("name", "ours", "file", file), UUID.randomUUID())
        .ok();
    APP.bean(WaitedTexts.class).run();
  }

  @DisplayName("What is held for its text comes back by itself: opened, held by the library, here")
  @Test
  void texts() {
    Supply supply = Supply.made(APP, "waits", 5);
    supply.take(work("one", false), work("two", false), work("three", false));
    List<String> three = group.find("title: \"waited for\"");
    assertThat(three).hasSize(3);
    three.forEach(work -> say(lev, "hold for text", work).ok());
    say(lia, "hold", three.get(0)).ok();
    APP.bean(WaitedTexts.class).run();
    assertThat(works(lia, "waiting")).hasSize(3);
    assertThat(works(lia, "readable")).isEmpty();
    assertThat(works(lia, "unsure")).containsExactly(three.get(0));
    assertThat(waitingTexts(lev)).isZero();
    assertThat(list(lev, "waiting").at("/arrivals/0/arrival/lamps/1/lamp").asString())
        .isEqualTo("dim");

    supply.take(work("two", true));
    APP.bean(Watching.class).run();
    assertThat(works(lev, "readable")).as("a source opened it").hasSize(1);
    String opened = works(lev, "readable").get(0);
    assertThat(works(lev, "waiting")).hasSize(2).doesNotContain(opened);
    assertThat(waitingTexts(lev)).isEqualTo(1);
    assertThat(waitingTexts(lia)).as("who waits for nothing is told nothing").isZero();

    holdings(
        """
        publication_title\tonline_identifier\tdate_first_issue_online\taccess_type
        Waits\t9999-1101\t1900\tP
        """);
    assertThat(works(lev, "readable")).as("the library holds its journal now").hasSize(3);
    assertThat(lev.get("/arrivals").ok().get("readable").asInt()).isEqualTo(3);
    holdings("");
    assertThat(works(lev, "readable")).as("and no more").containsExactly(opened);

    say(lev, "pass", opened).ok();
    assertThat(works(lev, "readable")).isEmpty();
    assertThat(waitingTexts(lev)).isZero();
    APP.bean(JdbcTemplate.class)
        .update("update unsettled set what = 'readable' where what = 'waiting'");
    assertThat(APP.bean(OpenPoints.class).mend()).as("every night").isEqualTo(2);
    assertThat(works(gro, "waiting")).hasSize(2);
  }

  private static int waitingTexts(Client who) {
    return who.get("/arrivals").ok().get("mine").asInt();
  }

  @DisplayName("Two works that turn out to be one are one disagreement")
  @Test
  void joined() {
    Supply first = Supply.made(APP, "weirone", 5);
    Supply second = Supply.made(APP, "weirtwo", 6);
    first.take(Supply.mods("w1", "Weirs of one kind", "Weir", Supply.doi("10.5555/weir.1")));
    second.take(Supply.mods("w2", "Weirs of two kinds", "Dam", Supply.doi("10.5555/weir.2")));
    List<String> two = group.find("title: weirs");
    assertThat(two).hasSize(2);
    lia.post("/folders/" + folder + "/items", Map.of("publications", two, "note", "")).ok();
    say(lev, "pass", two.get(0)).ok();
    say(lev, "pass", two.get(1)).ok();
    assertThat(works(lia, "disputed")).containsExactlyInAnyOrderElementsOf(two);
    second.take(Supply.mods("w2", "Weirs of one kind", "Weir", Supply.doi("10.5555/weir.1")));
    APP.bean(Watching.class).run();
    assertThat(group.find("title: weirs")).hasSize(1);
    assertThat(works(lia, "disputed")).isEqualTo(group.find("title: weirs"));
    assertThat(lia.get("/arrivals").ok().get("disputed").asInt()).isEqualTo(1);
    assertThat(APP.bean(OpenPoints.class).look()).isZero();
  }

  @DisplayName("What was written behind the marks' back is found and mended")
  @Test
  void mended() {
    List<String> two = group.find("moth").subList(0, 2);
    two.forEach(work -> say(lia, "raise", work).ok());
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    database.update(
        "delete from unsettled u using occasion o, publication p where o.id = u.occasion"
            + " and p.id = o.publication and p.pid = ?",
        two.get(0));
    database.update(
        "update unsettled u set what = 'unsure' from occasion o, publication p where o.id = u.occasion"
            + " and p.id = o.publication and p.pid = ?",
        two.get(1));
    assertThat(APP.bean(OpenPoints.class).look()).isEqualTo(2);
    assertThat(works(lia, "raised")).as("only looked at").isEmpty();
    assertThat(APP.bean(OpenPoints.class).mend()).isEqualTo(2);
    assertThat(new HashSet<>(works(lia, "raised"))).isEqualTo(Set.copyOf(two));
    assertThat(works(lia, "unsure")).isEmpty();
  }

  @DisplayName("A guest owes nothing; a list that is not there, or a page of another, is unknown")
  @Test
  void bounds() {
    rounds("mire", 1, 2);
    assertThat(list(gro, "owed").get("count").asInt()).isZero();
    assertThat(works(gro, "owed")).isEmpty();
    assertThat(works(gro, "nobody")).hasSize(2);
    for (String address :
        List.of("/arrivals/sorted", "/arrivals/owed?after=zzzz", "/arrivals/raised?after=x")) {
      assertThat(lia.get(address).status()).as(address).isEqualTo(404);
    }
    TestGroup others = APP.group("Ona Other");
    String round = lia.get("/rounds").ok().at("/rounds/0/id").asString();
    assertThat(others.client(0).get("/arrivals/owed?after=" + round).status()).isEqualTo(404);
    assertThat(works(others.client(0), "nobody")).isEmpty();
  }
}
