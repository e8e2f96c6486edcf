package org.quietlantern.server.harvest;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.quietlantern.server.harvest.ScriptedSource.deleted;
import static org.quietlantern.server.harvest.ScriptedSource.error;
import static org.quietlantern.server.harvest.ScriptedSource.list;
import static org.quietlantern.server.harvest.ScriptedSource.record;

import com.sun.net.httpserver.HttpsServer;
import java.net.URI;
import java.nio.file.Path;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.TestApp;
import org.springframework.jdbc.core.JdbcTemplate;

/** What sources do that they should not, and what a harvest makes of it. */
class OddSourcesTest {
  @RegisterExtension private static final TestApp APP = new TestApp();
  private static final AtomicInteger SOURCES = new AtomicInteger();
  private final Harvests harvests = APP.bean(Harvests.class);
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);

  /** Each test has a source of its own, under this key. */
  private final String key = "odd-" + SOURCES.incrementAndGet();

  @AfterEach
  void forgetTheSource() {
    database.update("update source set base_url = 'http://127.0.0.1:9/' where key = ?", key);
  }

  private Harvests.Outcome harvest(ScriptedSource source, String format) {
    return harvest(source.address(), format);
  }

  /** The tidy source, as if it were another one: nothing of it is here yet. */
  private Harvests.Outcome harvestTheIndex() {
    return harvest(APP.outside().source("night-index"), "mods");
  }

  private Harvests.Outcome harvest(URI address, String format) {
    harvests.addSource(key, key, address, format, 9);
    return again();
  }

  private Harvests.Outcome again() {
    return harvests.harvestAll().stream()
        .filter(outcome -> outcome.source().equals(key))
        .findFirst()
        .orElseThrow();
  }

  private List<String> titles() {
    return database.queryForList(
        "select p.fields->>'title' from source_record r join source s on s.id = r.source"
            + " join publication own on own.id = r.publication"
            + " join publication p on p.id = coalesce(own.canonical, own.id) where s.key = ? and p.withdrawn is null"
            + " order by r.identifier",
        String.class,
        key);
  }

  private int records() {
    return database.queryForObject(
        "select count(*) from source_record r join source s on s.id = r.source where s.key = ?",
        Integer.class,
        key);
  }

  @DisplayName("A token that is no longer known: it begins again and takes nothing twice")
  @Test
  void expiredToken() {
    try (ScriptedSource source =
        new ScriptedSource(
            list("two", record("a", "Alders"), record("b", "Birches")),
            error("badResumptionToken"),
            list("deux", record("a", "Alders"), record("b", "Birches")),
            list("", record("c", "Cedars")))) {
      assertThat(harvest(source, "oai_dc").error()).isEmpty();
      assertThat(titles()).containsExactly("Alders", "Birches", "Cedars");
      assertThat(source.asked.get(2)).isEqualTo(source.asked.get(0));
    }
  }

  @DisplayName("A source that forgets every token is given up with a message, and what came stays")
  @Test
  void noTokenEverHolds() {
    APP.faults().forgetful(true);
    assertThat(harvestTheIndex().error()).contains("refuses", "badResumptionToken");
    assertThat(records()).isEqualTo(200);
    assertThat(shown().failed()).isNotNull();
    assertThat(shown().error()).contains("badResumptionToken");
    APP.faults().forgetful(false);
    assertThat(again().error()).isEmpty();
    assertThat(shown().failed()).isNull();
    assertThat(shown().harvested()).isNotNull();
    assertThat(records()).isGreaterThan(200);
  }

  /** What the page of sources says of it. */
  private Sources.SourceView shown() {
    return APP.bean(Sources.class).all().stream()
        .filter(source -> source.key().equals(key))
        .findFirst()
        .orElseThrow();
  }

  @DisplayName("A record that changes between pages comes twice: the later one holds")
  @Test
  void changesBetweenPages() {
    try (ScriptedSource source =
        new ScriptedSource(
            list("2", record("a", "Aldres"), record("b", "Birches"), record("d", "Ducks")),
            list("", record("a", "Alders"), record("c", "Cedars"), deleted("d"), deleted("e")))) {
      assertThat(harvest(source, "oai_dc").error()).isEmpty();
      assertThat(titles()).containsExactly("Alders", "Birches", "Cedars");
    }
  }

  @DisplayName("A page that repeats is harmless")
  @Test
  void repeats() {
    APP.faults().repeating(true);
    Harvests.Outcome twice = harvestTheIndex();
    APP.faults().repeating(false);
    assertThat(twice.error()).isEmpty();
    assertThat(records()).isLessThan(twice.taken());
  }

  @Test
  void aSourceThatGoesRoundInACircleIsLeft() {
    try (ScriptedSource source =
        new ScriptedSource(
            list("round", record("a", "Alders")), list("round", record("b", "Birches")))) {
      assertThat(harvest(source, "oai_dc").error()).contains("circle");
      assertThat(titles()).as("what came stays").isNotEmpty();
    }
  }

  @DisplayName("Only oai_dc, and dates to the day: it is asked as it wants to be, and that is kept")
  @Test
  void onlyDublinCore() {
    try (ScriptedSource source =
        new ScriptedSource(
            error("cannotDisseminateFormat"),
            list("", record("a", "Alders")),
            error("badArgument"),
            list("", record("b", "Birches")))) {
      assertThat(harvest(source, "mods").error()).isEmpty();
      assertThat(again().error()).isEmpty();
      assertThat(titles()).containsExactly("Alders", "Birches");
      assertThat(source.asked)
          .containsExactly(
              "verb=ListRecords&metadataPrefix=mods",
              "verb=ListRecords&metadataPrefix=oai_dc",
              "verb=ListRecords&metadataPrefix=oai_dc&from=2026-11-17T06:00:00Z",
              "verb=ListRecords&metadataPrefix=oai_dc&from=2026-11-17");
    }
  }

  @DisplayName("A set that ended is told from one without news")
  @Test
  void theSetEnded() {
    try (ScriptedSource source =
        new ScriptedSource(
            list("", record("a", "Alders")),
            error("noRecordsMatch"),
            list("", record("a", "Alders")),
            error("noRecordsMatch"),
            error("noRecordsMatch"))) {
      harvests.addSource(key, key, source.address(), "oai_dc", 9);
      database.update("update source set oai_set = 'moths' where key = ?", key);
      assertThat(again().error()).isEmpty();
      assertThat(again().error()).as("nothing new").isEmpty();
      assertThat(source.asked.get(2)).startsWith("verb=ListIdentifiers").endsWith("&set=moths");
      assertThat(again().error()).contains("the set moths has no records, or is not there");
      assertThat(titles()).containsExactly("Alders");
    }
  }

  @DisplayName("A certificate that nobody vouches for: said in words, nothing is read")
  @Test
  void selfSigned(@TempDir Path folder) throws Exception {
    HttpsServer server = SelfSigned.server(folder, ScriptedSource.xml(list("").getBytes(UTF_8)));
    try {
      URI address = URI.create("https://127.0.0.1:" + server.getAddress().getPort() + "/");
      assertThat(harvest(address, "oai_dc").error()).contains("vouches for its certificate");
    } finally {
      server.stop(0);
    }
  }

  @DisplayName("503 with Retry-After: it is left alone for so long, then it goes on")
  @Test
  void comeBackLater() {
    APP.faults().down(true);
    assertThat(harvestTheIndex().error()).contains("503");
    Timestamp notBefore =
        database.queryForObject(
            "select system_not_before from harvest order by id desc limit 1", Timestamp.class);
    assertThat(Duration.between(Instant.now(), notBefore.toInstant()))
        .isBetween(Duration.ofMinutes(50), Duration.ofMinutes(61));
    APP.faults().down(false);
    harvests.harvestDue();
    assertThat(records()).as("it wants to be left alone").isZero();
    database.update("update harvest set system_not_before = now() - interval '1 minute'");
    harvests.harvestDue();
    assertThat(records()).isGreaterThan(200);
  }

  @DisplayName("A page for people instead of XML is named, and costs nothing")
  @Test
  void garbage() {
    APP.faults().garbled(true);
    assertThat(harvestTheIndex().error()).contains("no XML");
    APP.faults().garbled(false);
    assertThat(again().error()).isEmpty();
    assertThat(records()).isGreaterThan(200);
  }

  @DisplayName("A source that tells no deletions: what vanishes from it stays, the rest goes on")
  @Test
  void noDeletions() {
    assertThat(harvest(APP.outside().source("early-light"), "mods").error()).isEmpty();
    int before = titles().size();
    APP.outside().setClock(APP.bean(Calendar.class).now().plus(Duration.ofDays(170)));
    assertThat(again().error()).isEmpty();
    APP.outside().setClock(APP.bean(Calendar.class).now());
    assertThat(titles()).hasSizeGreaterThan(before);
  }

  @DisplayName("Records that are read differently now are read again, as they were supplied")
  @Test
  void readAgain() {
    harvestTheIndex();
    database.update("update installation set reading_edition = 1");
    database.update(
        "update source_record set raw = replace(raw, '<genre>article', '<genre>letter')");
    assertThat(articles()).isPositive();
    APP.bean(Rereading.class).readAgainWhatChanged();
    assertThat(articles()).isZero();
    assertThat(database.queryForObject("select reading_edition from installation", Integer.class))
        .isEqualTo(RecordReader.EDITION);
  }

  private int articles() {
    return database.queryForObject(
        "select count(*) from publication p join source_record r on r.publication = p.id"
            + " join source s on s.id = r.source"
            + " where s.key = ? and p.fields->>'kind' = 'ARTICLE'",
        Integer.class,
        key);
  }
}
