package org.quietlantern.server.followed;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.DyingCheckpoint;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.server.trouble.TroubleTeller;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Feeds of others: a server of the web that says what the test lets it say. */
class FollowedTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Fred Follow", "Flora Follow").guest("Gus Guest");
  private final Client fred = group.client(0);
  private final List<Map<String, String>> asked = new CopyOnWriteArrayList<>();
  private HttpServer web;
  private volatile int code = 200;
  private volatile String body = "";
  private volatile String location = "";

  @BeforeEach
  void serve() throws IOException {
    web = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    web.createContext(
        "/",
        exchange -> {
          asked.add(
              Map.of(
                  "path", exchange.getRequestURI().getPath(),
                  "if-none-match",
                      String.valueOf(exchange.getRequestHeaders().getFirst("If-None-Match"))));
          String tag = "\"" + body.hashCode() + "\"";
          boolean same = tag.equals(exchange.getRequestHeaders().getFirst("If-None-Match"));
          boolean moved =
              !location.isEmpty() && !location.endsWith(exchange.getRequestURI().getPath());
          exchange.getResponseHeaders().set("ETag", tag);
          if (moved) {
            exchange.getResponseHeaders().set("Location", location);
          }
          byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
          int answer = moved ? 301 : code == 200 && same ? 304 : code;
          exchange.sendResponseHeaders(answer, answer == 200 ? bytes.length : -1);
          if (answer == 200) {
            exchange.getResponseBody().write(bytes);
          }
          exchange.close();
        });
    web.start();
  }

  @AfterEach
  void close() {
    web.stop(0);
  }

  private String address(String path) {
    return "http://127.0.0.1:" + web.getAddress().getPort() + path;
  }

  private static String item(String id, String title, String doi) {
    return """
        <item><title>%s</title><guid>%s</guid><dc:creator>Ada Moth</dc:creator>
        <pubDate>Mon, 16 Nov 2026 05:00:00 GMT</pubDate><prism:doi>%s</prism:doi></item>
        """
        .formatted(title, id, doi);
  }

  private void says(String... items) {
    body =
        """
        <rss version="2.0" xmlns:dc="http://purl.org/dc/elements/1.1/"
          xmlns:prism="http://prismstandard.org/namespaces/basic/2.0/"><channel>
        <title>The Ditch</title><link>https://ditch.example/</link>%s</channel></rss>
        """
            .formatted(String.join("", items));
  }

  private String follow(String path) {
    return fred.post("/followed", Map.of("feeds", List.of(Map.of("address", address(path)))))
        .ok()
        .at("/followed/0")
        .asString();
  }

  /** As if an hour had passed. */
  private static void ask() {
    APP.bean(JdbcTemplate.class).update("update followed_feed set system_due = 'epoch'");
    APP.bean(FollowedJob.class).run();
    APP.bean(Watching.class).run();
  }

  private JsonNode line() {
    return fred.get("/followed").ok().get(0);
  }

  private List<String> arrived(Client client) {
    return client
        .get("/rounds")
        .ok()
        .get("rounds")
        .valueStream()
        .flatMap(
            r -> client.get("/rounds/" + r.get("id").asString()).ok().get("arrivals").valueStream())
        .map(a -> a.get("publication").get("title").asString())
        .toList();
  }

  @DisplayName(
      "What it tells is found by alerts, by this group alone, once: also when a source has it later")
  @Test
  void found() {
    says(item("d1", "Ditches by night", "10.5555/ditch.1"));
    JsonNode looked = fred.post("/followed/look", Map.of("address", address("/d.rss"))).ok();
    assertThat(looked.get("title").asString()).isEqualTo("The Ditch");
    assertThat(looked.at("/first/0/who").asString()).isEqualTo("Ada Moth");
    assertThat(fred.get("/followed").ok().size()).as("looking follows nothing").isZero();
    group.alert(group.folder("F"), "Ditches", "title: ditches", "at-once");
    TestGroup others = APP.group("Olga Other");
    others.alert(others.folder("F"), "Ditches", "title: ditches", "at-once");
    follow("/d.rss");
    ask();
    assertThat(arrived(fred)).containsExactly("Ditches by night");
    assertThat(arrived(others.client(0))).isEmpty();
    assertThat(line().get("title").asString()).isEqualTo("The Ditch");
    assertThat(line().get("works").asInt()).isEqualTo(1);

    ask();
    assertThat(asked.get(asked.size() - 1).get("if-none-match")).isNotEqualTo("null");
    assertThat(arrived(fred)).as("the same answer brings nothing").hasSize(1);

    says(
        item("d2", "Ditches by day", "10.5555/ditch.2"),
        item("d1", "Ditches by night", "10.5555/ditch.1"));
    ask();
    assertThat(arrived(fred)).containsExactlyInAnyOrder("Ditches by night", "Ditches by day");

    Supply.made(APP, "ditch", 5)
        .take(Supply.mods("x1", "Ditches by night", "Moth", Supply.doi("10.5555/ditch.1")));
    APP.bean(Watching.class).run();
    assertThat(arrived(fred)).as("told once").hasSize(2);
    assertThat(arrived(others.client(0)))
        .as("theirs comes now")
        .containsExactly("Ditches by night");

    String key = line().get("sourceKey").asString();
    Map<String, Object> limit =
        Map.of("id", "k", "kind", "limit", "property", "source", "chosen", List.of(key));
    JsonNode searched =
        fred.post("/search", Map.of("strategy", Map.of("version", 3, "lines", List.of(limit))))
            .ok();
    assertThat(searched.at("/answer/count").asInt())
        .as("found by where it came from")
        .isGreaterThanOrEqualTo(1);
  }

  @DisplayName("Dying between its answer and the note of it takes nothing twice and loses nothing")
  @Test
  void dying() {
    says(item("e1", "Edges at dusk", "10.5555/edge.1"));
    group.alert(group.folder("F"), "Edges", "title: edges", "at-once");
    follow("/e.rss");
    for (String place : List.of("feed of others: fetched", "feed of others: taken, not noted")) {
      APP.bean(DyingCheckpoint.class).dieAt(place);
      org.assertj.core.api.Assertions.assertThatThrownBy(FollowedTest::ask)
          .isInstanceOf(DyingCheckpoint.Death.class);
    }
    assertThat(line().get("works").asInt()).isZero();
    int times = asked.size();
    APP.bean(FollowedJob.class).run();
    assertThat(asked).as("whoever is at it has ten minutes").hasSize(times);
    ask();
    assertThat(arrived(fred)).containsExactly("Edges at dusk");
  }

  @DisplayName("Where it breaks it is asked less often, told after three times, and taken up again")
  @Test
  void breaking() {
    says(item("g1", "Gates", "10.5555/gate.1"));
    follow("/g.rss");
    ask();
    code = 500;
    says(item("g2", "Gates again", "10.5555/gate.2"));
    for (int n = 0; n < 3; n++) {
      ask();
    }
    assertThat(line().get("error").asString()).contains("500");
    assertThat(line().get("works").asInt()).as("what is here stays").isEqualTo(1);
    assertThat(
            APP.bean(JdbcTemplate.class)
                .queryForObject(
                    "select system_due > now() + interval '3 hours' from followed_feed"
                        + " where ended is null and grp = (select grp from membership where pid = ?)",
                    Boolean.class,
                    group.member(0).pid()))
        .isTrue();
    assertThat(APP.bean(FollowedTroubles.class).now())
        .extracting(TroubleTeller.TroubleNow::title)
        .contains("The Ditch");
    code = 200;
    body = "<!DOCTYPE rss [<!ENTITY a 'b'>]><rss version='2.0'><channel/></rss>";
    ask();
    assertThat(line().get("error").asString()).contains("document type declaration");
    says(item("g2", "Gates again", "10.5555/gate.2"));
    ask();
    assertThat(line().get("error").asString()).isEmpty();
    assertThat(line().get("works").asInt()).as("what left the feed is not taken back").isEqualTo(2);
    location = address("/moved.rss");
    ask();
    assertThat(line().get("address").asString()).isEqualTo(address("/moved.rss"));
  }

  @DisplayName("Ended, what it brought stays; both acts can be undone; a list is followed with one")
  @Test
  void ended() {
    says(item("h1", "Hedges", "10.5555/hedge.1"));
    String feed = follow("/h.rss");
    ask();
    UUID end = UUID.randomUUID();
    assertThat(fred.write("POST", "/followed/" + feed + "/end", Map.of(), end).status())
        .isEqualTo(204);
    assertThat(fred.get("/followed").ok().size()).isZero();
    assertThat(group.find("hedges")).as("it stays").isNotEmpty();
    int times = asked.size();
    ask();
    assertThat(asked).as("nobody asks it any more").hasSize(times);
    fred.post("/actions/" + end + "/undo", Map.of()).ok();
    assertThat(line().get("id").asString()).isEqualTo(feed);
    String list =
        "<opml version=\"2.0\"><body><outline text=\"H\" xmlUrl=\"%s\"/><outline text=\"I\" xmlUrl=\"%s\"/></body></opml>"
            .formatted(address("/h.rss"), address("/i.rss"));
    JsonNode listed = fred.post("/followed/list", Map.of("list", list)).ok();
    assertThat(listed.at("/feeds/0/followed").asBoolean()).isTrue();
    assertThat(listed.at("/feeds/1/followed").asBoolean()).isFalse();
    assertThat(fred.post("/followed/list", Map.of("list", "<x/>")).status()).isEqualTo(422);
  }

  @DisplayName(
      "No way inside: addresses that are not public, files, scripts; guests follow nothing")
  @Test
  void inwards() {
    for (String bad : List.of("file:///etc/passwd", "javascript:1", "", "ftp://x.example/a")) {
      assertThat(fred.post("/followed/look", Map.of("address", bad)).status())
          .as(bad)
          .isEqualTo(422);
    }
    Client.Response inside =
        fred.post("/followed/look", Map.of("address", "http://10.1.2.3/feed.rss"));
    assertThat(inside.status()).isEqualTo(422);
    assertThat(inside.body()).contains("not a public address");
    says();
    location = "http://169.254.169.254/latest";
    assertThat(fred.post("/followed/look", Map.of("address", address("/led.rss"))).status())
        .as("nor by being led there")
        .isEqualTo(422);
    assertThat(
            group
                .client(2)
                .post("/followed", Map.of("feeds", List.of(Map.of("address", address("/x")))))
                .status())
        .isEqualTo(403);
  }

  @DisplayName("A journal of the world outside announces papers before any source has them")
  @Test
  void standIn() {
    String list = new Client(APP.outside().address()).get("/feeds/journals.opml").body();
    JsonNode listed = fred.post("/followed/list", Map.of("list", list)).ok();
    assertThat(listed.get("feeds").size()).isGreaterThan(5);
    String address = listed.at("/feeds/0/address").asString();
    JsonNode looked = fred.post("/followed/look", Map.of("address", address)).ok();
    assertThat(looked.get("works").asInt()).isPositive();
    assertThat(looked.at("/first/0/who").asString()).isNotEmpty();
  }
}
