package org.quietlantern.server.harvest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.quietlantern.server.harvest.ScriptedSource.leads;
import static org.quietlantern.server.harvest.ScriptedSource.list;
import static org.quietlantern.server.harvest.ScriptedSource.record;
import static org.quietlantern.server.harvest.ScriptedSource.xml;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
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

/** Whatever a source does, it ends as a row with a sentence, and the others have their turn. */
class HostileSourcesTest {
  @RegisterExtension private static final TestApp APP = new TestApp("--lantern.outbound-time=2s");

  /** The title of a record that holds much more than a title. */
  private static final String WITHOUT_END =
      "Ducks</dc:title><dc:relation>" + "x".repeat(2_100_000) + "</dc:relation><dc:title>more";

  private static final AtomicInteger SOURCES = new AtomicInteger();
  private final Harvests harvests = APP.bean(Harvests.class);
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);

  /** Each test has a source of its own, under this key. */
  private final String key = "hostile-" + SOURCES.incrementAndGet();

  @AfterEach
  void leaveIt() {
    database.update("update source set base_url = 'http://127.0.0.1:9/' where key = ?", key);
  }

  private Harvests.Outcome harvest(URI address) {
    harvests.addSource(key, key, address, "oai_dc", 0);
    return again();
  }

  /** All sources are harvested, this one first; what comes of it. */
  private Harvests.Outcome again() {
    List<Harvests.Outcome> outcomes = harvests.harvestAll();
    assertThat(outcomes)
        .as("the next source has its turn")
        .anyMatch(o -> o.source().equals("The Night Index") && o.error().isEmpty());
    return outcomes.stream().filter(o -> o.source().equals(key)).findFirst().orElseThrow();
  }

  private List<String> taken() {
    return database.queryForList(
        "select r.identifier from source_record r join source s on s.id = r.source"
            + " where s.key = ? and not r.deleted order by 1",
        String.class,
        key);
  }

  private SourceTries.Tries tries() {
    return APP.bean(SourceTries.class).tries(key, null);
  }

  @DisplayName("A clock that cannot be: the records are taken, and the next time ours is used")
  @ParameterizedTest
  @ValueSource(strings = {"yesterday", "9999-01-01T00:00:00Z", "2026-11-17", ""})
  void clocks(String clock) {
    String list = "<ListRecords>" + record("a", "Alders") + "</ListRecords>";
    try (ScriptedSource source = new ScriptedSource(ScriptedSource.at(clock, list))) {
      assertThat(harvest(source.address()).error()).isEmpty();
      assertThat(again().error()).isEmpty();
      assertThat(taken()).containsExactly("a");
      assertThat(source.asked.get(1)).matches(".*&from=2026-11-16T06:00:\\d\\dZ");
    }
  }

  @DisplayName("Records that cannot be taken are set aside by name with their text, the rest taken")
  @Test
  void oneBadRecord() {
    try (ScriptedSource source =
        new ScriptedSource(
            list(
                "",
                record("a", "Alders"),
                record("", "Without a name"),
                record("b".repeat(1_001), "Birches"),
                // Fits the bound in letters, but no index of the database.
                record(letters(990), "Cedars"),
                record("d", WITHOUT_END),
                record("e", "Elms")))) {
      assertThat(harvest(source.address()).error()).isEmpty();
    }
    assertThat(taken()).containsExactly("a", "e");
    assertThat(tries().setAside()).isEqualTo(4);
    assertThat(tries().tries().get(0).setAside()).isEqualTo(4);
    List<SourceTries.RecordSetAside> records =
        APP.bean(SourceTries.class).setAside(key, "").records();
    assertThat(records)
        .extracting(SourceTries.RecordSetAside::why)
        .anyMatch(why -> why.equals("it has no identifier"))
        .anyMatch(why -> why.equals("its identifier has 1,001 letters"))
        .anyMatch(why -> why.equals("it is longer than 2,000,000 letters"))
        .anyMatch(why -> why.contains("index row"));
    assertThat(records).allSatisfy(r -> assertThat(r.raw()).contains("<dc:title>"));
    assertThat(records).allSatisfy(r -> assertThat(r.raw().length()).isLessThan(10_002));
  }

  /** Such as no packing makes shorter. */
  private static String letters(int count) {
    return new Random(7)
        .ints(count, 0x4E00, 0x9FA5)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
        .toString();
  }

  @DisplayName("What was set aside and comes again as it should be is set aside no longer")
  @Test
  void mendedRecord() {
    try (ScriptedSource source =
        new ScriptedSource(list("", record("d", WITHOUT_END)), list("", record("d", "Ducks")))) {
      harvest(source.address());
      assertThat(tries().setAside()).isEqualTo(1);
      again();
      assertThat(tries().setAside()).isZero();
      assertThat(taken()).containsExactly("d");
    }
  }

  @DisplayName("Letters that cannot be are replaced and named; the page goes on")
  @Test
  void badLetters() {
    byte[] page =
        list("", record("a", "Al&#0;ders \u0001 grow"), record("b", "Bir?ches"), record("c", "C"))
            .getBytes(StandardCharsets.UTF_8);
    page[new String(page, StandardCharsets.UTF_8).indexOf("Bir?") + 3] = (byte) 0xFF;
    try (ScriptedSource source = new ScriptedSource().then(xml(page))) {
      assertThat(harvest(source.address()).error()).isEmpty();
    }
    assertThat(taken()).containsExactly("a", "b", "c");
    assertThat(
            database.queryForList(
                "select r.identifier from source_record r join source s on s.id = r.source"
                    + " where s.key = ? and r.problems::text like '%no text can hold%' order by 1",
                String.class, key))
        .containsExactly("a", "b");
  }

  @DisplayName("Round in a circle of any length, or on and on without news: it is left")
  @Test
  void circles() {
    try (ScriptedSource source =
        new ScriptedSource(
            list("1", record("a", "A")),
            list("2", record("b", "B")),
            list("3", record("c", "C")),
            list("1", record("a", "A")))) {
      assertThat(harvest(source.address()).error()).contains("circle at 1");
      assertThat(source.asked).hasSize(4);
    }
    AtomicInteger page = new AtomicInteger();
    try (ScriptedSource source =
        new ScriptedSource()
            .then(
                exchange ->
                    xml(list("t" + page.incrementAndGet(), record("a", "A"))
                            .getBytes(StandardCharsets.UTF_8))
                        .handle(exchange))) {
      database.update("update harvest set state = 'done'");
      assertThat(harvest(source.address()).error()).contains("on and on", "21 pages");
    }
  }

  @DisplayName("An address that is none, a source that drips: a row with a sentence")
  @Test
  void neverAnAnswer() {
    database.update("update source set base_url = 'x' where key = ?", key);
    assertThat(harvest(URI.create("http:nowhere")).error()).isNotEmpty();
    assertThat(tries().tries().get(0).error()).isNotEmpty();
    try (ScriptedSource source = new ScriptedSource().then(ScriptedSource::drip)) {
      assertThat(harvest(source.address()).error()).isEqualTo("the answer did not end in 2 s");
    }
    assertThat(tries().failingSince()).isNotNull();
    assertThat(tries().tries()).hasSize(2);
  }

  @DisplayName("Tries of long ago that brought nothing are forgotten once a good one came after")
  @Test
  void forgotten() {
    assertThat(harvest(URI.create("http:nowhere")).error()).isNotEmpty();
    database.update("update harvest_try set at = at - interval '200 days'");
    Instant since = tries().failingSince();
    assertThat(harvest(URI.create("http:nowhere")).error()).isNotEmpty();
    assertThat(tries().failingSince()).as("it still fails since then").isEqualTo(since);
    try (ScriptedSource source = new ScriptedSource(list("", record("a", "Alders")))) {
      assertThat(harvest(source.address()).error()).isEmpty();
    }
    assertThat(tries().tries()).as("the good one and the recent one").hasSize(2);
  }

  @DisplayName("Moved for good: followed and told; led in a circle, or to where nobody may go: not")
  @Test
  void moved() {
    try (ScriptedSource to = new ScriptedSource(list("", record("a", "Alders")));
        ScriptedSource from = new ScriptedSource().then(leads(308, to.address() + "?moved=1"))) {
      assertThat(harvest(from.address()).error()).isEmpty();
      assertThat(tries().tries().get(0).movedTo()).isEqualTo(to.address() + "?moved=1");
    }
    try (ScriptedSource to = new ScriptedSource(list("", record("b", "Birches")));
        ScriptedSource from = new ScriptedSource().then(leads(302, to.address().toString()))) {
      assertThat(harvest(from.address()).error()).isEmpty();
      assertThat(tries().tries().get(0).movedTo()).as("for now only").isNull();
    }
    for (String nowhere : List.of("/oai?again", "http://[::1]:1/", "file:///etc/passwd", "%%")) {
      try (ScriptedSource source = new ScriptedSource().then(leads(301, nowhere))) {
        assertThat(harvest(source.address()).error())
            .as(nowhere)
            .containsAnyOf("led on and on", "not a public address", "not followed");
      }
    }
    assertThat(taken()).containsExactly("a", "b");
  }

  @DisplayName("A source that fails is asked less and less often; a steward can have it tried now")
  @Test
  void lessAndLessOften() {
    TestGroup group = APP.group("Una Unsteady " + key, "Sten Steward " + key);
    APP.makeSteward(group.member(1));
    Client member = group.client(0);
    Client steward = group.client(1);
    harvest(URI.create("http://127.0.0.1:9/"));
    for (int minutes : List.of(1, 2, 4, 8)) {
      assertThat(tries().againInMinutes()).isBetween((long) minutes / 2, (long) minutes);
      again();
    }
    int before = tries().tries().size();
    harvests.harvestDue();
    assertThat(tries().tries()).hasSize(before);
    assertThat(member.post("/sources/" + key + "/tries", null).status()).isEqualTo(403);
    harvests.harvestDue();
    assertThat(tries().tries()).hasSize(before);

    assertThat(steward.post("/sources/" + key + "/tries", null).status()).isEqualTo(204);
    assertThat(member.get("/sources/" + key + "/tries").ok().get("asked").asBoolean()).isTrue();
    harvests.harvestDue();
    JsonNode shown = member.get("/sources/" + key + "/tries").ok();
    assertThat(shown.get("tries").size()).isEqualTo(before + 1);
    assertThat(shown.get("asked").asBoolean()).isFalse();
    assertThat(shown.get("tries").get(0).get("error").asString()).contains("refused");
    assertThat(steward.post("/sources/none/tries", null).status()).isEqualTo(404);
    assertThat(member.get("/sources/none/tries").status()).isEqualTo(404);
  }

  @DisplayName("Stopping takes under five seconds, and what was being fetched failed not")
  @Test
  void stops() throws Exception {
    TestApp app = new TestApp();
    try (ScriptedSource source = new ScriptedSource().then(ScriptedSource::drip)) {
      Harvests of = app.bean(Harvests.class);
      of.addSource("drip", "drip", source.address(), "oai_dc", 0);
      CompletableFuture<List<Harvests.Outcome>> running =
          CompletableFuture.supplyAsync(of::harvestAll);
      while (source.asked.isEmpty()) {
        Thread.sleep(20);
      }
      long start = System.nanoTime();
      app.close();
      assertThat(Duration.ofNanos(System.nanoTime() - start)).isLessThan(Duration.ofSeconds(5));
      running.handle((outcomes, failed) -> outcomes).get(5, TimeUnit.SECONDS);
    }
  }
}
