package org.quietlantern.server.harvest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Stewards add sources by their addresses, and look after them. */
class SourceKeepingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private static final TestGroup GROUP = APP.group("Stina Steward", "Mats Member");
  private static final Client STINA = GROUP.client(0);

  @BeforeAll
  static void steward() {
    APP.makeSteward(GROUP.member(0));
  }

  private static String address() {
    String there =
        DATABASE.queryForObject(
            "select base_url from source where key = 'night-index'", String.class);
    return there;
  }

  private static Map<String, Object> wanted(String name, String address) {
    return Map.of(
        "address",
        address,
        "name",
        name,
        "format",
        "oai_dc",
        "set",
        "",
        "rank",
        7,
        "abstractsOpen",
        true);
  }

  @DisplayName("An address is looked at: its name, its formats, what it says of deletions")
  @Test
  void look() {
    JsonNode looked = STINA.post("/sources/look", Map.of("address", address())).ok();
    assertThat(looked.get("name").asString()).isEqualTo("The Night Index");
    assertThat(looked.get("formats").toString())
        .isEqualTo(
            "[{\"prefix\":\"mods\",\"spoken\":\"MODS\"},"
                + "{\"prefix\":\"oai_dc\",\"spoken\":\"Dublin Core\"}]");
    assertThat(looked.get("deletes").asString()).isEqualTo("persistent");
    assertThat(looked.get("sets")).isEmpty();
    assertThat(looked.get("moreSets").asBoolean()).isFalse();
  }

  @DisplayName("Its first twenty records are shown as supplied and as read; nothing is kept")
  @Test
  void tried() {
    Integer before = DATABASE.queryForObject("select count(*) from source_record", Integer.class);
    JsonNode records = STINA.post("/sources/records", wanted("Night", address())).ok();
    assertThat(records).hasSize(20);
    assertThat(records.at("/0/raw").asString()).startsWith("<oai_dc:dc");
    assertThat(records.at("/0/raw").asString())
        .contains(records.at("/0/title").asString().substring(0, 10));
    assertThat(DATABASE.queryForObject("select count(*) from source_record", Integer.class))
        .isEqualTo(before);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "night-index",
        "ftp://127.0.0.1/",
        "http://u:p@127.0.0.1/",
        "http://[",
        "http://"
      })
  void whatIsNoAddress(String address) {
    Client.Response refused = STINA.post("/sources/look", Map.of("address", address));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains("This is no address");
  }

  @DisplayName("What is not OAI-PMH, not public or not there is told in a sentence")
  @Test
  void whatIsNoSource() {
    String base = address().replaceAll("/night-index.*", "");
    assertThat(STINA.post("/sources/look", Map.of("address", base + "/nowhere")).body())
        .contains("Nothing could be read there");
    assertThat(STINA.post("/sources/look", Map.of("address", APP.address() + "/sign-in")).body())
        .containsAnyOf("is no XML", "does not speak OAI-PMH");
    assertThat(STINA.post("/sources/look", Map.of("address", "http://10.1.2.3/oai")).status())
        .isEqualTo(422);
    assertThat(STINA.post("/sources/look", Map.of("address", "http://127.0.0.1:9/oai")).body())
        .contains("Nothing could be read there");
  }

  @DisplayName("Added once: named apart, harvested at the next chance, paused and back")
  @Test
  void added() {
    String other = address().replace("night-index", "early-light");
    DATABASE.update("delete from source where base_url = ? and key <> 'early-light'", other);
    DATABASE.update("update source set base_url = base_url || '/moved' where key = 'early-light'");
    UUID command = UUID.randomUUID();
    Map<String, Object> wanted = wanted("Früh & licht!", other + "?verb=Identify");
    String key = STINA.write("POST", "/sources", wanted, command).ok().get("key").asString();
    assertThat(key).isEqualTo("fruh-licht");
    assertThat(STINA.write("POST", "/sources", wanted, command).ok().get("key").asString())
        .isEqualTo(key);
    assertThat(STINA.write("POST", "/sources", wanted, UUID.randomUUID()).status()).isEqualTo(409);
    Map<String, Object> elsewhere = wanted("Früh, licht", "http://127.0.0.1:9/other");
    assertThat(
            STINA
                .write("POST", "/sources", elsewhere, UUID.randomUUID())
                .ok()
                .get("key")
                .asString())
        .isEqualTo("fruh-licht-2");
    assertThat(source(key).get("abstractsOpen").asBoolean()).isTrue();

    UUID pausing = UUID.randomUUID();
    STINA
        .write(
            "PUT",
            "/sources/" + key,
            Map.of("name", "Early", "rank", 9, "abstractsOpen", false, "paused", true),
            pausing)
        .ok();
    APP.bean(Harvests.class).harvestDue();
    assertThat(source(key).get("paused").asBoolean()).isTrue();
    assertThat(source(key).get("harvested")).isNull();
    STINA.post("/actions/" + pausing + "/undo", Map.of()).ok();
    assertThat(source(key).get("name").asString()).isEqualTo("Früh & licht!");
    APP.bean(Harvests.class).harvestDue();
    assertThat(source(key).get("harvested")).isNotNull();
    assertThat(source(key).get("records").asInt()).isPositive();
  }

  private static JsonNode source(String key) {
    for (JsonNode source : STINA.get("/sources").ok()) {
      if (source.get("key").asString().equals(key)) {
        return source;
      }
    }
    throw new AssertionError(key);
  }

  @DisplayName("Only stewards; everybody else is refused before anything is asked")
  @Test
  void onlyStewards() {
    Client mats = GROUP.client(1);
    for (String path : List.of("/sources/look", "/sources/records", "/sources")) {
      Client.Response refused =
          mats.write("POST", path, wanted("Night", address()), UUID.randomUUID());
      assertThat(refused.status()).as(path).isEqualTo(403);
    }
    assertThat(
            mats.write(
                    "PUT",
                    "/sources/night-index",
                    Map.of("name", "Mine", "rank", 1, "abstractsOpen", true, "paused", false),
                    UUID.randomUUID())
                .status())
        .isEqualTo(403);
  }

  @ParameterizedTest
  @ValueSource(strings = {"rank", "name", "format"})
  void whatCannotBe(String field) {
    Map<String, Object> wanted = new java.util.HashMap<>(wanted("Night", "http://127.0.0.1:9/x"));
    wanted.put(field, field.equals("rank") ? 0 : "");
    assertThat(STINA.write("POST", "/sources", wanted, UUID.randomUUID()).status()).isEqualTo(422);
  }
}
