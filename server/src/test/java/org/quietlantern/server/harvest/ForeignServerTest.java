package org.quietlantern.server.harvest;

import static org.assertj.core.api.Assertions.assertThat;

import io.gdcc.xoai.model.oaipmh.Granularity;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Harvests a server of OAI-PMH that nobody here wrote, in both of its notions of time. */
class ForeignServerTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private static final TestGroup GROUP = APP.group("Stina Steward");
  private static final Client STINA = GROUP.client(0);
  private static final Map<String, String> FORMATS =
      Map.of(
          "oai_dc",
          "http://www.openarchives.org/OAI/2.0/oai_dc/",
          "library",
          "http://www.loc.gov/MARC21/slim",
          "etdms",
          "http://www.ndltd.org/standards/metadata/etdms/1.0/");
  private static final Map<String, Function<ForeignServer.Entry, String>> WRITERS =
      Map.of(
          "oai_dc",
          entry ->
              "<oai_dc:dc xmlns:oai_dc='http://www.openarchives.org/OAI/2.0/oai_dc/'"
                  + " xmlns:dc='http://purl.org/dc/elements/1.1/'><dc:title>"
                  + entry.title()
                  + "</dc:title></oai_dc:dc>",
          "library",
          entry ->
              "<record xmlns='http://www.loc.gov/MARC21/slim'><leader>00000nam a22</leader>"
                  + "<datafield tag='245' ind1='0' ind2='0'><subfield code='a'>"
                  + entry.title()
                  + "</subfield></datafield></record>");

  @BeforeAll
  static void steward() {
    APP.makeSteward(GROUP.member(0));
  }

  private static ForeignServer.Entry entry(int n, Instant at, boolean deleted, String title) {
    String set = n % 4 == 0 ? "bats" : "moths";
    return new ForeignServer.Entry("oai:others.example:" + n, at, deleted, set, title);
  }

  private static JsonNode source(String key) {
    return STINA
        .get("/sources")
        .ok()
        .valueStream()
        .filter(source -> source.get("key").asString().equals(key))
        .findFirst()
        .orElseThrow();
  }

  @DisplayName(
      "Looked at, tried, one set harvested over pages, then only what changed, and what went")
  @ParameterizedTest
  @EnumSource(Granularity.class)
  void harvested(Granularity granularity) {
    Instant then = Instant.parse("2026-11-01T10:00:00Z");
    try (ForeignServer server = new ForeignServer(granularity, FORMATS, WRITERS)) {
      for (int n = 0; n < 250; n++) {
        server.entries.add(entry(n, then, false, "Lamp %s %d".formatted(granularity, n)));
      }
      String address = server.address().toString();
      JsonNode looked = STINA.post("/sources/look", Map.of("address", address)).ok();
      assertThat(looked.get("name").asString()).isEqualTo("A repository of others");
      assertThat(looked.get("formats").toString())
          .isEqualTo(
              "[{\"prefix\":\"library\",\"spoken\":\"MARCXML\"},"
                  + "{\"prefix\":\"oai_dc\",\"spoken\":\"Dublin Core\"}]");
      assertThat(looked.get("otherFormats").toString()).isEqualTo("[\"etdms\"]");
      assertThat(looked.get("sets").toString())
          .isEqualTo(
              "[{\"set\":\"moths\",\"name\":\"Moths\"},{\"set\":\"bats\",\"name\":\"Bats\"}]");
      Map<String, Object> wanted =
          Map.of(
              "address",
              address,
              "name",
              "Others " + granularity,
              "format",
              "library",
              "set",
              "moths",
              "rank",
              7,
              "abstractsOpen",
              false);
      assertThat(STINA.post("/sources/records", wanted).ok()).hasSize(20);
      String key = STINA.post("/sources", wanted).ok().get("key").asString();
      Harvests harvests = APP.bean(Harvests.class);
      harvests.harvestDue();
      assertThat(source(key).get("records").asInt()).isEqualTo(187);
      assertThat(source(key).get("error")).isNull();
      assertThat(
              DATABASE.queryForObject(
                  "select expected from harvest h join source s on s.id = h.source"
                      + " where s.key = ?",
                  Integer.class,
                  key))
          .isEqualTo(187);

      Instant now = Instant.now();
      server.entries.set(1, entry(1, now, false, "Another lamp " + granularity));
      server.entries.set(2, entry(2, now, true, "gone"));
      server.entries.add(entry(251, now, false, "A newer lamp " + granularity));
      server.asked.clear();
      STINA.write("POST", "/sources/" + key + "/tries", Map.of(), UUID.randomUUID());
      harvests.harvestDue();
      assertThat(source(key).get("error")).isNull();
      assertThat(server.asked.get(0)).contains("from=");
      assertThat(source(key).get("records").asInt()).isEqualTo(187);
      assertThat(
              DATABASE.queryForList(
                  "select p.fields ->> 'title' from publication p join source_record r"
                      + " on r.publication = p.id join source s on s.id = r.source"
                      + " where s.key = ? and p.withdrawn is null and r.raw like '%nother lamp%'",
                  String.class, key))
          .containsExactly("Another lamp " + granularity);
    }
  }
}
