package org.quietlantern.server.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.platform.Editions;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

@DisplayName("N5: what an alert remembers is held against all that its search finds")
class MemoryComparisonTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private final TestGroup group = APP.group("Mia Memory", "Moe Memory");
  private final Client mia = group.client(0);
  private final String folder = group.folder("Kept");

  private static String cites(String... dois) {
    StringBuilder items = new StringBuilder();
    for (String doi : dois) {
      items.append("<relatedItem type=\"references\">" + Supply.doi(doi) + "</relatedItem>");
    }
    return items.toString();
  }

  private static void compareAnew() {
    DATABASE.update("update alert set compared = ''");
    APP.bean(ComparingAlerts.class).run();
  }

  private JsonNode view(String alert) {
    return mia.get("/alerts/" + alert).ok();
  }

  private JsonNode differences(String alert) {
    return mia.get("/alerts/" + alert + "/differences").ok().get("differences");
  }

  private int findings(String alert) {
    return view(alert).at("/alert/findings").asInt();
  }

  private static void citing(Supply supply, String... dois) {
    supply.take(
        Supply.mods(
            supply.id() + "x",
            "Citing " + supply.id(),
            "Weir",
            Supply.doi("10.5555/w." + supply.id()) + cites(dois)));
  }

  /** A work that is here, and another that does not cite it yet. */
  private static Supply begun(String key) {
    Supply supply = Supply.made(APP, key, 5);
    supply.take(Supply.mods(key + 1, "Cited " + key, "Pond", Supply.doi("10.5555/cited." + key)));
    citing(supply);
    return supply;
  }

  @DisplayName(
      "What another record widens goes quietly into memory, once, and is told with its cause")
  @Test
  void quietly() {
    Supply supply = begun("quiet");
    String line = "citedby: 10.5555/w." + supply.id();
    String alert = group.alert(folder, "Quietly", line, "daily");
    citing(supply, "10.5555/cited.quiet");
    APP.bean(Watching.class).run();
    assertThat(findings(alert)).isZero();
    JsonNode trial = mia.post("/alerts/" + alert + "/trial", Map.of()).ok();
    assertThat(trial.get("found").asInt()).isZero();
    assertThat(trial.get("compared").asInt()).isEqualTo(1);
    assertThat(differences(alert)).as("a trial changes nothing").isEmpty();
    compareAnew();
    JsonNode told = differences(alert);
    assertThat(told).hasSize(1);
    assertThat(told.at("/0/missed").asBoolean()).isFalse();
    assertThat(told.at("/0/causes").toString()).isEqualTo("[\"citations\"]");
    assertThat(told.at("/0/remembered").asInt()).isZero();
    assertThat(told.at("/0/found").asInt()).isEqualTo(1);
    assertThat(told.at("/0/first/0/title").asString()).isEqualTo("Cited quiet");
    assertThat(findings(alert)).isZero();
    assertThat(APP.bean(MemoryCheck.class).look()).as("nothing was missed").isZero();
    compareAnew();
    assertThat(differences(alert)).hasSize(1);
    JsonNode earlier =
        mia.get("/alerts/" + alert + "/differences?before=" + told.at("/0/id").asInt()).ok();
    assertThat(earlier.get("differences")).isEmpty();
    assertThat(earlier.get("more").asBoolean()).isFalse();
  }

  @DisplayName("By choice it comes into a round, with a class of its own")
  @Test
  void announced() {
    Supply supply = begun("told");
    String line = "citedby: 10.5555/w." + supply.id();
    String alert = group.alert(folder, "Told", line, "daily");
    Map<String, Object> chosen =
        Map.of(
            "rhythm",
            "at-once",
            "hour",
            "05:00",
            "asked",
            1,
            "folder",
            folder,
            "tellsWidened",
            true);
    assertThat(mia.put("/alerts/" + alert, chosen).ok().get("tellsWidened").asBoolean()).isTrue();
    citing(supply, "10.5555/cited.told");
    APP.bean(Watching.class).run();
    compareAnew();
    assertThat(findings(alert)).isEqualTo(1);
    String round = mia.get("/rounds").ok().at("/rounds/0/id").asString();
    JsonNode arrival = mia.get("/rounds/" + round).ok().at("/arrivals/0");
    assertThat(arrival.toString()).contains("widened");
    compareAnew();
    assertThat(findings(alert)).isEqualTo(1);
  }

  @DisplayName("What was missed is announced as it would have been, and told to stewards")
  @Test
  void missed() {
    Supply supply = Supply.made(APP, "missed", 5);
    String alert = group.alert(folder, "Missed", "title: \"quickthorn hedges\"", "daily");
    String healthy = group.alert(folder, "Healthy", "quickthorn", "daily");
    supply.take(Supply.mods("missed1", "Quickthorn hedges at night", "Pond", ""));
    // A run that would have lost it.
    DATABASE.update(
        "update alert set number = ? where pid = ?", APP.bean(Publications.class).latest(), alert);
    APP.bean(Watching.class).run();
    assertThat(findings(alert)).isZero();
    assertThat(findings(healthy)).isEqualTo(1);
    assertThat(APP.bean(MemoryCheck.class).look()).isEqualTo(1);
    compareAnew();
    assertThat(findings(alert)).isEqualTo(1);
    assertThat(differences(alert).at("/0/missed").asBoolean()).isTrue();
    assertThat(differences(healthy)).isEmpty();
    assertThat(APP.bean(MemoryCheck.class).look()).as("told for a day").isEqualTo(1);
    String round = mia.get("/rounds").ok().at("/rounds/0/id").asString();
    assertThat(mia.get("/rounds/" + round).ok().toString()).contains("published");
    compareAnew();
    assertThat(findings(alert)).isEqualTo(1);
    DATABASE.update("update memory_difference set at = at - interval '2 days'");
    assertThat(APP.bean(MemoryCheck.class).look()).isZero();
  }

  @DisplayName("N6: of a paused alert a trial says how much came; it goes on with that or without")
  @Test
  void gap() {
    String alert = group.alert(folder, "Gap", "title: \"gapped walls\"", "daily");
    mia.post("/alerts/" + alert + "/pause", Map.of()).ok();
    Supply supply = Supply.made(APP, "gap", 5);
    supply.take(
        Supply.mods("gap1", "Gapped walls one", "Pond", ""),
        Supply.mods("gap2", "Gapped walls two", "Weir", ""));
    APP.bean(Watching.class).run();
    JsonNode trial = mia.post("/alerts/" + alert + "/trial", Map.of()).ok();
    assertThat(trial.get("found").asInt()).isEqualTo(2);
    assertThat(trial.get("first").findValuesAsString("title"))
        .containsExactlyInAnyOrder("Gapped walls one", "Gapped walls two");
    assertThat(mia.post("/alerts/" + alert + "/run", Map.of()).status()).isEqualTo(409);
    mia.post("/alerts/" + alert + "/resume", Map.of("gap", true)).ok();
    assertThat(group.client(1).post("/alerts/" + alert + "/run", Map.of()).status()).isEqualTo(403);
    assertThat(mia.post("/alerts/" + alert + "/run", Map.of()).ok().get("found").asInt())
        .isEqualTo(2);
    assertThat(mia.post("/alerts/" + alert + "/run", Map.of()).ok().get("found").asInt()).isZero();
    assertThat(mia.post("/alerts/" + alert + "/trial", Map.of()).ok().get("found").asInt())
        .isZero();
  }

  @DisplayName("Each is compared once a day and once after a change of what it depends on")
  @Test
  void once() {
    String alert = group.alert(folder, "Once", "bats", "daily");
    APP.bean(ComparingAlerts.class).run();
    String compared = compared(alert);
    assertThat(compared).contains("vocabulary").contains("holdings");
    APP.bean(TransactionTemplate.class)
        .executeWithoutResult(status -> APP.bean(Editions.class).next(Editions.Kind.HOLDINGS));
    APP.bean(ComparingAlerts.class).run();
    String after = compared(alert);
    assertThat(after).isNotEqualTo(compared);
    APP.pass(1);
    APP.bean(ComparingAlerts.class).run();
    assertThat(List.of(compared, after)).doesNotContain(compared(alert));
  }

  private static String compared(String alert) {
    return DATABASE.queryForObject("select compared from alert where pid = ?", String.class, alert);
  }
}
