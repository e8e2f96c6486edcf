package org.quietlantern.server.openurl;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.Socket;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** OpenURLs in both directions: what others mean by theirs, and where ours lead. */
class LinksOfOthersTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);
  private TestGroup group;
  private Client ada;

  @BeforeEach
  void found() {
    group = APP.group("Ada Asker", "Ben Joiner").guest("Gus Guest");
    ada = group.client(0);
  }

  private record Known(String pid, String doi, String issn, String volume, String page) {}

  private Known known() {
    return database.queryForObject(
        "select pid, fields->>'doi' as doi, fields->'host'->>'issn' as issn,"
            + " fields->'host'->>'volume' as volume, fields->'host'->>'firstPage' as page"
            + " from publication where fields->>'doi' <> '' and fields->'host'->>'issn' <> ''"
            + " and fields->'host'->>'firstPage' <> '' and fields->>'open' = 'false'"
            + " and canonical is null and grp is null and withdrawn is null order by id limit 1",
        (row, n) ->
            new Known(
                row.getString("pid"),
                row.getString("doi"),
                row.getString("issn"),
                row.getString("volume"),
                row.getString("page")));
  }

  private static JsonNode meant(Client who, String query) {
    return who.get("/described?described=" + URLEncoder.encode(query, StandardCharsets.UTF_8)).ok();
  }

  private static String place(Client who, String query) {
    Client.Response answer = who.below("").get("/openurl?" + query);
    assertThat(answer.status()).isEqualTo(302);
    return answer.header("Location");
  }

  @DisplayName("By DOI, by place in a journal or by our own link it is the publication")
  @Test
  void meantForSure() {
    Known known = known();
    String byPlace =
        "issn=%s&volume=%s&spage=%s".formatted(known.issn(), known.volume(), known.page());
    for (String query :
        List.of(
            "rft_id=info:doi/" + known.doi(),
            "id=doi:" + known.doi().toUpperCase(Locale.ROOT),
            byPlace,
            "rft_id=" + APP.address() + "/p/" + known.pid())) {
      assertThat(meant(ada, query).get("found").asString()).as(query).isEqualTo(known.pid());
      assertThat(place(new Client(APP.address()), query)).endsWith("/p/" + known.pid());
      assertThat(place(ada, query)).endsWith("/open/described?" + query);
    }
  }

  @DisplayName("The same title by somebody else is not it, and is shown as what it may be")
  @Test
  void alike() {
    String title =
        database.queryForObject(
            "select fields->>'title' from publication where pid = ?", String.class, known().pid());
    String query = "rft.atitle=" + URLEncoder.encode(title, StandardCharsets.UTF_8);
    JsonNode shown = meant(ada, query + "&rft.aulast=Nobody");
    assertThat(shown.get("found")).isNull();
    assertThat(shown.get("alike").findValuesAsString("id")).contains(known().pid());
    assertThat(place(new Client(APP.address()), query + "&rft.aulast=Nobody"))
        .contains("/open/described?");
  }

  @DisplayName("A link that says very much is asked for like any other, once")
  @Test
  void muchSaid() {
    String much = "rft.atitle=" + "lamp%20".repeat(140) + "&rft.au=A%20B".repeat(300);
    Map<String, String> body = Map.of("described", much, "note", "");
    ada.write("POST", "/described/requests", body, UUID.randomUUID()).ok();
    JsonNode again = ada.write("POST", "/described/requests", body, UUID.randomUUID()).ok();
    assertThat(again.get("joined").asBoolean()).isTrue();
  }

  @DisplayName(
      "What is not here can be asked for, once in a group, and goes to the library as it is")
  @Test
  void notHere() {
    String query = "rft.atitle=Lamps%20of%20nowhere&rft.aulast=Sey&rft.date=2024";
    JsonNode shown = meant(ada, query);
    assertThat(shown.get("found")).isNull();
    assertThat(shown.get("citation").asString()).contains("Lamps of nowhere", "Sey", "2024");
    assertThat(place(new Client(APP.address()), query)).endsWith("/open/described?" + query);

    Map<String, Object> lender =
        Map.of(
            "name",
            "The library",
            "address",
            APP.outside().address() + "/lending/requests",
            "kinds",
            new String[] {"article"});
    ada.write("PUT", "/lenders", Map.of("lenders", java.util.List.of(lender)), UUID.randomUUID())
        .ok();
    Map<String, String> body = Map.of("described", query, "note", "");
    JsonNode first = ada.write("POST", "/described/requests", body, UUID.randomUUID()).ok();
    // Said in another order it is the same work.
    Map<String, String> turned =
        Map.of("described", "date=2024&aulast=Sey&atitle=Lamps+of+nowhere", "note", "");
    JsonNode second =
        group.client(1).write("POST", "/described/requests", turned, UUID.randomUUID()).ok();
    assertThat(second.get("request")).isEqualTo(first.get("request"));
    assertThat(second.get("joined").asBoolean()).isTrue();
    JsonNode line = ada.get("/requests").ok().get("requests").get(0);
    assertThat(line.get("described").asString()).contains("Lamps of nowhere");
    assertThat(line.get("publication")).isNull();
    assertThat(ada.get("/requests.csv").body()).contains("Lamps of nowhere");
    assertThat(meant(ada, query).get("requests")).hasSize(1);
    assertThat(meant(APP.group("Olga Other").client(0), query).get("requests")).isEmpty();
  }

  @DisplayName("A link that describes nothing says so; a guest asks for nothing")
  @Test
  void nothing() {
    assertThat(meant(ada, "").get("citation").asString()).isEmpty();
    assertThat(meant(ada, "genre=article&%zz=%").get("citation").asString()).isEmpty();
    assertThat(place(ada, "")).endsWith("/open/described?");
    Map<String, String> empty = Map.of("described", "x", "note", "");
    UUID command = UUID.randomUUID();
    assertThat(ada.write("POST", "/described/requests", empty, command).status()).isEqualTo(422);
    Map<String, String> full = Map.of("described", "atitle=Lamps", "note", "");
    assertThat(group.client(2).write("POST", "/described/requests", full, command).status())
        .isEqualTo(403);
  }

  @DisplayName("What is no escape is refused with a sentence")
  @Test
  void broken() throws Exception {
    URI at = URI.create(APP.address());
    try (Socket line = new Socket(at.getHost(), at.getPort())) {
      String asked =
          "GET /openurl?atitle=%zz&x=% HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n";
      line.getOutputStream().write(asked.getBytes(StandardCharsets.US_ASCII));
      String answer = new String(line.getInputStream().readAllBytes(), StandardCharsets.US_ASCII);
      assertThat(answer)
          .startsWith("HTTP/1.1 400")
          .contains("The address holds what cannot be text.");
    }
  }

  @DisplayName("The group's own library is a way to what is not open, and is said by a coordinator")
  @Test
  void ours() {
    Known known = known();
    Map<String, String> library =
        Map.of("name", "The town library", "address", "https://links.example/find?from=us");
    assertThat(group.client(1).write("PUT", "/library", library, UUID.randomUUID()).status())
        .isEqualTo(403);
    UUID command = UUID.randomUUID();
    ada.write("PUT", "/library", library, command).ok();
    JsonNode ways = group.client(1).get("/publications/" + known.pid() + "/ways").ok();
    List<String> what = ways.findValuesAsString("what");
    assertThat(what).contains("library");
    JsonNode way = ways.get(what.indexOf("library"));
    assertThat(way.get("address").asString())
        .startsWith("https://links.example/find?from=us&url_ver=Z39.88-2004")
        .contains("rft_id=info%3Adoi%2F10.5555");
    assertThat(way.get("ground").asString()).startsWith("The town library");
    ada.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(ada.get("/publications/" + known.pid() + "/ways").body()).doesNotContain("links.ex");
    Map<String, String> odd = Map.of("name", "x", "address", "javascript:alert(1)");
    assertThat(ada.write("PUT", "/library", odd, UUID.randomUUID()).status()).isEqualTo(422);
  }
}
