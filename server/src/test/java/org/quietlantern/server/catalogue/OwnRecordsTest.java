package org.quietlantern.server.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.quietlantern.server.support.Supply.doi;
import static org.quietlantern.server.support.Supply.mods;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Endpoints;
import org.quietlantern.server.support.Readings;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.server.support.World;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What a source of one group's own supplies is seen by that group and by nobody else. */
class OwnRecordsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);

  /** Counts and names of states, and times of answering, which go on for everybody. */
  private static final Pattern OF_THE_STATE =
      Pattern.compile("\"(asOf|at|number|now|latest)\":(\"[^\"]*\"|\\d+)|\\d+ ms|took [^,}]*");

  /** Figures of the installation, for whoever looks after it. */
  private static final Pattern NOT_READ = Pattern.compile("/(set-aside|changes|docx|house)$");

  private static Supply ownSource(TestGroup group, String key) {
    Supply supply = Supply.made(APP, key, 1);
    DATABASE.update("update source set grp = ? where key = ?", group.member(0).group(), key);
    return supply;
  }

  private static List<Map<String, Object>> everythingStored() {
    return DATABASE.queryForList(
        "select p.id, p.pid, p.fields::text, p.withdrawn, p.canonical, encode(p.hash, 'hex')"
            + " from publication p where grp is null order by id");
  }

  /** All that a group can read, by asking and by searching. */
  private static Map<String, String> read(World world) {
    Client member = world.member();
    Map<String, String> read = new TreeMap<>(Readings.of(APP, world, List.of(member), NOT_READ));
    for (Endpoints.Endpoint endpoint : Endpoints.of(APP)) {
      boolean asks = endpoint.method().equals("POST") && !endpoint.command();
      if (asks && endpoint.path().startsWith("/api/groups/{group}/")) {
        Client.Response answer = member.post(world.fill(endpoint.path()), world.body(endpoint));
        read.put("POST " + endpoint.path(), answer.status() + " " + answer.body());
      }
    }
    read.replaceAll((address, answer) -> OF_THE_STATE.matcher(answer).replaceAll("\"$1\":0"));
    return read;
  }

  @DisplayName("Whatever a group brings in, others read the same as before, and so do strangers")
  @Test
  void nothingLeaks() {
    World theirs = World.in(APP);
    TestGroup mine = APP.group("Mina Mine");
    List<Map<String, Object>> stored = everythingStored();
    read(theirs);
    Map<String, String> before = read(theirs);

    List<SourceRecord> records = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      records.add(
          mods(
              "own:" + i,
              "Secret moths of the moth garden " + "abcdefghij".substring(i % 10) + " " + i,
              "Moth",
              doi("10.5555/secret." + i)
                  + "<subject authority=\"night-ecology\" valueURI=\"urn:x:secret\"><topic>Moths</topic></subject>"
                  + "<subject><topic>moth secrets</topic></subject><language><languageTerm>en</languageTerm></language>"
                  + "<relatedItem type=\"host\"><titleInfo><title>Secret Journal of Moths</title></titleInfo>"
                  + "<identifier type=\"issn\">9999-1004</identifier></relatedItem>"));
    }
    records.addAll(ofShared(20));
    ownSource(mine, "own-" + mine.pid()).take(records);

    APP.bean(Watching.class).run();
    assertThat(mine.find("secret")).hasSize(40);
    assertThat(Readings.differences(before, read(theirs))).isEmpty();
    assertThat(everythingStored()).isEqualTo(stored);
    String secret = mine.find("secret").get(0);
    Client stranger = new Client(APP.address());
    assertThat(mine.client(0).get("/publications/" + secret).status()).isEqualTo(200);
    assertThat(stranger.get("/p/" + secret).status()).isEqualTo(404);
    assertThat(stranger.get("/p/" + secret).body())
        .isEqualTo(stranger.get("/p/" + unknown()).body());
    String group = "/api/groups/" + theirs.group();
    for (String path : List.of("", "/versions", "/outward", "/history")) {
      String address = group + "/publications/" + secret + path;
      assertThat(theirs.member().get(address).status()).as(address).isEqualTo(404);
    }
    for (String act : List.of("/pile/items", "/marks")) {
      Map<String, Object> body =
          Map.of("publications", List.of(secret), "note", "", "mark", "seen", "reason", "");
      assertThat(theirs.member().post(group + act, body).status()).as(act).isEqualTo(404);
    }
  }

  /** A sound id that nothing has. */
  private static String unknown() {
    return APP.bean(org.quietlantern.server.platform.PublicIds.class).next();
  }

  /** As they stand in the database, typed again by somebody with other abstracts. */
  private static List<SourceRecord> ofShared(int many) {
    List<Map<String, Object>> some =
        DATABASE.queryForList(
            "select fields->>'title' as title, fields->>'doi' as doi,"
                + " fields->'authors'->0->>'family' as family from publication"
                + " where fields->>'doi' <> '' and grp is null and canonical is null"
                + " and withdrawn is null order by id limit ?",
            many);
    List<SourceRecord> records = new ArrayList<>();
    for (Map<String, Object> one : some) {
      records.add(
          mods(
              "again:" + one.get("doi"),
              (String) one.get("title"),
              (String) one.get("family"),
              doi((String) one.get("doi")) + "<abstract>secret words on moths</abstract>"));
    }
    return records;
  }

  @DisplayName(
      "A record of a shared work stands under it, for that group only, and supplies nothing")
  @Test
  void ofASharedWork() {
    TestGroup mine = APP.group("Mona Mine");
    TestGroup theirs = APP.group("Theo Theirs");
    List<Map<String, Object>> stored = everythingStored();
    Supply supply = ownSource(mine, "own-" + mine.pid());
    List<SourceRecord> records = ofShared(1);
    supply.take(records);
    supply.take(records);
    String key = records.get(0).identifier();
    String pid =
        DATABASE.queryForObject(
            "select p.pid from source_record r join publication p on p.id = r.publication"
                + " where r.identifier = ? and r.source = ? and p.grp is null",
            String.class,
            key,
            supply.id());
    assertThat(everythingStored()).isEqualTo(stored);
    assertThat(versions(mine, pid)).contains("Source own-" + mine.pid());
    assertThat(versions(theirs, pid)).isNotEmpty().doesNotContain("Source own-" + mine.pid());
    assertThat(mine.find("secret")).isEmpty();

    supply.take(new SourceRecord(key, "mods", "", "2026-11-21", true));
    assertThat(everythingStored()).isEqualTo(stored);
  }

  @DisplayName("What its sources supply again is decided without a group's record of it")
  @Test
  void suppliedAgain() {
    TestGroup mine = APP.group("Maud Mine");
    Supply shared = new Supply(APP, "night-index");
    shared.take(mods("index:axo", "Axolotls in lit lakes", "Reed", doi("10.5555/axo.1")));
    ownSource(mine, "own-" + mine.pid())
        .take(
            mods(
                "own:axo",
                "Axolotls in lit lakes",
                "Reed",
                doi("10.5555/axo.1") + "<abstract>Secretly weighed.</abstract>"));
    shared.take(
        mods(
            "index:axo",
            "Axolotls in lit lakes",
            "Reed",
            doi("10.5555/axo.1") + "<language><languageTerm>de</languageTerm></language>"));
    assertThat(mine.find("axolotls language: de")).hasSize(1);
    assertThat(mine.find("axolotls weighed")).isEmpty();
    Map<String, Object> own =
        Map.of(
            "id",
            "s",
            "kind",
            "limit",
            "property",
            "source",
            "chosen",
            List.of("own-" + mine.pid()));
    assertThat(
            mine.client(0)
                .post(
                    "/search/count",
                    Map.of("strategy", Map.of("version", 3, "lines", List.of(own))))
                .ok()
                .get("count")
                .asInt())
        .as("for nobody the work comes from that source")
        .isZero();
  }

  private static List<String> versions(TestGroup group, String pid) {
    return group
        .client(0)
        .get("/publications/" + pid + "/versions")
        .ok()
        .valueStream()
        .map(version -> version.get("source").asString())
        .toList();
  }

  @DisplayName(
      "N5, W: an own import is announced to nobody; when a source supplies it, it is that one")
  @Test
  void suppliedLater() {
    TestGroup mine = APP.group("Mira Mine");
    TestGroup theirs = APP.group("Tara Theirs");
    String folder = mine.folder("Kept");
    String myAlert = mine.alert(folder, "Gharials", "gharials", "daily");
    String theirAlert = theirs.alert(theirs.folder("Kept"), "Gharials", "gharials", "daily");
    Supply own = ownSource(mine, "own-" + mine.pid());
    own.take(mods("own:gharial", "Gharials of unlit ditches", "Reed", doi("10.5555/gharial.7")));
    run();
    assertThat(found(myAlert)).isZero();
    String before = mine.find("gharials").get(0);
    mine.client(0)
        .post("/folders/" + folder + "/items", Map.of("publications", List.of(before), "note", "x"))
        .ok();
    assertThat(theirs.find("gharials")).isEmpty();

    new Supply(APP, "night-index")
        .take(mods("index:gharial", "Gharials of unlit ditches", "Reed", doi("10.5555/gharial.7")));
    run();
    String shared = theirs.find("gharials").get(0);
    assertThat(shared).isNotEqualTo(before);
    assertThat(mine.find("gharials")).containsExactly(shared);
    assertThat(found(myAlert)).as("the group knew it").isZero();
    assertThat(found(theirAlert)).isEqualTo(1);
    JsonNode items = mine.client(0).get("/folders/" + folder).ok().get("items");
    assertThat(items.at("/0/publication/id").asString()).isEqualTo(shared);
    assertThat(mine.client(0).get("/publications/" + before).ok().at("/publication/id").asString())
        .isEqualTo(shared);
    assertThat(theirs.client(0).get("/publications/" + before).status()).isEqualTo(404);
    assertThat(versions(theirs, shared)).containsExactly("The Night Index");
    assertThat(versions(mine, shared)).contains("Source own-" + mine.pid());

    own.take(
        mods(
            "own:gharial",
            "Gharials of unlit ditches",
            "Reed",
            doi("10.5555/gharial.7") + "<note/>"));
    assertThat(mine.find("gharials")).as("it does not come apart").containsExactly(shared);
  }

  private static void run() {
    APP.bean(Watching.class).run();
  }

  private static int found(String alert) {
    return DATABASE.queryForObject(
        "select count(*) from finding f join alert a on a.id = f.alert where a.pid = ?",
        Integer.class,
        alert);
  }

  @DisplayName("Two groups that bring in the same work have it twice, each its own")
  @Test
  void twoGroups() {
    TestGroup one = APP.group("Olga One");
    TestGroup other = APP.group("Otto Other");
    SourceRecord record = mods("own:same", "Glowworms in quarries", "Slate", doi("10.5555/gl.1"));
    ownSource(one, "own-" + one.pid()).take(record);
    ownSource(other, "own-" + other.pid()).take(record);
    assertThat(one.find("glowworms quarries")).hasSize(1);
    assertThat(other.find("glowworms quarries"))
        .hasSize(1)
        .doesNotContainAnyElementsOf(one.find("glowworms quarries"));
    new Supply(APP, "night-index").take(record);
    assertThat(one.find("glowworms quarries"))
        .hasSize(1)
        .isEqualTo(other.find("glowworms quarries"));
  }
}
