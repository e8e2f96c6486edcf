package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.rometools.rome.feed.module.DCModule;
import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.feed.synd.SyndPerson;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import java.io.StringReader;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.AtomRules;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

class FeedTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Fia Feed", "Finn Feed");
  private final Client fia = group.client(0);
  private final String alert =
      group.alert(group.folder("F"), "Everything", TestGroup.EVERYTHING, "daily");
  private final Client reader = new Client(APP.address());

  private String subscribe(Client who) {
    return path(who.post("/feeds", Map.of("of", "alert:" + alert)).ok().get("address").asString());
  }

  private static String path(String address) {
    return URI.create(address).getPath();
  }

  private static SyndFeed parse(String xml) {
    try {
      return new SyndFeedInput().build(new StringReader(xml));
    } catch (FeedException bad) {
      throw new AssertionError(xml, bad);
    }
  }

  @DisplayName("An alert that somebody follows by a feed is not taken back; it says so")
  @Test
  void followedAlertStays() {
    UUID made = UUID.randomUUID();
    String search = group.search(group.folder("G"), "Moths", "moth").get("id").asString();
    String watched =
        fia.post("/alerts", Map.of("search", search, "rhythm", "daily"), made)
            .ok()
            .get("id")
            .asString();
    group.client(1).post("/feeds", Map.of("of", "alert:" + watched)).ok();
    Client.Response undone = fia.post("/actions/" + made + "/undo", Map.of());
    assertThat(undone.status()).isEqualTo(409);
    assertThat(undone.json().get("detail").asString()).contains("by a feed");
    fia.get("/alerts/" + watched).ok();
  }

  @DisplayName(
      "A name with letters that XML cannot hold, kept before names were cleaned: still XML")
  @Test
  void controlLetters() {
    String address = subscribe(fia);
    APP.bean(JdbcTemplate.class)
        .update(
            "update saved_search set name = E'Every\\x01thing' where id = (select v.saved_search"
                + " from revision v join alert a on a.revision = v.id where a.pid = ?)",
            alert);
    assertThat(parse(reader.get(address).body()).getTitle()).isEqualTo("Everything");
    String clean =
        group.search(group.folder("H"), "Bell \u0007 rings", "bell").get("name").asString();
    assertThat(clean).isEqualTo("Bell  rings");
  }

  @DisplayName("RFC 4287: an ordinary reader reads it, and every required part is there")
  @Test
  void anOrdinaryReaderReadsIt() {
    String address = subscribe(fia);
    assertThat(AtomRules.broken(reader.get(address).body())).isEmpty();
    APP.passUntilSomethingCame();
    Client.Response answer = reader.get(address);
    assertThat(answer.header("Content-Type")).isEqualTo("application/atom+xml;charset=utf-8");
    assertThat(AtomRules.broken(answer.body())).isEmpty();
    SyndFeed feed = parse(answer.body());
    assertThat(feed.getTitle()).isEqualTo("Everything");
    assertThat(feed.getEntries()).hasSizeGreaterThan(2);
    SyndEntry entry = feed.getEntries().get(0);
    assertThat(entry.getLink()).startsWith("http://lantern.test/p/");
    assertThat(entry.getAuthors()).isNotEmpty();
    assertThat(reader.get(path(entry.getLink())).status()).isEqualTo(200);
  }

  @DisplayName("The same as RSS 2.0 and as JSON Feed 1.1, read back equal by others; each with 304")
  @Test
  void threeForms() {
    String atom = subscribe(fia);
    APP.passUntilSomethingCame();
    List<SyndEntry> expected = parse(reader.get(atom).body()).getEntries();
    Client.Response rss = reader.get(atom.replace(".atom", ".rss"));
    assertThat(rss.header("Content-Type")).isEqualTo("application/rss+xml;charset=utf-8");
    SyndFeed read = parse(rss.body());
    assertThat(read.getFeedType()).isEqualTo("rss_2.0");
    assertThat(read.getDescription()).startsWith("What Quiet Lantern found for ");
    assertThat(rss.body()).contains("rel=\"self\"", atom.replace(".atom", ".rss"));
    JsonNode json = reader.get(atom.replace(".atom", ".json")).json();
    assertThat(json.get("version").asString()).isEqualTo("https://jsonfeed.org/version/1.1");
    assertThat(json.get("feed_url").asString()).endsWith(atom.replace(".atom", ".json"));
    assertThat(json.get("items")).hasSameSizeAs(expected);
    for (int i = 0; i < expected.size(); i++) {
      SyndEntry entry = expected.get(i);
      SyndEntry same = read.getEntries().get(i);
      JsonNode item = json.get("items").get(i);
      assertThat(same.getUri()).isEqualTo(entry.getUri()).isEqualTo(item.get("id").asString());
      assertThat(same.getTitle())
          .isEqualTo(entry.getTitle())
          .isEqualTo(item.get("title").asString());
      assertThat(same.getLink()).isEqualTo(entry.getLink()).isEqualTo(item.get("url").asString());
      assertThat(same.getPublishedDate()).isEqualTo(entry.getPublishedDate());
      assertThat(same.getPublishedDate().toInstant())
          .isEqualTo(Instant.parse(item.get("date_published").asString()));
      assertThat(same.getDescription().getValue())
          .isEqualTo(entry.getDescription().getValue())
          .isEqualTo(item.get("content_text").asString());
      assertThat(((DCModule) same.getModule(DCModule.URI)).getCreators())
          .isEqualTo(entry.getAuthors().stream().map(SyndPerson::getName).toList())
          .isEqualTo(item.get("authors").valueStream().map(a -> a.get("name").asString()).toList());
    }
    for (String ending : List.of(".rss", ".json")) {
      String address = atom.replace(".atom", ending);
      String tag = reader.get(address).header("ETag");
      assertThat(reader.get(address, "If-None-Match", tag).status()).isEqualTo(304);
    }
  }

  @DisplayName(
      "N10: when the alert ends its feed says so as its last entry, and is gone a month later")
  @Test
  void ends() {
    String address = subscribe(fia);
    APP.passUntilSomethingCame();
    List<String> before = ids(address);
    fia.write("DELETE", "/alerts/" + alert, null, UUID.randomUUID()).ok();
    List<String> after = ids(address);
    assertThat(after).hasSize(before.size() + 1).endsWith(before.toArray(String[]::new));
    assertThat(parse(reader.get(address).body()).getEntries().get(0).getTitle())
        .isEqualTo("“Everything” has ended");
    assertThat(AtomRules.broken(reader.get(address).body())).isEmpty();
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofDays(31)));
    assertThat(reader.get(address).status()).isEqualTo(410);
  }

  @DisplayName("Entry ids stay the same, for everybody and for ever; only closed rounds are told")
  @Test
  void idsAreStable() {
    String mine = subscribe(fia);
    String yours = subscribe(group.client(1));
    assertThat(mine).isNotEqualTo(yours);
    APP.passUntilSomethingCame();
    List<String> first = ids(mine);
    assertThat(ids(yours)).isEqualTo(first);
    APP.passUntilSomethingCame();
    assertThat(ids(mine)).containsAll(first).doesNotHaveDuplicates();
    int today = APP.bean(Calendar.class).now().atZone(ZoneOffset.UTC).getDayOfMonth();
    String later =
        group.alert(group.folder("G"), "Monthly", TestGroup.EVERYTHING, "monthly:" + today);
    String quiet =
        path(fia.post("/feeds", Map.of("of", "alert:" + later)).ok().get("address").asString());
    APP.passUntilSomethingCame();
    assertThat(fia.get("/rounds").ok().toString()).contains("Monthly");
    assertThat(ids(quiet)).as("its round still gathers").isEmpty();
  }

  private List<String> ids(String address) {
    return parse(reader.get(address).body()).getEntries().stream().map(SyndEntry::getUri).toList();
  }

  @Test
  void anUnchangedFeedIs304ByTagAndByDate() {
    String address = subscribe(fia);
    Client.Response first = reader.get(address);
    Client.Response byTag = reader.get(address, "If-None-Match", first.header("ETag"));
    assertThat(byTag.status()).isEqualTo(304);
    assertThat(byTag.body()).isEmpty();
    assertThat(reader.get(address, "If-Modified-Since", first.header("Last-Modified")).status())
        .isEqualTo(304);
    APP.passUntilSomethingCame();
    assertThat(reader.get(address, "If-None-Match", first.header("ETag")).status()).isEqualTo(200);
  }

  @Test
  void aRevokedAddressIsGoneAnUnknownOneIsNothingAndANewOneDiffers() {
    String address = subscribe(fia);
    assertThat(subscribe(fia)).as("showable again").isEqualTo(address);
    String feed = fia.get("/feeds").ok().get(0).get("id").asString();
    assertThat(group.client(1).post("/feeds/" + feed + "/revoke", Map.of()).status())
        .as("not one's own")
        .isEqualTo(404);
    assertThat(fia.post("/feeds/" + feed + "/revoke", Map.of()).status()).isEqualTo(204);
    assertThat(reader.get(address).status()).isEqualTo(410);
    assertThat(reader.get(address.replaceAll("/[^/]+$", "/guessed.atom")).status()).isEqualTo(404);
    assertThat(reader.get("/feed/0000000000/guessed.atom").status()).isEqualTo(404);
    assertThat(subscribe(fia)).isNotEqualTo(address);
  }

  @DisplayName("A hundred readers leave no session behind")
  @Test
  void noSessions() {
    String address = subscribe(fia);
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    String count = "select count(*) from spring_session";
    Integer before = database.queryForObject(count, Integer.class);
    String link = "/p/" + group.find("moth").get(0);
    for (int i = 0; i < 50; i++) {
      reader.get(address);
      reader.get(link);
    }
    assertThat(database.queryForObject(count, Integer.class)).isEqualTo(before);
  }
}
