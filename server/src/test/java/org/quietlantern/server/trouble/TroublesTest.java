package org.quietlantern.server.trouble;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.ComparingAlerts;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@DisplayName("What does not go as it should is told once, and again when it goes")
class TroublesTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private final TestGroup group = APP.group("Tara Trouble", "Tom Trouble").guest("Gil Guest");
  private final Client tara = group.client(0);
  private final Client tom = group.client(1);
  private final String folder = group.folder("Kept");

  private static void look() {
    APP.bean(ComparingAlerts.class).run();
    APP.bean(Troubles.class).run();
    APP.bean(MailJob.class).run();
  }

  private static void anHourPasses() {
    DATABASE.update("update trouble set system_since = system_since - interval '1 hour'");
  }

  private List<MailDrop.Got> letters(Client who) {
    String email = who.below("").get("/api/me").ok().get("email").asString();
    return APP.outside().mail().gotBy(email);
  }

  private static JsonNode troubles(Client who) {
    return who.get("/troubles").ok();
  }

  @DisplayName(
      "A search that lost a heading: on Today at once, by mail after a while, and when mended")
  @Test
  void lostHeading() {
    String line = "heading/exact: \"No such heading\" or bats";
    JsonNode search = group.search(folder, "Lost", line);
    String alert =
        tara.post("/alerts", Map.of("search", search.get("id").asString(), "rhythm", "daily"))
            .ok()
            .get("id")
            .asString();
    look();
    assertThat(troubles(tom)).hasSize(1);
    assertThat(troubles(tom).at("/0/title").asString()).isEqualTo("Alert on “Lost”");
    assertThat(troubles(tom).at("/0/place").asString()).isEqualTo("a/" + alert);
    assertThat(troubles(tom).at("/0/why").asString()).contains("No such heading");
    assertThat(troubles(group.client(2))).as("a guest cannot act").isEmpty();
    assertThat(letters(tara)).isEmpty();
    anHourPasses();
    look();
    look();
    assertThat(letters(tara)).hasSize(1);
    assertThat(letters(tara).get(0).text()).contains("No such heading", "/a/" + alert, "/account");
    assertThat(letters(tom)).as("coordinators can act").isEmpty();

    String at = "/searches/" + search.get("id").asString();
    Map<String, Object> next =
        Map.of("asked", Map.of("text", "bats"), "revision", 1, "comment", "");
    tara.post(at + "/revisions", next).ok();
    look();
    look();
    assertThat(troubles(tom).at("/0/mended").isNull()).isFalse();
    assertThat(letters(tara)).hasSize(2);
    assertThat(letters(tara).get(1).subject()).contains("it goes again");
    APP.pass(4);
    look();
    assertThat(troubles(tom)).isEmpty();
  }

  @DisplayName("A run that fails is told; one that fails for minutes only is told by no letter")
  @Test
  void failedRun() {
    String alert = group.alert(folder, "Failing", "bats", "daily");
    String add =
        "insert into alert_run (alert, after_no, up_to_no, sources, found, millis, error, at)"
            + " select id, 0, 0, '{}', 0, 0, ?, now() from alert where pid = ?";
    DATABASE.update(add, "disk full", alert);
    look();
    assertThat(troubles(tara).at("/0/why").asString()).contains("disk full");
    DATABASE.update(add, "", alert);
    look();
    assertThat(troubles(tara)).isEmpty();
    anHourPasses();
    look();
    assertThat(letters(tara)).isEmpty();
    // It begins again: that is another trouble.
    DATABASE.update(add, "disk full", alert);
    look();
    anHourPasses();
    look();
    assertThat(letters(tara)).hasSize(1);
    DATABASE.update("update alert set state = 'ended' where pid = ?", alert);
    look();
    assertThat(letters(tara)).hasSize(2);
  }

  @DisplayName("A source that is down is told to stewards of the installation, to nobody else")
  @Test
  void source() {
    int source = Supply.made(APP, "down", 5).id();
    String add =
        "insert into harvest (source, state, error, started, ended)"
            + " values (?, ?, 'connection refused', now(), now())";
    DATABASE.update(add, source, "failed");
    look();
    anHourPasses();
    look();
    assertThat(troubles(tara)).isEmpty();
    assertThat(letters(tara)).isEmpty();
    APP.makeSteward(group.member(1));
    assertThat(troubles(tom).at("/0/why").asString()).contains("connection refused");
    DATABASE.update(add, source, "done");
    look();
    assertThat(letters(tom)).hasSize(1);
    assertThat(letters(tom).get(0).subject()).isEqualTo("Source down: it goes again");
  }
}
