package org.quietlantern.server.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.digest.Digests;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@DisplayName("N3: what was retracted or corrected comes again; what else changes is told")
class ComingAgainTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Arve Again", "Asta Again");
  private final Client arve = group.client(0);
  private final Client asta = group.client(1);
  private final String folder = group.folder("Kept");

  private static SourceRecord work(String id, String title, String... notices) {
    StringBuilder more = new StringBuilder(Supply.doi("10.5555/again." + id));
    if (notices.length > 0) {
      more.append("<extension><supply xmlns=\"urn:quietlantern:supply:1\">");
      for (String kind : notices) {
        more.append(
            "<notice kind=\"%s\" date=\"2026-05-03\">10.5555/n.%s</notice>"
                .formatted(kind.replaceFirst("#.*", ""), kind.replaceAll("\\W", "")));
      }
      more.append("</supply></extension>");
    }
    return Supply.mods(id, title, "Wick", more.toString());
  }

  private static SourceRecord opened(String id, String title) {
    return Supply.mods(
        id,
        title,
        "Wick",
        Supply.doi("10.5555/again." + id)
            + "<extension><supply xmlns=\"urn:quietlantern:supply:1\">"
            + "<access>open</access></supply></extension>");
  }

  private static Map<String, Object> folderAlert(String name, String line, String into) {
    return Map.of(
        "saving",
        Map.of(
            "name",
            name,
            "strategy",
            Map.of(
                "version",
                3,
                "lines",
                List.of(Map.of("id", "l1", "kind", "held", "strategies", List.of(line))))),
        "folder",
        into,
        "rhythm",
        "daily",
        "tells",
        line.startsWith("k:") ? "changes" : "new");
  }

  private JsonNode round(Client who, String alert) {
    for (JsonNode round : who.get("/rounds").ok().get("rounds")) {
      if (round.get("alert").asString().equals(alert)) {
        return who.get("/rounds/" + round.get("id").asString()).ok();
      }
    }
    return null;
  }

  private static List<String> coming(JsonNode round) {
    return round == null
        ? List.of()
        : round
            .get("arrivals")
            .valueStream()
            .map(
                one ->
                    one.get("newClass").asString()
                        + ": "
                        + one.at("/publication/title").asString()
                        + (one.get("hereSince").asBoolean() ? ", here since" : ""))
            .sorted()
            .toList();
  }

  /** The list of what was decided on, and changed; as many as are counted. */
  private static List<String> changed(Client who) {
    List<String> listed =
        who.get("/arrivals/changed")
            .ok()
            .get("arrivals")
            .valueStream()
            .map(one -> one.at("/arrival/id").asString())
            .toList();
    assertThat(who.get("/arrivals").ok().get("changed").asInt()).isEqualTo(listed.size());
    return listed;
  }

  private static JsonNode named(JsonNode round, String newClass) {
    return round
        .get("arrivals")
        .valueStream()
        .filter(one -> one.get("newClass").asString().equals(newClass))
        .findFirst()
        .orElseThrow();
  }

  private static int mark(Client who, String what, String as, JsonNode round) {
    return who.post(
            "/marks",
            Map.of(
                "publications",
                List.of(what),
                "mark",
                as,
                "reason",
                "",
                "round",
                round.at("/round/id").asString()))
        .status();
  }

  private static String lamp(JsonNode arrival, String member, String what) {
    return arrival
        .get("lamps")
        .valueStream()
        .filter(lamp -> lamp.get("member").asString().equals(member))
        .map(lamp -> lamp.path(what).asString(""))
        .findFirst()
        .orElse("none");
  }

  @DisplayName("What somebody decided on returns with lamps of its own, the old marks beside them")
  @Test
  void returns() {
    Supply supply = Supply.made(APP, "returns", 5);
    String first = group.alert(folder, "Voles", "title: voles title: returning", "daily");
    String second = group.alert(folder, "Returning", "title: returning", "daily");
    supply.take(
        work("r1", "Voles returning to lamps"), work("r2", "Voles returning that nobody marked"));
    APP.workOff();
    JsonNode round = round(arve, first);
    String voles =
        round
            .get("arrivals")
            .valueStream()
            .filter(one -> one.at("/publication/title").asString().endsWith("lamps"))
            .findFirst()
            .orElseThrow()
            .get("id")
            .asString();
    assertThat(mark(arve, voles, "keep", round)).isEqualTo(200);
    assertThat(mark(asta, voles, "pass", round)).isEqualTo(200);
    int owed = arve.get("/rounds").ok().get("owed").asInt();

    supply.take(
        work("r1", "Voles returning to lamps", "retraction"),
        work("r2", "Voles returning that nobody marked", "retraction"));
    APP.workOff();
    round = round(arve, first);
    assertThat(coming(round))
        .containsExactly(
            "published: Voles returning that nobody marked",
            "published: Voles returning to lamps",
            "retracted: Voles returning to lamps");
    assertThat(coming(round(arve, second)))
        .contains("retracted: Voles returning to lamps, here since");
    JsonNode again = named(round, "retracted");
    String me = group.member(0).pid();
    assertThat(again.get("id").asString()).isEqualTo(voles + "@retracted");
    assertThat(lamp(again, me, "lamp")).isEqualTo("unlit");
    assertThat(lamp(again, me, "before")).isEqualTo("keep");
    assertThat(lamp(again, group.member(1).pid(), "before")).isEqualTo("pass");
    assertThat(arve.get("/rounds").ok().get("owed").asInt()).isEqualTo(owed + 1);
    assertThat(changed(arve)).containsExactly(voles + "@retracted");
    assertThat(changed(asta)).containsExactly(voles + "@retracted");

    assertThat(mark(arve, voles + "@retracted", "seen", round)).isEqualTo(200);
    assertThat(arve.get("/rounds").ok().get("owed").asInt()).isEqualTo(owed);
    assertThat(changed(arve)).isEmpty();
    assertThat(changed(asta)).hasSize(1);
    round = round(arve, first);
    assertThat(lamp(named(round, "retracted"), me, "mark")).isEqualTo("seen");
    assertThat(lamp(named(round, "published"), me, "mark")).as("of another work").isEmpty();
    assertThat(arve.get("/folders/" + folder).ok().toString()).contains(voles);
    Map<String, Object> keptStill =
        Map.of("publications", List.of(voles + "@retracted"), "mark", "keep", "reason", "");
    assertThat(arve.post("/marks", keptStill).status()).as("no folder is needed").isEqualTo(200);
    // A pass takes it out of the folder, and is told to do so; an undo puts it back.
    JsonNode passed =
        arve.post(
                "/marks",
                Map.of("publications", List.of(voles + "@retracted"), "mark", "pass", "reason", ""))
            .ok();
    assertThat(passed.get("note").asString()).contains("Kept");
    assertThat(arve.get("/folders/" + folder).ok().toString()).doesNotContain(voles);
    // Seen, kept still and passed are put out one after the other.
    for (int n = 0; n < 3; n++) {
      arve.write(
              "DELETE",
              "/marks",
              Map.of("publications", List.of(voles + "@retracted")),
              UUID.randomUUID())
          .ok();
    }
    assertThat(lamp(named(round(arve, first), "retracted"), me, "lamp")).isEqualTo("unlit");
    assertThat(arve.get("/rounds").ok().get("owed").asInt()).isEqualTo(owed + 1);

    APP.workOff();
    supply.take(work("r1", "Voles returning to lamps", "retraction", "correction"));
    APP.workOff();
    assertThat(coming(round(arve, first)))
        .as("a correction is another occasion; the retraction is told once")
        .filteredOn(one -> one.endsWith("to lamps"))
        .hasSize(3);
    assertThat(mark(arve, voles + "@concern:3", "seen", round)).isEqualTo(404);
    assertThat(mark(arve, voles + "@final", "seen", round)).isEqualTo(422);
    assertThat(mark(arve, voles + "@never", "seen", round)).isEqualTo(422);
  }

  @DisplayName("A record that breaks the alert does not keep what comes again from it")
  @Test
  void besidesABrokenOne() {
    Supply supply = Supply.made(APP, "brittle", 5);
    String alert = group.alert(folder, "Brittle", "title: brittle", "daily");
    supply.take(work("b1", "Brittle stars at dusk"));
    APP.workOff();
    JsonNode round = round(arve, alert);
    String star = round.at("/arrivals/0/id").asString();
    assertThat(mark(arve, star, "pass", round)).isEqualTo(200);
    supply.take(
        work("b1", "Brittle stars at dusk", "retraction"), work("b2", "Brittle and broken"));
    APP.bean(JdbcTemplate.class)
        .update(
            "update publication set fields = jsonb_build_object('title', 'Brittle', 'authors', 7)"
                + " where fields->>'title' = 'Brittle and broken'");
    APP.bean(Watching.class).run();
    assertThat(arve.get("/alerts/" + alert).ok().at("/alert/setAside").asInt()).isEqualTo(1);
    assertThat(coming(round(arve, alert)))
        .containsExactly("published: Brittle stars at dusk", "retracted: Brittle stars at dusk");
  }

  @DisplayName("What changes in a folder: reviewed where that is needed, else only told")
  @Test
  void inAFolder() {
    Supply supply = Supply.made(APP, "folded", 5);
    supply.take(
        work("f1", "Dormice in a folder"),
        work("f2", "Dormice in the folder, too"),
        work("f4", "Dormice behind a wall"),
        work("f3", "Dormice outside of it"));
    for (String title : List.of("\"in a folder\"", "\"in the folder\"", "\"dormice behind\"")) {
      keep(title);
    }
    JsonNode set = arve.post("/alerts", folderAlert("Changes", "k:" + folder, folder)).ok();
    String alert = set.get("id").asString();
    assertThat(arve.get("/alerts/" + alert).ok().at("/alert/tells").asString())
        .isEqualTo("changes");
    supply.take(
        work("f1", "Dormice in a folder", "correction"),
        new SourceRecord("f2", "mods", "", "2026-11-21", true),
        opened("f4", "Dormice behind a wall"),
        work("f3", "Dormice outside of it", "correction"));
    APP.workOff();
    JsonNode round = round(arve, alert);
    assertThat(coming(round))
        .containsExactly(
            "corrected: Dormice in a folder",
            "opened: Dormice behind a wall",
            "withdrawn: Dormice in the folder, too");
    assertThat(named(round, "opened").get("lamps")).as("only told").isEmpty();
    assertThat(named(round, "withdrawn").get("lamps")).as("only told").isEmpty();
    assertThat(named(round, "corrected").get("lamps")).hasSize(2);
    assertThat(round.at("/round/arrivals").asInt()).as("to review").isEqualTo(1);
    told(alert);
    keep("\"outside of it\"");
    APP.workOff();
    APP.bean(ComparingAlerts.class).run();
    assertThat(coming(round(arve, alert))).as("what is put in is no change").hasSize(3);
    JsonNode foreseen =
        arve.post(
                "/alerts/foreseen",
                Map.of(
                    "tells",
                    "changes",
                    "strategy",
                    Map.of(
                        "version",
                        3,
                        "lines",
                        List.of(
                            Map.of(
                                "id",
                                "l1",
                                "kind",
                                "held",
                                "strategies",
                                List.of("k:" + folder))))))
            .ok();
    assertThat(foreseen.get("found").asInt()).as("what was withdrawn is not found").isEqualTo(3);
    assertThat(foreseen.at("/months/11/count").asInt()).isEqualTo(3);
  }

  @DisplayName("What became of what one keeps stands in one's letter, whatever found it")
  @Test
  void keptAndChanged() {
    Supply supply = Supply.made(APP, "kept", 5);
    supply.take(work("k1", "Shrews behind a wall"), work("k2", "Shrews that nobody keeps"));
    keep("\"shrews behind\"");
    APP.bean(Digests.class).run();
    APP.pass(1);
    supply.take(opened("k1", "Shrews behind a wall"), opened("k2", "Shrews that nobody keeps"));
    APP.pass(1);
    APP.bean(Digests.class).run();
    APP.bean(MailJob.class).run();
    assertThat(letters(arve).get(letters(arve).size() - 1).text())
        .contains("“Shrews behind a wall”, kept in “Kept”, can be read by everybody now")
        .doesNotContain("Shrews that nobody keeps");
    assertThat(letters(asta))
        .as("it is told to those who kept it")
        .noneMatch(letter -> letter.text().contains("Shrews"));
    APP.pass(1);
    APP.bean(Digests.class).run();
    APP.bean(MailJob.class).run();
    assertThat(letters(arve))
        .as("once")
        .filteredOn(one -> one.text().contains("Shrews"))
        .hasSize(1);
  }

  private static List<MailDrop.Got> letters(Client who) {
    return APP.outside().mail().gotBy(who.below("").get("/api/me").ok().get("email").asString());
  }

  /** In feeds and letters it says what happened, and offers marks on that occasion. */
  private void told(String alert) {
    APP.bean(Digests.class).run();
    APP.pass(1);
    URI feed =
        URI.create(
            arve.post("/feeds", Map.of("of", "alert:" + alert)).ok().get("address").asString());
    assertThat(new Client(APP.address()).get(feed.getPath()).body())
        .contains("It was corrected, says “Changes”.")
        .contains("It was taken back by its source, says “Changes”.")
        .contains("It can be read by everybody now, says “Changes”.");
    APP.bean(Digests.class).run();
    APP.bean(MailJob.class).run();
    MailDrop.Got letter = letters(arve).get(0);
    assertThat(letter.text())
        .contains("Why: was corrected")
        .contains("withdrawn by its source since and is left out");
    assertThat(letter.html()).contains("on&#x3D;corrected:");
  }

  private void keep(String title) {
    String id = group.find("title: " + title).get(0);
    arve.post("/folders/" + folder + "/items", Map.of("publications", List.of(id), "note", ""))
        .ok();
  }

  private static SourceRecord citing(String id, String title, String doi) {
    return Supply.mods(
        id,
        title,
        "Weir",
        Supply.doi("10.5555/citing." + id)
            + "<relatedItem type=\"references\">"
            + Supply.doi(doi)
            + "</relatedItem>");
  }

  @DisplayName("What cites anything in a folder follows what is kept there")
  @Test
  void citesAnything() {
    Supply supply = Supply.made(APP, "cites", 5);
    supply.take(
        work("c1", "Shrews that are kept"),
        work("c2", "Shrews that are kept later"),
        citing("x0", "A shrew was cited before", "10.5555/again.c2"));
    keep("\"shrews that are kept\"");
    String alert =
        arve.post("/alerts", folderAlert("Citing", "c:" + folder, folder))
            .ok()
            .get("id")
            .asString();
    supply.take(
        citing("x1", "Citing the kept shrew", "10.5555/AGAIN.C1"),
        citing("x2", "Citing something else", "10.5555/again.nothing"));
    APP.workOff();
    assertThat(coming(round(arve, alert))).containsExactly("published: Citing the kept shrew");
    assertThat(group.find("shrew")).hasSizeGreaterThan(2);

    keep("\"kept later\"");
    APP.bean(ComparingAlerts.class).run();
    JsonNode besides = arve.get("/alerts/" + alert + "/differences").ok().get("differences");
    assertThat(besides.at("/0/causes/0").asString()).isEqualTo("folders");
    assertThat(besides.at("/0/first/0/title").asString()).isEqualTo("A shrew was cited before");
    assertThat(coming(round(arve, alert))).as("what the folder widens is not new").hasSize(1);

    String strangers = APP.group("Signe Stranger").folder("Theirs");
    JsonNode refused = arve.post("/alerts", folderAlert("Theirs", "c:" + strangers, folder)).json();
    assertThat(refused.toString()).contains("folder that this line follows");
  }
}
