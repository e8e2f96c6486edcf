package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.digest.Digests;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/**
 * What alerts tell where the world does not go as it should; each time the sets before and after.
 */
class NothingLostTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();

  private static Set<String> here() {
    return new TreeSet<>(
        APP.bean(JdbcTemplate.class)
            .queryForList(
                "select pid from publication where canonical is null and withdrawn is null",
                String.class));
  }

  private static List<String> arrived(Client client) {
    return client
        .get("/rounds")
        .ok()
        .get("rounds")
        .valueStream()
        .flatMap(
            r -> client.get("/rounds/" + r.get("id").asString()).ok().get("arrivals").valueStream())
        .map(a -> a.get("publication").get("id").asString())
        .toList();
  }

  /** What came since is told, each once, and one round gathers. */
  private static void holds(TestGroup group, String alert, Set<String> before) {
    Set<String> came = here();
    came.removeAll(before);
    assertThat(came).as("something came").isNotEmpty();
    List<String> arrived = arrived(group.client(0));
    assertThat(arrived).as("each once").doesNotHaveDuplicates();
    assertThat(new TreeSet<>(arrived)).as("none lost, nothing else").isEqualTo(came);
    JsonNode line = group.client(0).get("/alerts/" + alert).ok().get("alert");
    Instant closes = Instant.parse(line.get("nextCloses").asString());
    assertThat(closes).as("the next closing is to come").isAfter(APP.bean(Calendar.class).now());
  }

  @DisplayName(
      "A month in which nothing ran: all of it comes, in one letter, and the rhythm goes on")
  @Test
  void aMonth() {
    TestGroup group = APP.group("Mona Month");
    String alert =
        group.alert(group.folder("F"), "All of it", TestGroup.EVERYTHING, "weekly:MONDAY");
    APP.bean(Digests.class).run();
    Set<String> before = here();
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofDays(31)));
    APP.workOff();
    APP.bean(Digests.class).run();
    APP.bean(MailJob.class).run();
    holds(group, alert, before);
    String email = group.client(0).below("").get("/api/me").ok().get("email").asString();
    assertThat(APP.outside().mail().gotBy(email)).as("one letter of all").hasSize(1);
    assertThat(APP.outside().mail().gotBy(email).get(0).subject())
        .startsWith(arrived(group.client(0)).size() + " new");
    assertThat(group.client(0).get("/rounds").ok().get("rounds").size())
        .as("it came in one round")
        .isEqualTo(1);
  }

  @DisplayName("A clock that goes back an hour tells nothing twice, and closes nothing twice")
  @Test
  void anHourBack() {
    TestGroup group = APP.group("Bea Back");
    String alert = group.alert(group.folder("F"), "All of it", TestGroup.EVERYTHING, "daily");
    Set<String> before = here();
    APP.pass(TestApp.OVER_A_WEEKEND);
    int rounds = group.client(0).get("/rounds").ok().get("rounds").size();
    APP.setClock(APP.bean(Calendar.class).now().minus(Duration.ofHours(1)));
    APP.workOff();
    assertThat(group.client(0).get("/rounds").ok().get("rounds").size()).isEqualTo(rounds);
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofHours(1)));
    APP.workOff();
    APP.passUntilSomethingCame();
    holds(group, alert, before);
  }

  @DisplayName("A database that goes away when alerts are to run: they run when it is back")
  @Test
  void databaseAway() throws InterruptedException {
    TestGroup group = APP.group("Dan Database");
    String alert = group.alert(group.folder("F"), "All of it", TestGroup.EVERYTHING, "daily");
    Set<String> before = here();
    APP.harvestUntilSomethingCame();
    APP.letDatabase(false);
    try {
      assertThatThrownBy(() -> APP.bean(Watching.class).run()).isInstanceOf(RuntimeException.class);
    } finally {
      APP.letDatabase(true);
    }
    for (int tries = 0; group.client(0).get("/rounds").status() != 200; tries++) {
      assertThat(tries).as("back by itself").isLessThan(50);
      Thread.sleep(300);
    }
    APP.bean(Watching.class).run();
    holds(group, alert, before);
  }
}
