package org.quietlantern.server.harvest;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.server.platform.Calendar;
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

  private static Client.Response change(String key, Map<String, Object> more) {
    Map<String, Object> kept =
        new HashMap<>(
            Map.of("name", "Changed", "rank", 8, "abstractsOpen", false, "paused", false));
    kept.putAll(more);
    return STINA.write("PUT", "/sources/" + key, kept, UUID.randomUUID());
  }

  private static ScriptedSource answering(UnaryOperator<String> answer) {
    return new ScriptedSource()
        .then(
            exchange -> {
              String said = answer.apply(exchange.getRequestURI().getQuery());
              ScriptedSource.xml(said.getBytes(StandardCharsets.UTF_8)).handle(exchange);
            });
  }

  private static String scripted(String name, ScriptedSource source) {
    return STINA
        .post("/sources", wanted(name, source.address().toString()))
        .ok()
        .get("key")
        .asString();
  }

  private static int harvests(String key) {
    return DATABASE.queryForObject(
        "select count(*) from harvest h join source s on s.id = h.source where s.key = ?"
            + " and h.state = 'done'",
        Integer.class,
        key);
  }

  @DisplayName("Asked as often as it is said, and only at its hours, over midnight too")
  @Test
  void hours() throws IOException {
    Harvests harvests = APP.bean(Harvests.class);
    Instant before = APP.bean(Calendar.class).now();
    try (ScriptedSource source = answering(query -> ScriptedSource.list("", record(1)))) {
      String key = scripted("Hourly", source);
      assertThat(change(key, Map.of("everyHours", 5)).status()).isEqualTo(422);
      assertThat(change(key, Map.of("hourFrom", 22)).status()).isEqualTo(422);
      assertThat(change(key, Map.of("hourFrom", 22, "hourTo", 24)).status()).isEqualTo(422);
      change(key, Map.of("everyHours", 6)).ok();
      harvests.harvestDue();
      assertThat(harvests(key)).isEqualTo(1);
      APP.setClock(before.plus(Duration.ofHours(5)));
      harvests.harvestDue();
      assertThat(harvests(key)).as("too soon").isEqualTo(1);
      APP.setClock(before.plus(Duration.ofHours(7)));
      harvests.harvestDue();
      assertThat(harvests(key)).isEqualTo(2);
      change(key, Map.of("everyHours", 1, "hourFrom", 22, "hourTo", 6)).ok();
      Instant noon = before.truncatedTo(ChronoUnit.DAYS).plus(Duration.ofHours(36));
      APP.setClock(noon);
      harvests.harvestDue();
      assertThat(harvests(key)).as("at noon").isEqualTo(2);
      APP.setClock(noon.plus(Duration.ofHours(11)));
      harvests.harvestDue();
      assertThat(harvests(key)).as("at 23").isEqualTo(3);
      APP.setClock(noon.plus(Duration.ofHours(17)));
      harvests.harvestDue();
      assertThat(harvests(key)).as("at 5").isEqualTo(4);
      change(key, Map.of("everyHours", 168)).ok();
      APP.setClock(noon.plus(Duration.ofDays(6)));
      harvests.harvestDue();
      assertThat(harvests(key)).as("not a week yet").isEqualTo(4);
      APP.setClock(noon.plus(Duration.ofDays(8)));
      harvests.harvestDue();
      assertThat(harvests(key)).isEqualTo(5);
      STINA.write("DELETE", "/sources/" + key, Map.of(), UUID.randomUUID()).ok();
    }
  }

  private static String record(int n) {
    return ScriptedSource.record("kept:" + n, "A light of its own " + "abcdefghij".charAt(n));
  }

  @DisplayName(
      "Paused in the middle it stops at its page, and goes on there; meanwhile it says how far it is")
  @Test
  void pausedInTheMiddle() throws IOException {
    AtomicReference<String> key = new AtomicReference<>("");
    AtomicReference<JsonNode> seen = new AtomicReference<>();
    List<String> asked = new CopyOnWriteArrayList<>();
    try (ScriptedSource source =
        answering(
            query -> {
              asked.add(query);
              if (query.contains("resumptionToken=two") && seen.get() == null) {
                seen.set(source(key.get()).get("underWay"));
                change(key.get(), Map.of("paused", true)).ok();
              }
              return query.contains("resumptionToken=three")
                  ? ScriptedSource.list("", record(3))
                  : query.contains("resumptionToken=two")
                      ? ScriptedSource.list("three", record(2))
                      : ScriptedSource.list("two", record(1))
                          .replace("<resumptionToken>", "<resumptionToken completeListSize=\"3\">");
            })) {
      key.set(scripted("Middle", source));
      Harvests harvests = APP.bean(Harvests.class);
      harvests.harvestDue();
      assertThat(seen.get().get("taken").asInt()).isEqualTo(1);
      assertThat(seen.get().get("expected").asInt()).isEqualTo(3);
      assertThat(source(key.get()).get("underWay")).isNull();
      assertThat(source(key.get()).get("records").asInt()).isEqualTo(2);
      int soFar = asked.size();
      harvests.harvestDue();
      assertThat(asked).as("paused").hasSize(soFar);
      change(key.get(), Map.of()).ok();
      harvests.harvestDue();
      assertThat(asked.get(soFar)).contains("resumptionToken=three");
      assertThat(source(key.get()).get("records").asInt()).isEqualTo(3);
      STINA.write("DELETE", "/sources/" + key.get(), Map.of(), UUID.randomUUID()).ok();
    }
  }

  @DisplayName(
      "Ended: what nobody else supplies is withdrawn, as was counted before; asked again it is back")
  @Test
  void ended() throws IOException {
    List<String> asked = new CopyOnWriteArrayList<>();
    try (ScriptedSource source =
        answering(
            query -> {
              asked.add(query);
              return ScriptedSource.list("", record(4), record(5), record(6));
            })) {
      String key = scripted("Ended", source);
      HarvestJob job = APP.bean(HarvestJob.class);
      job.run();
      JsonNode would = STINA.get("/sources/" + key + "/ending").ok();
      assertThat(would.get("records").asInt()).isEqualTo(3);
      assertThat(would.get("publications").asInt()).isEqualTo(3);
      int before = withdrawn();
      UUID command = UUID.randomUUID();
      STINA.write("DELETE", "/sources/" + key, Map.of(), command).ok();
      job.run();
      assertThat(withdrawn()).isEqualTo(before + 3);
      assertThat(source(key).get("records").asInt()).isZero();
      assertThat(source(key).get("endingSince")).isNotNull();
      assertThat(STINA.post("/actions/" + command + "/undo", Map.of()).status()).isEqualTo(409);
      STINA.post("/sources/" + key + "/whole", Map.of()).ok();
      job.run();
      assertThat(withdrawn()).isEqualTo(before);
      assertThat(asked.get(asked.size() - 1)).doesNotContain("from=");
      job.run();
      STINA.post("/sources/" + key + "/tries", Map.of());
      job.run();
      assertThat(asked.get(asked.size() - 1)).as("after the whole").contains("from=");
    }
  }

  private static int withdrawn() {
    return DATABASE.queryForObject(
        "select count(*) from publication where withdrawn is not null", Integer.class);
  }

  @DisplayName(
      "What it supplied can be looked through, page by page, by name, and only what is odd")
  @Test
  void records() {
    JsonNode first = STINA.get("/sources/night-index/records").ok();
    assertThat(first.get("records")).hasSize(20);
    assertThat(first.get("more").asBoolean()).isTrue();
    int last = first.at("/records/19/id").asInt();
    JsonNode next = STINA.get("/sources/night-index/records?after=" + last).ok();
    assertThat(next.at("/records/0/id").asInt()).isGreaterThan(last);
    String name = first.at("/records/7/read/identifier").asString();
    JsonNode one = STINA.get("/sources/night-index/records?part=" + name.substring(3)).ok();
    assertThat(one.at("/records/0/read/identifier").asString()).isEqualTo(name);
    assertThat(
            STINA
                .get("/publications/" + one.at("/records/0/publication").asString() + "/outward")
                .status())
        .isEqualTo(200);
    assertThat(STINA.get("/sources/night-index/records?part=%25x%25").ok().get("records"))
        .isEmpty();
    STINA
        .get("/sources/night-index/records?odd=true")
        .ok()
        .get("records")
        .forEach(odd -> assertThat(odd.at("/read/problems").size()).isPositive());
    assertThat(STINA.get("/sources/nowhere/records").status()).isEqualTo(404);
  }
}
