package org.quietlantern.server.loading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.DyingCheckpoint;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Stewards load files of records. */
class LoadingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private static final TestGroup GROUP = APP.group("Lina Loader", "Mats Member");
  private static final Client LINA = GROUP.client(0);
  private static final LoadJob JOB = APP.bean(LoadJob.class);

  @BeforeAll
  static void steward() {
    APP.makeSteward(GROUP.member(0));
  }

  private static String mods(String id, String title) {
    return ("<mods xmlns='http://www.loc.gov/mods/v3'><titleInfo><title>%s</title></titleInfo>"
            + "<recordInfo><recordIdentifier>%s</recordIdentifier></recordInfo></mods>")
        .formatted(title, id);
  }

  private static byte[] file(String prefix, int from, int to) {
    return ("<modsCollection>"
            + IntStream.range(from, to)
                .mapToObj(n -> mods(prefix + n, "Verge " + prefix + n))
                .collect(Collectors.joining("\n"))
            + "</modsCollection>")
        .getBytes(StandardCharsets.UTF_8);
  }

  private static Client.Response send(String into, byte[] file) {
    return LINA.sendBytes("POST", "/loads?name=verges.xml&into=" + into, file);
  }

  private static JsonNode newest() {
    return LINA.get("/loads").ok().at("/loads/0");
  }

  private static int records(String source) {
    return DATABASE.queryForObject(
        "select count(*) from source_record r join source s on s.id = r.source"
            + " where s.name = ? and not r.deleted",
        Integer.class,
        source);
  }

  @DisplayName("A file is read into a source of its own; its records are found like any others")
  @Test
  void loaded() throws IOException {
    assertThat(send("Verges", file("loaded-", 0, 1_234)).status()).isEqualTo(202);
    assertThat(newest().get("state").asString()).isEqualTo("waiting");
    String file =
        DATABASE.queryForObject("select file from load order by id desc limit 1", String.class);
    assertThat(APP.data().resolve("loads").resolve(file)).exists();
    JOB.run();
    JsonNode load = newest();
    assertThat(load.get("state").asString()).isEqualTo("done");
    assertThat(load.get("records").asInt()).isEqualTo(1_234);
    assertThat(load.get("changed").asInt()).isEqualTo(1_234);
    assertThat(load.get("readBytes").asLong()).isEqualTo(load.get("bytes").asLong());
    assertThat(load.get("name").asString()).isEqualTo("verges.xml");
    assertThat(records("Verges")).isEqualTo(1_234);
    APP.bean(IndexKeeper.class).catchUp();
    assertThat(GROUP.find("loaded-777")).hasSize(1);
    assertThat(APP.data().resolve("loads").resolve(file)).doesNotExist();
    send("Verges", file("loaded-", 1_000, 1_300));
    JOB.run();
    assertThat(newest().get("changed").asInt()).as("66 new, the others as before").isEqualTo(66);
    JsonNode source = null;
    for (JsonNode each : LINA.get("/sources").ok()) {
      source = each.get("name").asString().equals("Verges") ? each : source;
    }
    assertThat(source.get("files").asBoolean()).isTrue();
    APP.bean(Harvests.class).harvestAll();
    assertThat(LINA.post("/sources/verges/whole", Map.of()).status())
        .as("no address")
        .isEqualTo(422);
    assertThat(LINA.post("/sources/verges/tries", Map.of()).status()).isEqualTo(404);
  }

  @DisplayName("Broken in the middle: what came before is taken, the sentence says where")
  @Test
  void broken() {
    byte[] whole = file("broken-", 0, 700);
    send("Broken", java.util.Arrays.copyOf(whole, whole.length - 300));
    JOB.run();
    JsonNode load = newest();
    assertThat(load.get("state").asString()).isEqualTo("broken");
    assertThat(load.get("error").asString())
        .contains("breaks off")
        .contains("What came before that was taken");
    assertThat(load.get("records").asInt()).isEqualTo(records("Broken")).isBetween(690, 699);
    send("Broken", "Title;Year".getBytes(StandardCharsets.UTF_8));
    JOB.run();
    assertThat(newest().get("error").asString()).contains("no record in it");
  }

  @DisplayName("Killed between a page and its note, it goes on with nothing lost and nothing twice")
  @Test
  void killed() {
    int before = records("Killed");
    send("Killed", file("killed-", 0, 1_100));
    DyingCheckpoint dying = APP.bean(DyingCheckpoint.class);
    dying.dieAt("load: page in the catalogue, place not noted", 2);
    assertThatThrownBy(JOB::run).isInstanceOf(DyingCheckpoint.Death.class);
    assertThat(newest().get("records").asInt()).isEqualTo(500);
    assertThat(records("Killed")).isEqualTo(before + 500);
    JOB.run();
    assertThat(newest().get("records").asInt()).isEqualTo(1_100);
    assertThat(newest().get("changed").asInt()).isEqualTo(1_100);
    assertThat(records("Killed")).isEqualTo(before + 1_100);
  }

  @DisplayName("Stopped, it stays stopped; what is odd is set aside by name")
  @Test
  void stopped() throws IOException {
    send("Stopped", file("stopped-", 0, 10));
    int id = newest().get("id").asInt();
    assertThat(LINA.write("DELETE", "/loads/" + id, Map.of(), UUID.randomUUID()).status())
        .isEqualTo(204);
    JOB.run();
    assertThat(newest().get("state").asString()).isEqualTo("stopped");
    assertThat(records("Stopped")).isZero();
    assertThat(LINA.write("DELETE", "/loads/" + id, Map.of(), UUID.randomUUID()).status())
        .isEqualTo(409);
    String odd = "<modsCollection>" + mods("x".repeat(1_500), "Odd") + mods("even", "Even");
    send("Stopped", (odd + "</modsCollection>").getBytes(StandardCharsets.UTF_8));
    JOB.run();
    assertThat(newest().get("setAside").asInt()).isEqualTo(1);
    assertThat(records("Stopped")).isEqualTo(1);
    assertThat(LINA.get("/sources/stopped/set-aside").ok().at("/records/0/why").asString())
        .contains("1,001 letters");
  }

  @DisplayName("A file that is not there is told after an hour; files that nothing names are swept")
  @Test
  void lost() throws IOException {
    send("Lost", file("lost-", 0, 3));
    int id = newest().get("id").asInt();
    DATABASE.update("update load set file = 'elsewhere' where id = ?", id);
    JOB.run();
    assertThat(newest().get("state").asString())
        .as("perhaps another server has it")
        .isEqualTo("waiting");
    DATABASE.update("update load set asked = asked - interval '2 hours' where id = ?", id);
    JOB.run();
    assertThat(newest().get("state").asString()).isEqualTo("broken");
    Path folder = APP.data().resolve("loads");
    try (var files = Files.list(folder)) {
      for (Path file : files.toList()) {
        Files.setLastModifiedTime(file, FileTime.from(Instant.now().minus(Duration.ofHours(1))));
      }
    }
    JOB.run();
    assertThat(folder).isEmptyDirectory();
  }

  @DisplayName("A full disk is a sentence, and nothing of the file stays")
  @Test
  void fullDisk(@org.junit.jupiter.api.io.TempDir Path folder) throws IOException {
    Files.createSymbolicLink(folder.resolve("full.part"), Path.of("/dev/full"));
    assertThatThrownBy(
            () ->
                Loads.copy(new ByteArrayInputStream(file("full-", 0, 900)), folder.resolve("full")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("cannot be kept on the server")
        .hasMessageContaining("No space left");
    assertThat(folder.resolve("full")).doesNotExist();
    assertThat(folder.resolve("full.part")).doesNotExist();
  }

  @DisplayName("Only stewards; and a source needs a name")
  @Test
  void refused() {
    Client mats = GROUP.client(1);
    assertThat(mats.sendBytes("POST", "/loads?name=a&into=b", file("m", 0, 1)).status())
        .isEqualTo(403);
    assertThat(mats.get("/loads").status()).as("how far they are").isEqualTo(200);
    assertThat(send("", file("m", 0, 1)).status()).isEqualTo(422);
    assertThat(send("x".repeat(121), file("m", 0, 1)).status()).isEqualTo(422);
  }

  @DisplayName("Alerts do not look at half of what a file brings")
  @Test
  void atRest() {
    send("Rest", file("rest-", 0, 600));
    Harvests harvests = APP.bean(Harvests.class);
    long before = harvests.settled();
    DyingCheckpoint dying = APP.bean(DyingCheckpoint.class);
    dying.dieAt("load: page in the catalogue, place not noted", 2);
    assertThatThrownBy(JOB::run).isInstanceOf(DyingCheckpoint.Death.class);
    assertThat(harvests.settled()).isEqualTo(before);
    JOB.run();
    assertThat(harvests.settled()).isGreaterThanOrEqualTo(before + 600);
  }
}
