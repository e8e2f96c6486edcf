package org.quietlantern.server.feed;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("V1: opening an entry marks it seen, where the member chose so for that feed")
class FeedOpeningTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Oda Opens", "Odd Other").guest("Gerd Guest");
  private final Client oda = group.client(0);
  private final Client reader = new Client(APP.address());

  private String entry(String feed) {
    Matcher link = Pattern.compile("href=\"([^\"]*/p/[^\"]*)\"").matcher(feed);
    assertThat(link.find()).as(feed).isTrue();
    return link.group(1).replace("&amp;", "&");
  }

  private String mark(Client who, String publication) {
    for (JsonNode said : who.get("/publications/" + publication).ok().get("said")) {
      if (said.get("member").asString().equals(group.member(0).pid())) {
        return said.get("mark").asString();
      }
    }
    return "";
  }

  @DisplayName(
      "Chosen: the entry leads to where it is marked; once, undoable, nothing said is lost")
  @Test
  void opened() {
    String alert = group.alert(group.folder("F"), "All", TestGroup.EVERYTHING, "at-once");
    APP.passUntilSomethingCame();
    JsonNode feed = oda.post("/feeds", Map.of("of", "alert:" + alert)).ok();
    String id = feed.get("id").asString();
    String path = URI.create(feed.get("address").asString()).getPath();
    Client.Response before = reader.get(path);
    assertThat(entry(before.body())).doesNotContain("from=");
    String work = entry(before.body()).replaceAll(".*/p/", "");
    Map<String, Object> opened = Map.of("publication", work);
    assertThat(oda.post("/feeds/" + id + "/opened", opened).status())
        .as("not chosen")
        .isEqualTo(404);

    assertThat(oda.put("/feeds/" + id, Map.of("marksSeen", true)).ok().get("marksSeen").asBoolean())
        .isTrue();
    Client.Response after = reader.get(path, "If-None-Match", before.header("ETag"));
    assertThat(after.status()).as("it says something else now").isEqualTo(200);
    assertThat(entry(after.body())).endsWith("/g/" + group.pid() + "/p/" + work + "?from=" + id);
    assertThat(mark(oda, work)).as("reading the feed marks nothing").isEmpty();
    assertThat(group.client(1).post("/feeds/" + id + "/opened", opened).status())
        .as("somebody else's feed")
        .isEqualTo(404);

    UUID command = UUID.randomUUID();
    assertThat(oda.post("/feeds/" + id + "/opened", opened, command).ok().get("seen").asBoolean())
        .isTrue();
    assertThat(mark(oda, work)).isEqualTo("seen");
    assertThat(oda.post("/feeds/" + id + "/opened", opened).ok().get("seen").asBoolean())
        .as("said already")
        .isFalse();
    oda.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(mark(oda, work)).isEmpty();
    oda.post(
            "/marks", Map.of("publications", java.util.List.of(work), "mark", "pass", "reason", ""))
        .ok();
    oda.post("/feeds/" + id + "/opened", opened).ok();
    assertThat(mark(oda, work)).as("what was said stays").isEqualTo("pass");
    oda.post("/feeds/" + id + "/revoke", Map.of());
    assertThat(oda.post("/feeds/" + id + "/opened", opened).status()).isEqualTo(404);
  }

  @DisplayName("A guest has no lamps, a calendar no entries: neither is chosen")
  @Test
  void notForAll() {
    String alert = group.alert(group.folder("G"), "Some", "moths", "daily");
    Client guest = group.client(2);
    String guests =
        guest.post("/feeds", Map.of("of", "alert:" + alert)).json().path("id").asString("none");
    assertThat(guest.put("/feeds/" + guests, Map.of("marksSeen", true)).status()).isIn(403, 404);
    String calendar = oda.post("/feeds", Map.of("of", "rounds")).ok().get("id").asString();
    assertThat(oda.put("/feeds/" + calendar, Map.of("marksSeen", true)).status()).isEqualTo(404);
  }
}
