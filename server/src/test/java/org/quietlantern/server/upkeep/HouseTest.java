package org.quietlantern.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.job.NightlyChecks;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What a steward sees of the installation, and what checks find and mend. */
class HouseTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private static final TestGroup GROUP = APP.group("Stina Steward", "Mats Member");
  private static final Client STINA = GROUP.client(0);

  @BeforeAll
  static void steward() {
    APP.makeSteward(GROUP.member(0));
    String folder = GROUP.folder("Moths");
    GROUP.alert(folder, "All", TestGroup.EVERYTHING, "at-once");
    APP.passUntilSomethingCame();
    String round = STINA.get("/rounds").ok().at("/rounds/0/id").asString();
    String found = STINA.get("/rounds/" + round).ok().at("/arrivals/0/publication/id").asString();
    mark(STINA, found, "pass");
    mark(GROUP.client(1), found, "raise");
  }

  private static void mark(Client who, String work, String mark) {
    who.post("/marks", Map.of("publications", List.of(work), "mark", mark, "reason", "")).ok();
  }

  @BeforeEach
  void caughtUp() {
    APP.bean(IndexKeeper.class).catchUp();
  }

  private static JsonNode check(boolean mend) {
    assertThat(STINA.post("/house/check", Map.of("mend", mend)).status()).isEqualTo(202);
    APP.bean(CheckJob.class).run();
    return STINA.get("/house").ok().get("check");
  }

  private static JsonNode of(JsonNode check, String what) {
    return check
        .get("found")
        .valueStream()
        .filter(one -> one.get("what").asString().equals(what))
        .findFirst()
        .orElseThrow();
  }

  private static int differences(JsonNode check, String what) {
    return of(check, what).get("differences").asInt();
  }

  @DisplayName("All is as it should be, and each check says so")
  @Test
  void asItShouldBe() {
    JsonNode check = check(false);
    assertThat(check.get("ended")).isNotNull();
    assertThat(check.get("found").valueStream().map(one -> one.get("what").asString()))
        .containsExactly(
            "the index",
            "lamps",
            "counts of rounds",
            "what stands open",
            "publications and their records",
            "keys that nobody else can read",
            "what alerts remember");
    assertThat(check.get("found"))
        .allSatisfy(one -> assertThat(one.get("differences").asInt()).isZero());
  }

  @DisplayName("The index: what it has otherwise than the database is found, and taken in again")
  @Test
  void theIndex() {
    List<Integer> some =
        DATABASE.queryForList(
            "select id from publication where canonical is null and withdrawn is null"
                + " order by id limit 3",
            Integer.class);
    // Behind the door's back, as a disk does.
    DATABASE.update("update publication set hash = sha256(hash) where id = ?", some.get(0));
    DATABASE.update("update publication set withdrawn = now() where id = ?", some.get(1));
    assertThat(differences(check(false), "the index")).isEqualTo(2);
    assertThat(differences(check(false), "the index")).as("looking mends nothing").isEqualTo(2);
    JsonNode mended = check(true);
    assertThat(differences(mended, "the index")).isEqualTo(2);
    assertThat(of(mended, "the index").get("mended").asBoolean()).isTrue();
    assertThat(differences(check(false), "the index")).isZero();
    assertThat(differences(check(false), "publications and their records"))
        .as("withdrawn, with a record")
        .isEqualTo(1);
    DATABASE.update("update publication set withdrawn = null where id = ?", some.get(1));
    check(true);
    assertThat(differences(check(true), "the index")).isZero();
  }

  @DisplayName("Lamps, counts and what stands open: found without a change, mended when told to")
  @Test
  void derived() {
    int lamps = DATABASE.update("delete from lamp");
    assertThat(lamps).isPositive();
    assertThat(differences(check(false), "lamps")).isEqualTo(lamps);
    assertThat(DATABASE.queryForObject("select count(*) from lamp", Integer.class)).isZero();
    assertThat(differences(check(true), "lamps")).isEqualTo(lamps);
    assertThat(DATABASE.queryForObject("select count(*) from lamp", Integer.class))
        .isEqualTo(lamps);
    assertThat(differences(check(false), "counts of rounds")).isZero();
    DATABASE.update("update round set nobody = nobody + 1");
    assertThat(differences(check(false), "counts of rounds")).isPositive();
    assertThat(differences(check(false), "counts of rounds")).isPositive();
    check(true);
    assertThat(differences(check(false), "counts of rounds")).isZero();
    int open = DATABASE.update("delete from unsettled");
    assertThat(open).isPositive();
    assertThat(differences(check(false), "what stands open")).isEqualTo(open);
    assertThat(differences(check(true), "what stands open")).isEqualTo(open);
    assertThat(differences(check(false), "what stands open")).isZero();
  }

  @DisplayName("Orphans, forgetful alerts and open keys are told, and not mended")
  @Test
  void toldOnly() throws IOException {
    Integer orphan =
        DATABASE.queryForObject(
            "select r.id from source_record r where not r.deleted and 1 = (select count(*)"
                + " from source_record o where o.publication = r.publication) order by id limit 1",
            Integer.class);
    DATABASE.update("update source_record set deleted = true where id = ?", orphan);
    JsonNode told = check(true);
    assertThat(differences(told, "publications and their records")).isEqualTo(1);
    assertThat(of(told, "publications and their records").get("mended").asBoolean()).isFalse();
    DATABASE.update("update source_record set deleted = false where id = ?", orphan);

    byte[] memory =
        DATABASE.queryForObject("select memory from alert order by id limit 1", byte[].class);
    DATABASE.update(
        "update alert set memory = ?", org.quietlantern.core.watch.Memory.none().bytes());
    int publications =
        DATABASE.queryForObject(
            "select count(*) from publication where canonical is null and withdrawn is null",
            Integer.class);
    assertThat(differences(check(true), "what alerts remember")).isEqualTo(publications);
    DATABASE.update("update alert set memory = ?", memory);

    Path key = APP.data().resolve("secret.key");
    Files.setPosixFilePermissions(key, PosixFilePermissions.fromString("rw-r--r--"));
    assertThat(differences(check(true), "keys that nobody else can read")).isEqualTo(1);
    Files.setPosixFilePermissions(key, PosixFilePermissions.fromString("rw-------"));
    asItShouldBe();
  }

  @DisplayName("The night runs the same checks, once a day, and keeps what they came to")
  @Test
  void night() {
    NightlyChecks night = APP.bean(NightlyChecks.class);
    night.run();
    DATABASE.update("delete from lamp");
    night.run();
    assertThat(differences(check(false), "lamps")).as("once a day").isPositive();
    APP.pass(1);
    night.run();
    JsonNode checks = STINA.get("/set-aside").ok().get("checks");
    assertThat(checks.size()).isEqualTo(7);
    assertThat(differences(check(false), "lamps")).isZero();
  }

  @DisplayName("Numbers, sizes, jobs, groups; what is missing; a name; nothing for others")
  @Test
  void house() {
    JsonNode house = STINA.get("/house").ok();
    assertThat(house.get("version").asString()).matches("\\d+\\.\\d+\\.\\d+.*");
    assertThat(house.at("/counts/publications").asInt()).isPositive();
    assertThat(house.at("/sizes/database").asLong()).isGreaterThan(1_000_000);
    assertThat(house.at("/sizes/index").asLong()).isPositive();
    assertThat(house.at("/sizes/memory").asLong())
        .isLessThan(house.at("/sizes/memoryMost").asLong());
    assertThat(house.at("/lag/index").asInt()).isZero();
    assertThat(house.get("groups").toString()).contains("\"members\":2");
    assertThat(house.get("missing").toString()).contains("name").doesNotContain("source");
    assertThat(
            STINA.write("PUT", "/house", Map.of("name", "Ternhollow"), UUID.randomUUID()).status())
        .isEqualTo(204);
    assertThat(STINA.get("/house").ok().get("missing").toString()).doesNotContain("\"name\"");
    assertThat(STINA.get("/house").ok().get("name").asString()).isEqualTo("Ternhollow");
    DATABASE.update(
        "insert into scheduled_tasks (task_name, task_instance, execution_time, picked, version)"
            + " values ('harvest', 'recurring', now() + interval '1 day', false, 1)"
            + " on conflict do nothing");
    assertThat(STINA.post("/house/jobs/harvest/again", Map.of()).status()).isEqualTo(202);
    assertThat(
            DATABASE.queryForObject(
                "select execution_time <= now() from scheduled_tasks where task_name = 'harvest'",
                Boolean.class))
        .isTrue();
    assertThat(STINA.post("/house/jobs/no-such/again", Map.of()).status()).isEqualTo(404);

    Client mats = GROUP.client(1);
    assertThat(mats.get("/house").ok().toString())
        .isEqualTo("{\"steward\":false,\"missing\":[],\"jobs\":[],\"slow\":[],\"groups\":[]}");
    assertThat(mats.post("/house/check", Map.of("mend", true)).status()).isEqualTo(403);
    assertThat(mats.post("/house/jobs/harvest/again", Map.of()).status()).isEqualTo(403);
    assertThat(mats.write("PUT", "/house", Map.of("name", "Mine"), UUID.randomUUID()).status())
        .isEqualTo(403);
  }

  @DisplayName("Checks, copies and loads of long ago are forgotten; the last of each stays")
  @Test
  void whatGrows() {
    for (String when : List.of("200 days", "100 days", "1 day")) {
      DATABASE.update(
          "insert into check_run (mend, asked, ended, found) values (false, now(), now() - ?::interval, '[]')",
          when);
      DATABASE.update(
          "insert into backup (at, place, bytes) values (now() - ?::interval, '/x', 1)", when);
    }
    APP.bean(CheckJob.class).run();
    assertThat(
            DATABASE.queryForObject(
                "select count(*) from check_run where ended < now() - interval '90 days'",
                Integer.class))
        .isZero();
    assertThat(DATABASE.queryForObject("select count(*) from backup", Integer.class)).isEqualTo(1);
    DATABASE.update("update backup set at = now() - interval '200 days'");
    APP.bean(CheckJob.class).run();
    assertThat(DATABASE.queryForObject("select count(*) from backup", Integer.class)).isEqualTo(1);
    DATABASE.update("delete from backup");
  }

  @DisplayName("Letters that could not be sent are told to stewards, and not what they said")
  @Test
  void letters() {
    DATABASE.update(
        """
        insert into outbox (message_id, recipient, subject, body_text, body_html, at, state,
          system_due, system_at, trouble)
        values ('<given-up@x>', 'nobody@x.example', 'Secret', '', '', now(), 'given up', now(),
          now(), '550 nobody of that name')
        """);
    JsonNode letters = STINA.get("/house/letters").ok();
    assertThat(letters.at("/givenUp/0/recipient").asString()).isEqualTo("nobody@x.example");
    assertThat(letters.at("/givenUp/0/trouble").asString()).contains("550");
    assertThat(letters.toString()).doesNotContain("Secret");
    assertThat(GROUP.client(1).get("/house/letters").ok().get("givenUp")).isEmpty();
  }
}
