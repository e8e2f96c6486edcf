package org.quietlantern.server.opened;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** K3: a folder that whoever has its address may read. */
class OpenedFoldersTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Cora Ordinator", "Ben Member");
  private final Client ben = group.client(1);
  private final String folder = group.folder("Lamps & <ditches>");
  private final List<String> moths = group.find("moth*");
  private final Client stranger = new Client(APP.address());

  private String path(JsonNode link, String of) {
    String address = link.get(of).asString();
    return address.substring(address.indexOf("/shared/"));
  }

  private JsonNode open() {
    return ben.post("/folders/" + folder + "/link", Map.of()).ok();
  }

  private void keep(List<String> publications, String note) {
    ben.post("/folders/" + folder + "/items", Map.of("publications", publications, "note", note))
        .ok();
  }

  private Client.Response revoke(UUID command) {
    return ben.write("DELETE", "/folders/" + folder + "/link", Map.of(), command);
  }

  @DisplayName("Citations and links, by page and feed; no name, reason, remark, mark or group")
  @Test
  void shown() {
    keep(moths.subList(0, 2), "because of Teodor");
    ben.post("/publications/" + moths.get(0) + "/remarks", Map.of("text", "Weak methods")).ok();
    JsonNode link = open();
    String page = stranger.get(path(link, "address")).body();
    String feed = stranger.get(path(link, "feed")).body();
    assertThat(page)
        .contains("Lamps &amp; &lt;ditches&gt;", "2 publications", "/p/" + moths.get(0));
    assertThat(feed).contains("<entry>", "/p/" + moths.get(1), "Lamps &amp; &lt;ditches&gt;");
    for (String told : List.of(page, feed)) {
      assertThat(told)
          .doesNotContain("Ben", "Cora", "because", "Weak", "Group ", group.pid(), folder, "keep");
    }
    Client.Response headers = stranger.get(path(link, "address"));
    assertThat(headers.header("X-Robots-Tag")).isEqualTo("noindex");
    assertThat(headers.header("Set-Cookie")).isEmpty();
  }

  @DisplayName("As a bibliography: style, headings, what is agreed where that is opened; no names")
  @Test
  void bibliography() {
    keep(moths.subList(0, 3), "because of Teodor");
    String said = "/folders/" + folder + "/annotations/";
    ben.put(said + moths.get(0), Map.of("text", "Good & <b>sound</b>.", "version", 0)).ok();
    ben.put(said + moths.get(1), Map.of("text", "Only a draft.", "version", 0)).ok();
    ben.post(
            said + moths.get(0) + "/remarks",
            Map.of("text", "Weak methods", "seen", "Good & <b>sound</b>."))
        .ok();
    String remark = ben.get(said + moths.get(0)).ok().at("/remarks/0/id").asString();
    ben.put(said + moths.get(0) + "/remarks/" + remark, Map.of("outcome", "left")).ok();
    group
        .client(0)
        .put(said + moths.get(0) + "/state", Map.of("state", "agreed", "version", 1))
        .ok();
    String made = "/folders/" + folder + "/bibliography";
    Map<String, String> heading = Map.of("was", "", "name", "By <night>");
    ben.put(made + "/chapters", Map.of("chaptersSeen", List.of(), "chapters", List.of(heading)))
        .ok();
    ben.put(
            made + "/chapter",
            Map.of("publications", List.of(moths.get(2)), "chapter", "By <night>"))
        .ok();
    ben.post(
            made + "/entries/" + moths.get(0) + "/quoted",
            Map.of("described", "Pell (1987)", "doi", ""))
        .ok();
    String path = path(open(), "bibliography");
    assertThat(stranger.get(path).body())
        .contains("<h2>By &lt;night&gt;</h2>", "APA", "<p class=\"hanging\">")
        .doesNotContain("sound", "draft", "Pell");
    UUID act = UUID.randomUUID();
    ben.write("PUT", "/folders/" + folder + "/link", Map.of("annotated", true), act).ok();
    assertThat(stranger.get(path).body())
        .contains("Good &amp; &lt;b&gt;sound&lt;/b&gt;.", "Quoted through this: Pell (1987)")
        .doesNotContain(
            "draft", "Weak", "Ben", "Cora", "because", "not read", group.pid(), "style=");
    ben.post("/actions/" + act + "/undo", Map.of()).ok();
    assertThat(stranger.get(path).body()).doesNotContain("sound");
    assertThat(stranger.get(path.replace("/bibliography", "x/bibliography")).status())
        .isEqualTo(404);
    revoke(UUID.randomUUID()).ok();
    assertThat(stranger.get(path).status()).isEqualTo(410);
    assertThat(stranger.get(path).body()).doesNotContain("Lamps");
  }

  @DisplayName("C3: what the group mended is shown so, by page and feed")
  @Test
  void mended() {
    keep(moths.subList(0, 1), "");
    String title =
        ben.get("/publications/" + moths.get(0)).ok().at("/publication/title").asString();
    Map<String, String> mend =
        Map.of(
            "publication",
            moths.get(0),
            "field",
            "title",
            "was",
            title,
            "value",
            "Lanterns of our own");
    ben.put("/mends", Map.of("mends", List.of(mend))).ok();
    JsonNode link = open();
    assertThat(stranger.get(path(link, "address")).body()).contains("Lanterns of our own");
    assertThat(stranger.get(path(link, "feed")).body()).contains("Lanterns of our own");
  }

  @DisplayName("What is kept later stands in the feed first; who has it already gets 304")
  @Test
  void grows() {
    keep(moths.subList(0, 1), "");
    JsonNode link = open();
    Client.Response first = stranger.get(path(link, "feed"));
    assertThat(stranger.get(path(link, "feed"), "If-None-Match", first.header("ETag")).status())
        .isEqualTo(304);
    keep(moths.subList(1, 2), "");
    String body = stranger.get(path(link, "feed"), "If-None-Match", first.header("ETag")).body();
    assertThat(body.indexOf(moths.get(1))).isPositive().isLessThan(body.indexOf(moths.get(0)));
  }

  @DisplayName("More than a page goes on, each once")
  @Test
  void pages() {
    List<String> many = group.find("not xylophones").stream().limit(130).toList();
    assertThat(many).hasSize(130);
    keep(many, "");
    JsonNode link = open();
    String first = stranger.get(path(link, "address")).body();
    String further =
        first
            .replace("&#x3D;", "=")
            .replaceFirst("(?s).*href=\"[^\"]*(\\?before=\\d+)\">Further.*", "$1");
    String second = stranger.get(path(link, "address") + further).body();
    assertThat(many).allMatch(one -> first.contains(one) != second.contains(one));
    assertThat(first).contains("130 publications");
    assertThat(second).contains("From the beginning").doesNotContain("Further back");
    assertThat(stranger.get(path(link, "feed")).body()).contains("rel=\"next\"");
  }

  @DisplayName("Revoked it is gone, undone it leads there again; another address is another")
  @Test
  void revoked() {
    JsonNode link = open();
    String address = path(link, "address");
    assertThat(ben.post("/folders/" + folder + "/link", Map.of()).type()).isEqualTo("open-already");
    UUID command = UUID.randomUUID();
    revoke(command).ok();
    assertThat(stranger.get(address).status()).isEqualTo(410);
    assertThat(stranger.get(path(link, "feed")).status()).isEqualTo(410);
    assertThat(ben.get("/folders/" + folder + "/link").ok().get("address")).isNull();
    ben.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(stranger.get(address).status()).isEqualTo(200);
    UUID again = UUID.randomUUID();
    revoke(again).ok();
    String other = path(open(), "address");
    assertThat(other).isNotEqualTo(address);
    assertThat(stranger.get(address).status()).isEqualTo(410);
    assertThat(ben.post("/actions/" + again + "/undo", Map.of()).type()).isEqualTo("changed-since");
    ben.write("DELETE", "/folders/" + folder, Map.of(), UUID.randomUUID()).ok();
    assertThat(stranger.get(other).status()).as("in the bin").isEqualTo(410);
  }

  @DisplayName("A wrong secret, a folder's own id, a word: nothing")
  @Test
  void wrong() {
    String address = path(open(), "address");
    assertThat(stranger.get(address.substring(0, address.length() - 1) + "~").status())
        .isEqualTo(404);
    assertThat(stranger.get("/shared/" + folder + "/x").status()).isEqualTo(404);
    assertThat(stranger.get("/shared/" + folder + "/x.atom").status()).isEqualTo(404);
    assertThat(stranger.get(address + "?before=99999999").body()).contains("From the beginning");
  }

  @DisplayName("What the group alone has is cited, without a link that nobody could open")
  @Test
  void own() {
    keep(moths.subList(0, 2), "");
    JsonNode link = open();
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    String owned = "update publication set grp = ? where pid = ?";
    database.update(owned, group.member(0).group(), moths.get(0));
    try {
      String page = stranger.get(path(link, "address")).body();
      assertThat(page).contains("/p/" + moths.get(1)).doesNotContain("/p/" + moths.get(0));
      assertThat(page.split("<li>")).hasSize(3);
      assertThat(stranger.get(path(link, "feed")).body())
          .contains("/p/" + moths.get(1))
          .doesNotContain("/p/" + moths.get(0));
    } finally {
      database.update(owned, null, moths.get(0));
    }
  }

  @DisplayName("A pile is nobody's to open")
  @Test
  void pile() {
    String pile =
        ben.post("/pile/items", Map.of("publications", moths.subList(0, 1), "note", ""))
            .ok()
            .get("folderId")
            .asString();
    assertThat(ben.post("/folders/" + pile + "/link", Map.of()).type()).isEqualTo("pile");
    assertThat(group.client(0).get("/folders/" + pile + "/link").status()).isEqualTo(404);
  }
}
