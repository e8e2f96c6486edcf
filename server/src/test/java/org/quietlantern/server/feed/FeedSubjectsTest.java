package org.quietlantern.server.feed;

import static org.assertj.core.api.Assertions.assertThat;

import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import java.io.StringReader;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.support.AtomRules;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** Feeds of other things than one alert: each as the member sees it who has the address. */
class FeedSubjectsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static int supplies;
  private final TestGroup group = APP.group("Fia Feed", "Finn Feed").guest("Gus Guest");
  private final Client fia = group.client(0);
  private final Client finn = group.client(1);
  private final Client reader = new Client(APP.address());

  private static String subscribe(Client who, String of) {
    return URI.create(who.post("/feeds", Map.of("of", of)).ok().get("address").asString())
        .getPath();
  }

  private SyndFeed feed(String address) {
    Client.Response answer = reader.get(address);
    assertThat(answer.status()).isEqualTo(200);
    assertThat(AtomRules.broken(answer.body())).isEmpty();
    try {
      return new SyndFeedInput().build(new StringReader(answer.body()));
    } catch (FeedException bad) {
      throw new AssertionError(answer.body(), bad);
    }
  }

  private List<String> titles(String address) {
    return feed(address).getEntries().stream().map(SyndEntry::getTitle).toList();
  }

  private static void supply(String title) {
    supplies++;
    Supply.made(APP, "fs" + supplies, 5)
        .take(Supply.mods("fs" + supplies, title, "Pond", Supply.doi("10.5555/fs." + supplies)));
    APP.bean(Watching.class).run();
  }

  private static void mark(Client who, String round, String work, String mark, String reason) {
    who.post(
            "/marks",
            Map.of("publications", List.of(work), "mark", mark, "reason", reason, "round", round))
        .ok();
  }

  private JsonNode firstRound() {
    return fia.get("/rounds/" + fia.get("/rounds").ok().at("/rounds/0/id").asString()).ok();
  }

  @DisplayName("All alerts that a member gets, each work once; what they leave out is left out")
  @Test
  void allMyAlerts() {
    String folder = group.folder("F");
    String one = group.alert(folder, "Ones", "title: newts", "at-once");
    group.alert(folder, "Twos", "title: newts or title: toads", "at-once");
    String all = subscribe(finn, "alerts");
    assertThat(feed(all).getTitle()).isEqualTo("All my alerts");
    supply("Newts of the fen");
    supply("Toads of the fen");
    assertThat(titles(all)).containsExactly("Toads of the fen", "Newts of the fen");
    SyndEntry newts = feed(all).getEntries().get(1);
    assertThat(newts.getDescription().getValue())
        .contains("Found by “Ones”: newts in title. ", "request.");
    assertThat(feed(subscribe(fia, "alert:" + one)).getEntries().get(0).getUri())
        .as("one arrival has one name in all feeds")
        .isEqualTo(newts.getUri());
    for (JsonNode alert : fia.get("/alerts").ok()) {
      String mail = "/alerts/" + alert.get("id").asString() + "/mail";
      finn.write("PUT", mail, Map.of("receive", false), UUID.randomUUID()).ok();
    }
    assertThat(titles(all)).isEmpty();
  }

  @DisplayName("What gathers stands in a feed by choice only, under the name that it keeps")
  @Test
  void gathering() {
    String alert = group.alert(group.folder("F"), "Efts", "title: efts", "monthly:28");
    String gathers = subscribe(fia, "gathering:" + alert);
    String closed = subscribe(fia, "alert:" + alert);
    supply("Efts at dusk");
    assertThat(titles(gathers)).containsExactly("Efts at dusk");
    assertThat(feed(gathers).getTitle()).isEqualTo("Efts, as it gathers");
    assertThat(titles(closed)).isEmpty();
  }

  @DisplayName("What one has not looked at goes when the lamp is lit; what is raised comes with it")
  @Test
  void unreviewedAndRaised() {
    group.alert(group.folder("F"), "Voles", "title: voles", "at-once");
    String waits = subscribe(fia, "unreviewed");
    String raised = subscribe(finn, "raised");
    supply("Voles at dusk");
    supply("Voles at dawn");
    assertThat(titles(waits)).containsExactly("Voles at dawn", "Voles at dusk");
    JsonNode round = firstRound();
    String work = round.at("/arrivals/0/publication/id").asString();
    String title = round.at("/arrivals/0/publication/title").asString();
    mark(fia, round.at("/round/id").asString(), work, "raise", "Shall we read it?");
    assertThat(titles(waits)).doesNotContain(title).hasSize(1);
    assertThat(titles(raised)).containsExactly(title);
    assertThat(feed(raised).getEntries().get(0).getDescription().getValue())
        .contains("Raised by Fia Feed: “Shall we read it?”");
    mark(fia, round.at("/round/id").asString(), work, "hold", "");
    assertThat(titles(waits)).as("on hold is still owed").contains(title);
    assertThat(titles(raised)).isEmpty();
  }

  @DisplayName("A folder follows its name and what is kept; who sees it no more reads nothing")
  @Test
  void folder() {
    String folder = group.folder("Weirs");
    String address = subscribe(finn, "folder:" + folder);
    assertThat(titles(address)).isEmpty();
    String work = group.find("moth*").get(0);
    fia.post("/folders/" + folder + "/items", Map.of("publications", List.of(work), "note", ""))
        .ok();
    assertThat(feed(address).getTitle()).isEqualTo("Weirs");
    SyndEntry entry = feed(address).getEntries().get(0);
    assertThat(entry.getDescription().getValue()).contains("Kept by Fia Feed.");
    Map<String, String> renamed = Map.of("name", "Weirs and fords");
    fia.put("/folders/" + folder, renamed).ok();
    assertThat(feed(address).getTitle()).isEqualTo("Weirs and fords");
    List<Map<String, String>> named =
        List.of(Map.of("member", group.member(0).pid(), "may", "edit"));
    fia.put(
            "/folders/" + folder + "/rights",
            Map.of("openTo", "named", "groupMay", "edit", "named", named, "version", 1))
        .ok();
    assertThat(reader.get(address).status()).isEqualTo(404);
    assertThat(finn.get("/feeds").ok().at("/0/name").asString())
        .isEqualTo("a folder that you do not see");
    assertThat(
            finn.post("/feeds", Map.of("of", "folder:" + APP.group("Olga O").folder("X"))).status())
        .isEqualTo(404);
  }

  @DisplayName("A journal tells what came of it last, under whichever title")
  @Test
  void journal() {
    JsonNode journal = fia.get("/journals").ok().at("/journals/0");
    String issn = journal.get("issn").asString();
    String address = subscribe(fia, "journal:" + issn);
    SyndFeed feed = feed(address);
    assertThat(feed.getTitle()).isEqualTo(journal.get("title").asString());
    int count = fia.get("/journals/" + issn).ok().get("count").asInt();
    assertThat(feed.getEntries()).hasSize(Math.min(count, 200));
    assertThat(fia.post("/feeds", Map.of("of", "journal:0000-0000")).status()).isEqualTo(404);
  }

  @DisplayName(
      "Who asked last is told to its owner; what is no thing is refused; OPML has them all")
  @Test
  void ownList() {
    String alert = group.alert(group.folder("F"), "Stoats & <b>", "title: stoats", "daily");
    String address = subscribe(fia, "alert:" + alert);
    assertThat(fia.get("/feeds").ok().get(0).hasNonNull("fetched")).isFalse();
    reader.get(address, "User-Agent", "Reader\u00e9 1.0 " + "x".repeat(400));
    JsonNode line = fia.get("/feeds").ok().get(0);
    assertThat(line.get("fetched").asString()).startsWith("2026-11");
    assertThat(line.get("by").asString()).startsWith("Reader").hasSize(200);
    subscribe(fia, "unreviewed");
    for (String none :
        List.of(
            "",
            "x",
            "alert:",
            "alert:zzzzzzzzzz",
            "folder:a",
            ":",
            "feed:x",
            "raised:x",
            "alerts:",
            "alert")) {
      assertThat(fia.post("/feeds", Map.of("of", none)).status()).as(none).isEqualTo(404);
    }
    assertThat(group.client(2).post("/feeds", Map.of("of", "alerts")).status())
        .as("guests have no feeds")
        .isEqualTo(403);
    String opml = fia.get("/feeds/opml").body();
    assertThat(opml)
        .contains("<opml version=\"2.0\"", "text=\"Stoats &amp; &lt;b&gt;\"", address)
        .contains("type=\"rss\"", "What I have not looked at");
    assertThat(finn.get("/feeds/opml").body()).doesNotContain("<outline");
  }
}
