package org.quietlantern.server.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.quietlantern.server.support.Supply.doi;
import static org.quietlantern.server.support.Supply.dublinCore;
import static org.quietlantern.server.support.Supply.mods;

import java.net.URI;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** W1, W2: records of several sources that describe one work stand under one publication. */
class OneWorkOnceTest {
  @RegisterExtension private static final TestApp APP = new TestApp();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);

  /** A record keeps where it came to; what that was merged into is where it stands. */
  private static final String STANDS_UNDER =
      " from source_record r join publication own on own.id = r.publication"
          + " join publication p on p.id = coalesce(own.canonical, own.id) where r.identifier = ?";

  @BeforeAll
  static void threeSources() {
    Harvests harvests = APP.bean(Harvests.class);
    harvests.addSource("shelf", "A shelf", URI.create("http://127.0.0.1:9/oai"), "oai_dc", 2);
    harvests.addSource("early", "Early forms", URI.create("http://127.0.0.1:9/oai"), "mods", 3);
  }

  private static void take(String source, SourceRecord... records) {
    new Supply(APP, source).take(records);
  }

  private static String pid(String identifier) {
    return DATABASE.queryForObject("select p.pid" + STANDS_UNDER, String.class, identifier);
  }

  private static String field(String identifier, String field) {
    return DATABASE.queryForObject(
        "select p.fields->>?" + STANDS_UNDER, String.class, field, identifier);
  }

  @DisplayName("C2: authors whom another source has in another order are told where one cites them")
  @Test
  void authorsInAnotherOrder() {
    String name =
        "<name><namePart type=\"family\">%s</namePart><namePart type=\"given\">%s</namePart></name>";
    String others = name.formatted("Sey", "Ada") + name.formatted("Berg", "Bo");
    take(
        "night-index", mods("order:1", "Order of lamps", "Quint", others + doi("10.5555/order.1")));
    take(
        "shelf",
        dublinCore(
            "shelf:order",
            "Order of lamps",
            "Quint, Liv Marie",
            "<dc:creator>Berg, Bo</dc:creator><dc:creator>Sey, Ada</dc:creator>"
                + "<dc:identifier>doi:10.5555/order.1</dc:identifier>"));
    String work = pid("order:1");
    assertThat(pid("shelf:order")).isEqualTo(work);
    TestGroup group = APP.group("Odile Order");
    Client odile = group.client(0);
    String folder = group.folder("In order");
    odile
        .post("/folders/" + folder + "/items", Map.of("publications", List.of(work), "note", ""))
        .ok();
    String faults = "/entries/0/faults";
    String path = "/folders/" + folder + "/bibliography";
    JsonNode fault =
        odile
            .get(path)
            .ok()
            .at(faults)
            .valueStream()
            .filter(one -> one.get("kind").asString().equals("order"))
            .findFirst()
            .orElseThrow();
    assertThat(fault.get("mend").asString()).isEqualTo("Quint, Liv Marie; Berg, Bo; Sey, Ada");
    assertThat(fault.get("certain").asBoolean()).isFalse();
    // What the group has settled itself is settled.
    Map<String, String> settled =
        Map.of(
            "publication", work,
            "field", "authors",
            "was", "Quint, Liv Marie; Sey, Ada; Berg, Bo",
            "value", "Quint, Liv Marie; Sey, Ada; Berg, Bodil");
    odile.put("/mends", Map.of("mends", List.of(settled))).ok();
    assertThat(odile.get(path).ok().at(faults)).noneMatch(one -> one.equals(fault));
  }

  @DisplayName("W2: each field from whom it is best; a source that leaves takes only its own away")
  @Test
  void theBestOfEach() {
    take(
        "shelf",
        dublinCore(
            "shelf:1",
            "OWLS OVER ORCHARDS: A CENSUS",
            "Quillen, L. M.",
            "<dc:description>Owls hunted over dark orchards.</dc:description>"));
    String first = pid("shelf:1");
    take(
        "night-index",
        mods("index:1", "Owls over orchards: a census", "Quillen", doi("10.5555/o.1")));
    assertThat(pid("index:1")).as("one publication, under its first id").isEqualTo(first);
    assertThat(field("index:1", "title")).isEqualTo("Owls over orchards: a census");
    assertThat(field("index:1", "abstractText")).isEqualTo("Owls hunted over dark orchards.");
    assertThat(field("index:1", "authors")).contains("Liv Marie");
    assertThat(APP.bean(Versions.class).of(Viewer.NOBODY, first))
        .as("each as it was supplied")
        .extracting(
            Versions.VersionShown::source,
            Versions.VersionShown::version,
            Versions.VersionShown::title,
            Versions.VersionShown::doi)
        .containsExactly(
            tuple("The Night Index", "final", "Owls over orchards: a census", "10.5555/o.1"),
            tuple("A shelf", "final", "OWLS OVER ORCHARDS: A CENSUS", ""));
    assertThat(field("index:1", "date")).as("the earliest appearance").contains("2026");

    take("shelf", new SourceRecord("shelf:1", "oai_dc", "", "2026-11-21", true));
    assertThat(field("index:1", "abstractText")).isEmpty();
    assertThat(
            DATABASE.queryForList(
                "select 1 from publication where pid = ? and withdrawn is null", first))
        .hasSize(1);
    take("night-index", new SourceRecord("index:1", "mods", "", "2026-11-21", true));
    assertThat(
            DATABASE.queryForList(
                "select 1 from publication where pid = ? and withdrawn is null", first))
        .isEmpty();
  }

  @DisplayName("Each change says in which respects; joining is written down link by link")
  @Test
  void history() {
    take("night-index", mods("index:h", "Newts at lit ponds", "Reed", doi("10.5555/n.1")));
    String newts = pid("index:h");
    take("night-index", mods("index:h", "Newts at lit ponds", "Reed", doi("10.5555/n.1")));
    take(
        "night-index",
        mods(
            "index:h",
            "Newts at lit ponds, revisited",
            "Reed",
            doi("10.5555/n.1") + "<subject><topic>ponds</topic></subject>"));
    take("shelf", dublinCore("shelf:h", "Newts in the glow of a mill", "Reed, Liv", ""));
    take(
        "shelf",
        dublinCore(
            "shelf:h",
            "Newts at lit ponds, revisited",
            "Reed, Liv Marie",
            "<dc:identifier>doi:10.5555/n.1</dc:identifier>"));
    take("night-index", new SourceRecord("index:h", "mods", "", "2026-11-21", true));
    take("shelf", new SourceRecord("shelf:h", "oai_dc", "", "2026-11-21", true));
    take("night-index", mods("index:h", "Newts at lit ponds", "Reed", doi("10.5555/n.1")));
    List<List<String>> kinds =
        APP.bean(Versions.class).history(Viewer.NOBODY, newts).stream()
            .map(Versions.PublicationChange::kinds)
            .toList();
    assertThat(kinds).last().as("it came").isEqualTo(List.of("new"));
    assertThat(kinds)
        .contains(List.of("text", "headings"), List.of("joined"), List.of("withdrawn"));
    assertThat(kinds.get(0)).contains("text", "returned");
    assertThat(
            DATABASE.queryForList(
                "select s.key from work_join j join source s on s.id = j.source"
                    + " join publication p on p.id = j.whole where p.pid = ?",
                String.class,
                newts))
        .as("found by a record of")
        .containsExactly("shelf");
  }

  @DisplayName("W1: unlike titles under one DOI stay apart and are counted; notices never join")
  @Test
  void doubtful() {
    Publications publications = APP.bean(Publications.class);
    int before = publications.doubtful();
    take("night-index", mods("index:2", "Glowworms and garden lamps", "Marsh", doi("10.5555/g.2")));
    take(
        "shelf",
        dublinCore(
            "shelf:2",
            "A history of rural electrification",
            "Marsh, Ada",
            "<dc:identifier>doi:10.5555/g.2</dc:identifier>"));
    assertThat(pid("shelf:2")).isNotEqualTo(pid("index:2"));
    assertThat(publications.doubtful()).isEqualTo(before + 1);
    take("shelf", dublinCore("shelf:2", "A history of rural electrification", "Marsh, Ada", ""));
    take(
        "night-index",
        mods("index:3", "Erratum: Glowworms and garden lamps", "Marsh", doi("10.5555/g.3")));
    assertThat(pid("index:3")).isNotEqualTo(pid("index:2"));
  }

  @DisplayName("W1: a record that agrees with two works does not join what contradicts each other")
  @Test
  void betweenTwo() {
    Publications publications = APP.bean(Publications.class);
    take(
        "night-index",
        mods("index:6", "Toads gather at lit village wells: a survey", "Pool", doi("10.5555/t.6")),
        mods(
            "index:7",
            "Toads gather at lit village wells: field notes",
            "Pool",
            doi("10.5555/t.7")));
    int before = publications.doubtful();
    take("shelf", dublinCore("shelf:6", "Toads gather at lit village wells", "Pool, Una", ""));
    assertThat(pid("shelf:6")).as("with the older of both").isEqualTo(pid("index:6"));
    assertThat(pid("index:7")).isNotEqualTo(pid("index:6"));
    assertThat(publications.doubtful()).as("left to a person").isEqualTo(before + 1);
    take("shelf", dublinCore("shelf:6", "Toads gather at lit village wells", "Pool, Una M.", ""));
    assertThat(pid("index:7")).isNotEqualTo(pid("index:6"));
    assertThat(publications.doubtful()).as("told once").isEqualTo(before + 1);
  }

  @DisplayName(
      "Two that turn out to be one: links, folders, lamps and memory follow, nothing arrives twice")
  @Test
  void twoBecomeOne() {
    TestGroup group = APP.group("Mina Merge", "Moss Merge");
    Client mina = group.client(0);
    String folder = group.folder("Ferries");
    String alert = group.alert(folder, "Ferries", "ferr*", "daily");
    take("early", mods("early:4", "Ferries and seabirds at night", "Tarn", doi("10.5555/el.4")));
    take(
        "night-index",
        mods(
            "index:4",
            "Seabirds die at lit ferries in the dark months",
            "Tarn",
            doi("10.5555/f.4")));
    APP.bean(Watching.class).run();
    String old = pid("early:4");
    String young = pid("index:4");
    assertThat(young).isNotEqualTo(old);
    assertThat(findings(mina, alert)).isEqualTo(2);
    String feed =
        mina.post("/feeds", Map.of("of", "alert:" + alert)).ok().get("address").asString();
    for (String publication : List.of(old, young)) {
      mina.post(
              "/folders/" + folder + "/items",
              Map.of("publications", List.of(publication), "note", "n " + publication))
          .ok();
    }
    group
        .client(1)
        .post(
            "/marks",
            Map.of("publications", List.of(young), "mark", "pass", "reason", ""),
            UUID.randomUUID())
        .ok();

    // The preprint server now says what became of it, and corrects its title.
    take(
        "early",
        mods(
            "early:4",
            "Seabirds die at lit ferries in the dark months",
            "Tarn",
            doi("10.5555/el.4")
                + "<extension><supply xmlns=\"urn:quietlantern:supply:1\">"
                + "<version>preprint</version><versionOf>10.5555/f.4</versionOf></supply></extension>"));
    APP.bean(Watching.class).run();
    assertThat(pid("index:4")).isEqualTo(old);
    assertThat(field("index:4", "doi")).as("of the final version").isEqualTo("10.5555/f.4");
    Client.Response link = new Client(APP.address()).get("/p/" + young);
    assertThat(link.status()).isEqualTo(301);
    assertThat(link.header("Location")).isEqualTo("/p/" + old);
    assertThat(group.find("ferries")).containsExactly(old);
    JsonNode items = mina.get("/folders/" + folder).ok().get("items");
    assertThat(items.size()).as("once in the folder, with both notes").isEqualTo(1);
    assertThat(items.toString()).contains("n " + old, "n " + young);
    assertThat(findings(mina, alert)).as("nothing is announced twice").isEqualTo(2);
    assertThat(mina.get("/publications/" + young).ok().get("publication").get("id").asString())
        .isEqualTo(old);
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofDays(1)));
    APP.bean(Watching.class).run();
    String told = new Client(APP.address()).get(feed.replace("http://lantern.test", "")).body();
    assertThat(told.split("<entry>", -1)).as("once in the feed").hasSize(2);
    assertThat(lampsOf(mina)).as("the mark on the younger is a mark on the work").contains("pass");
  }

  @DisplayName("What an alert told of the younger of two works is not told of the one they become")
  @Test
  void theYoungerWasTold() {
    TestGroup group = APP.group("Mikkel Merge");
    String alert = group.alert(group.folder("Comets"), "Comets", "comet*", "daily");
    take("early", mods("early:9", "Moths and the sky", "Tarn", doi("10.5555/el.9")));
    take("night-index", mods("index:9", "Moths under a comet", "Tarn", doi("10.5555/c.9")));
    APP.bean(Watching.class).run();
    assertThat(findings(group.client(0), alert)).isEqualTo(1);
    take(
        "early",
        mods(
            "early:9",
            "Moths under a comet",
            "Tarn",
            doi("10.5555/el.9")
                + "<extension><supply xmlns=\"urn:quietlantern:supply:1\">"
                + "<version>preprint</version><versionOf>10.5555/c.9</versionOf></supply></extension>"));
    APP.bean(Watching.class).run();
    assertThat(pid("index:9")).as("under the older one").isEqualTo(pid("early:9"));
    assertThat(group.find("comet*")).contains(pid("early:9"));
    JsonNode told = group.client(0).get("/alerts/" + alert).ok();
    assertThat(told.get("alert").get("findings").asInt()).as("told once").isEqualTo(1);
    assertThat(told.get("runs")).as("a run that found nothing, after no harvest").hasSize(1);
  }

  private static int findings(Client client, String alert) {
    return client.get("/alerts/" + alert).ok().get("alert").get("findings").asInt();
  }

  private static String lampsOf(Client client) {
    String round = client.get("/rounds").ok().get("rounds").get(0).get("id").asString();
    JsonNode arrivals = client.get("/rounds/" + round).ok().get("arrivals");
    assertThat(arrivals.size()).as("one row shows both").isEqualTo(1);
    return arrivals.get(0).get("lamps").toString();
  }

  @DisplayName("W2: of equal records the one supplied last wins, whenever it came first")
  @Test
  void suppliedAgain() {
    Supply.made(APP, "twice", 4);
    take("twice", dated("twice:a", "The first text."), dated("twice:b", "The second text."));
    assertThat(field("twice:a", "abstractText")).isEqualTo("The second text.");
    take("twice", dated("twice:a", "The third text."));
    assertThat(field("twice:a", "abstractText")).as("supplied last").isEqualTo("The third text.");
    take("twice", dated("twice:b", "The second text."));
    assertThat(field("twice:a", "abstractText"))
        .as("repeated, not supplied again")
        .isEqualTo("The third text.");
    take("twice", dated("twice:b", "The fourth text."), dated("twice:b", "The fifth text."));
    assertThat(field("twice:a", "abstractText"))
        .as("twice on one page")
        .isEqualTo("The fifth text.");
  }

  private static SourceRecord dated(String id, String text) {
    return mods(
        id,
        "Eels pass lit culverts late",
        "Weir",
        doi("10.5555/eel.1") + "<abstract>" + text + "</abstract>");
  }

  @DisplayName("What was retracted says so in lists, beside them, and to anyone")
  @Test
  void retracted() {
    take(
        "night-index",
        mods(
            "index:5",
            "Herons thrive under lamps",
            "Wick",
            doi("10.5555/h.5")
                + "<extension><supply xmlns=\"urn:quietlantern:supply:1\">"
                + "<notice kind=\"retraction\" date=\"2026-05-03\">10.5555/n.5</notice>"
                + "</supply></extension>"));
    Client reader = APP.group("Rona Retract").client(0);
    JsonNode leaf = reader.get("/publications/" + pid("index:5")).ok();
    assertThat(leaf.get("publication").get("retracted").asBoolean()).isTrue();
    assertThat(leaf.get("notices").get(0).get("kind").asString()).isEqualTo("retraction");
    assertThat(new Client(APP.address()).get("/p/" + pid("index:5")).body())
        .contains("Retraction published on 2026-05-03, doi:10.5555/n.5");
  }

  @DisplayName("The whole literature of three sources: what they share stands once")
  @Test
  void theWholeLiterature() {
    Harvests harvests = APP.bean(Harvests.class);
    harvests.addSource("fjordside", "Fjordside", APP.outside().source("fjordside"), "oai_dc", 2);
    harvests.addSource("early-light", "Early", APP.outside().source("early-light"), "mods", 3);
    APP.workOff();
    int records = count("select count(*) from source_record where not deleted");
    int works = count("select count(*) from publication where canonical is null");
    assertThat(records - works).as("records that joined another").isGreaterThan(15);
    assertThat(
            count(
                "select count(*) from (select p.fields->>'doi' from publication p"
                    + " where canonical is null and p.fields->>'doi' <> '' group by 1"
                    + " having count(*) > 1) twice"))
        .as("a DOI names two works only where a source slipped")
        .isLessThanOrEqualTo(APP.bean(Publications.class).doubtful());
    int changes = count("select count(*) from publication_change");
    APP.workOff();
    assertThat(count("select count(*) from publication_change")).isEqualTo(changes);
  }

  private static int count(String sql) {
    return DATABASE.queryForObject(sql, Integer.class);
  }
}
