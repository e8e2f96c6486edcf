package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;

class LinkTest {
  private static final TestApp APP = TestApp.shared();
  private static final TestGroup GROUP = APP.group("Liv Link");
  private final Client anybody = new Client(APP.address());
  private final String id = GROUP.find("moth").get(0);

  @DisplayName(
      "K3: a stable link is readable by anyone, with metadata in its head and nothing of a group")
  @Test
  void aStableLinkIsReadableByAnyone() {
    Client.Response page = anybody.get("/p/" + id);
    assertThat(page.status()).isEqualTo(200);
    assertThat(page.body())
        .contains("<meta name=\"DC.title\"", "10.5555/", "Open in my group")
        .doesNotContain("Group ");
    assertThat(page.headers().map()).doesNotContainKey("set-cookie");
    assertThat(page.header("Content-Security-Policy")).contains("default-src 'self'");
  }

  @DisplayName("K3: an abstract is shown to anyone only where a source allows it that supplied it")
  @Test
  void abstracts() {
    Harvests harvests = APP.bean(Harvests.class);
    String text = GROUP.client(0).get("/publications/" + id).ok().get("abstractText").asString();
    String beginning = text.substring(0, 30);
    assertThat(anybody.get("/p/" + id).body()).doesNotContain(beginning);
    harvests.showAbstracts("night-index", true);
    assertThat(anybody.get("/p/" + id).body()).contains(beginning);
    harvests.showAbstracts("night-index", false);
    assertThat(anybody.get("/p/" + id).body()).doesNotContain(beginning);
  }

  @DisplayName("K3: a mistyped link is recognised, an unknown one is not confused with it")
  @Test
  void mistyped() {
    char last = id.charAt(9);
    String wrong = id.substring(0, 9) + (last == 'z' ? 'y' : 'z');
    assertThat(anybody.get("/p/" + wrong).body()).contains("This link is mistyped", wrong);
    assertThat(anybody.get("/p/" + wrong).status()).isEqualTo(404);
    assertThat(anybody.get("/p/0000000000").body()).contains("nothing at this address");
    assertThat(anybody.get("/p/%3Cscript%3E").body()).contains("&lt;script&gt;");
    Client.Response loud = anybody.get("/p/" + id.toUpperCase(java.util.Locale.ROOT));
    assertThat(loud.status()).isIn(200, 301);
  }

  @DisplayName("K3: withdrawn leaves a notice with the citation; merged redirects")
  @Test
  void withdrawnAndMerged() {
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    List<String> two = GROUP.find("bats").subList(3, 5);
    database.update("update publication set withdrawn = '2026-11-20' where pid = ?", two.get(0));
    Client.Response notice = anybody.get("/p/" + two.get(0));
    assertThat(notice.status()).isEqualTo(410);
    assertThat(notice.body()).contains("withdrawn this record", "doi:10.5555/");
    database.update(
        "update publication set canonical = (select id from publication where pid = ?) where pid = ?",
        id,
        two.get(1));
    Client.Response merged = anybody.get("/p/" + two.get(1));
    assertThat(merged.status()).isEqualTo(301);
    assertThat(merged.header("Location")).isEqualTo("/p/" + id);
    database.update(
        "update publication set withdrawn = null, canonical = null where pid = any(?)",
        (Object) two.toArray(String[]::new));
  }

  @DisplayName("Links for members lead on, and are unknown to anyone else")
  @Test
  void linksForMembers() {
    String folder = GROUP.folder("Linked");
    String q =
        GROUP
            .client(0)
            .post("/steps", Map.of("asked", Map.of("text", "moth"), "order", "here"))
            .ok()
            .get("q")
            .asString();
    String note =
        GROUP
            .client(0)
            .post("/folders/" + folder + "/notes", Map.of("of", "glance:q:" + q))
            .ok()
            .get("note")
            .get("id")
            .asString();
    Client liv = GROUP.client(0).below("");
    Client.Response led = liv.get("/f/" + folder);
    assertThat(led.status()).isEqualTo(302);
    assertThat(led.header("Location")).isEqualTo("/g/" + GROUP.pid() + "/f/" + folder);
    assertThat(liv.get("/q/" + q).status()).isEqualTo(302);
    assertThat(liv.get("/n/" + note).header("Location"))
        .isEqualTo("/g/" + GROUP.pid() + "/n/" + note);
    Client stranger = APP.group("Lars Link").client(0).below("");
    String unknown = anybody.get("/f/0000000000").body();
    for (String path : List.of("/f/" + folder, "/q/" + q, "/n/" + note)) {
      assertThat(stranger.get(path).status()).isEqualTo(404);
      assertThat(anybody.get(path).body()).isEqualTo(unknown);
    }
  }
}
