package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.server.demo.DemoDays;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.DyingCheckpoint;
import org.quietlantern.server.support.TestApp;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

class DemoTest {
  @RegisterExtension
  private static final TestApp APP =
      new TestApp("--lantern.demo.enabled=true", "--lantern.demo.past-days=21");

  @DisplayName("The demo's groups have a past, and days pass for everybody")
  @Test
  void aDemo() {
    Client ilse = new Client(APP.address());
    JsonNode me = ilse.signIn("ilse@ternhollow.example", TestApp.PASSWORD).ok();
    String group = me.get("groups").get(0).get("id").asString();
    Client here = ilse.below("/api/groups/" + group);
    JsonNode view = here.get("").ok();
    assertThat(view.get("members").valueStream().map(one -> one.get("name").asString()))
        .as("one left, one came late, one comes from outside")
        .contains("Noor Hallam", "Orla Finch")
        .doesNotContain("Bram Ostrow")
        .hasSize(7);
    assertThat(here.get("/folders").body()).contains("Skyglow, from Bram");
    Client orla = new Client(APP.address());
    orla.signIn("orla@countyhall.example", TestApp.PASSWORD).ok();
    JsonNode open = orla.get("/api/groups/" + group + "/folders").ok();
    assertThat(open.valueStream().map(one -> one.get("name").asString()))
        .containsExactly("Evidence for the county");
    assertThat(view.get("demo").asBoolean()).isTrue();
    assertThat(here.get("/folders").ok().size()).isEqualTo(8);
    assertThat(here.get("/rounds").ok().get("rounds").get(0).get("reviewed").size())
        .as("guests have no lamp")
        .isEqualTo(5);
    JsonNode notes = here.get("/margin-notes").ok().get("notes");
    assertThat(notes).hasSize(2);
    assertThat(notes.get(1).at("/note/remarks/0/by").asString()).isEqualTo("Ilse Brandvold");
    JsonNode requests = here.get("/requests").ok().get("requests");
    assertThat(requests.valueStream().map(one -> one.get("state").asString()))
        .containsExactly("sent", "asked back", "delivered");

    APP.setClock(TestApp.BEGINS.plusSeconds(8L * 86_400));
    JsonNode passed = ilse.post("/api/demo/days", Map.of("days", 2)).ok();
    assertThat(passed.get("now").asString()).startsWith("2026-11-27T07:0");
    assertThat(passed.get("changed").asInt()).isPositive();
    assertThat(passed.get("problems").size()).isZero();
    assertThat(here.get("").ok().get("today").asString()).isEqualTo("2026-11-27");
  }

  @Test
  void aSourceThatIsDownIsNamedAndMadeUpFor() {
    Client ilse = new Client(APP.address());
    ilse.signIn("ilse@ternhollow.example", TestApp.PASSWORD).ok();
    APP.faults().breakAfter(0);
    JsonNode broken = ilse.post("/api/demo/days", Map.of("days", 1)).ok();
    assertThat(broken.get("problems").get(0).asString()).startsWith("The Night Index: ");
    assertThat(ilse.post("/api/demo/days", Map.of("days", 1)).ok().get("problems").size()).isZero();
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    assertThat(
            database.queryForObject(
                "select count(*) from harvest where state <> 'done'", Integer.class))
        .isZero();
  }

  @DisplayName("A day that broke off anywhere is taken up again, and passes once")
  @ParameterizedTest
  @ValueSource(strings = {"harvest: all pages taken", "alert: locked"})
  void takenUpAgain(String place) {
    DemoDays days = APP.bean(DemoDays.class);
    Instant before = days.today();
    APP.bean(DyingCheckpoint.class).dieAt(place);
    assertThatThrownBy(() -> days.passAsAsked(1)).isInstanceOf(DyingCheckpoint.Death.class);
    assertThat(days.today()).as("on the way").isAfter(before.plus(Duration.ofHours(12)));
    assertThat(days.passAsAsked(1).now())
        .as("the same day")
        .isBetween(before.plus(Duration.ofDays(1)), before.plus(Duration.ofHours(25)));
    assertThat(days.passAsAsked(1).now())
        .as("the next one")
        .isBetween(before.plus(Duration.ofDays(2)), before.plus(Duration.ofHours(49)));
  }

  @Test
  void daysAreBoundedAndNotForStrangers() {
    Client ilse = new Client(APP.address());
    ilse.signIn("ilse@ternhollow.example", TestApp.PASSWORD).ok();
    assertThat(ilse.post("/api/demo/days", Map.of("days", 0)).type()).isEqualTo("days");
    assertThat(ilse.post("/api/demo/days", Map.of("days", 400)).type()).isEqualTo("days");
    Client stranger = new Client(APP.address());
    stranger.get("/api/me");
    assertThat(stranger.post("/api/demo/days", Map.of("days", 1)).status()).isEqualTo(401);
    Client elsewhere = TestApp.shared().group("Dora Demo").client(0).below("");
    assertThat(
            elsewhere
                .write("POST", "/api/demo/days", Map.of("days", 1), UUID.randomUUID())
                .status())
        .as("there is no such thing outside of a demo")
        .isIn(404, 405);
  }
}
