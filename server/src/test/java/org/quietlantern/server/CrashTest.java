package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.server.alert.ComparingAlerts;
import org.quietlantern.server.digest.Digests;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.DyingCheckpoint;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** From a source to a lamp: dying anywhere and starting again gives each arrival exactly once. */
class CrashTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();

  private static final List<String> PLACES =
      List.of(
          "harvest: page fetched",
          "harvest: page in the catalogue, place not noted",
          "harvest: all pages taken",
          "alerts: quiet, not noted",
          "alert: locked",
          "alert: announced, not remembered",
          "alert: remembered, not committed",
          "round: closed, next not opened",
          "round: closed, not committed",
          "comparison: agreed, not noted",
          "comparison: begun",
          "comparison: taken, not committed",
          "digest: begun",
          "digest: noted, not written",
          "digest: written, not committed",
          "mail: taken, not handed over",
          "mail: handed over, not noted");

  @TestFactory
  Stream<DynamicTest> dyingAnywhere() {
    return PLACES.stream().map(place -> DynamicTest.dynamicTest(place, () -> dyingAt(place)));
  }

  private static void dyingAt(String place) {
    TestGroup group = APP.group("Cora Crash");
    String alert = alerts(group);
    Set<String> before = here();
    APP.bean(DyingCheckpoint.class).dieAt(place);
    assertThatThrownBy(() -> pass(TestApp.OVER_A_WEEKEND))
        .isInstanceOf(DyingCheckpoint.Death.class);
    // Whoever was at a letter is gone: another one takes it when the lease is over.
    APP.bean(JdbcTemplate.class).update("update outbox set system_due = system_at");
    APP.workOff();
    pass(TestApp.OVER_A_WEEKEND);
    pass(1);
    Set<String> came = here();
    came.removeAll(before);
    assertThat(came).as("something came").isNotEmpty();
    List<String> arrived = arrived(group);
    assertThat(arrived).as("each once").doesNotHaveDuplicates();
    assertThat(new TreeSet<>(arrived)).as("none lost").isEqualTo(came);
    assertThat(openRounds(group, alert)).as("one round gathers").isEqualTo(1);
    assertThat(told(group)).as("told by mail").isEqualTo(closed(group));
  }

  /** One that finds all, which is answered, and one that finds nothing. */
  private static String alerts(TestGroup group) {
    group.alert(group.folder("N"), "Nothing", "title: unheardof", "daily");
    return group.alert(group.folder("F"), "All of it", TestGroup.EVERYTHING, "daily");
  }

  /**
   * Memories without something that came: it is missed, and found by comparing. It came to the
   * group already, so that nothing comes twice.
   */
  private static void forget() {
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    database
        .queryForList(
            """
            select a.id, a.memory, (select min(o.publication) from finding f
              join arrival r on r.id = f.arrival join occasion o on o.id = r.occasion
              where f.alert = a.id) as came
            from alert a where a.state = 'watching'
            """)
        .forEach(
            alert -> {
              if (alert.get("came") instanceof Integer came) {
                RoaringBitmap memory = bitmap((byte[]) alert.get("memory"));
                memory.remove(came);
                database.update(
                    "update alert set memory = ? where id = ?",
                    Memory.of(memory).bytes(),
                    alert.get("id"));
              }
            });
  }

  private static RoaringBitmap bitmap(byte[] bytes) {
    RoaringBitmap ids = new RoaringBitmap();
    try {
      ids.deserialize(ByteBuffer.wrap(bytes));
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    return ids;
  }

  /** Days with everything that a server does in them by itself, up to the mail server. */
  private static void pass(int days) {
    for (int day = 0; day < days; day++) {
      APP.pass(1);
      forget();
      APP.bean(ComparingAlerts.class).run();
      APP.bean(Digests.class).run();
      APP.bean(MailJob.class).run();
    }
  }

  /** As many as the subjects of letters say; one that came again has its name again. */
  private static int told(TestGroup group) {
    String email = group.client(0).below("").get("/api/me").ok().get("email").asString();
    Map<String, String> letters =
        APP.outside().mail().gotBy(email).stream()
            .collect(
                Collectors.toMap(
                    MailDrop.Got::messageId, MailDrop.Got::subject, (one, again) -> one));
    return letters.values().stream()
        .mapToInt(subject -> Integer.parseInt(subject.split(" ")[0].replace(",", "")))
        .sum();
  }

  /** Arrivals of rounds that are closed. */
  private static int closed(TestGroup group) {
    return group
        .client(0)
        .get("/rounds")
        .ok()
        .get("rounds")
        .valueStream()
        .filter(round -> round.hasNonNull("closed"))
        .mapToInt(round -> round.get("arrivals").asInt())
        .sum();
  }

  /** What the alert would find, as the tables of the catalogue have it: no alert is asked. */
  private static Set<String> here() {
    return new TreeSet<>(
        APP.bean(JdbcTemplate.class)
            .queryForList(
                "select pid from publication where canonical is null and withdrawn is null",
                String.class));
  }

  private static List<String> arrived(TestGroup group) {
    Client client = group.client(0);
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

  private static long openRounds(TestGroup group, String alert) {
    JsonNode line = group.client(0).get("/alerts/" + alert).ok().get("alert");
    return line.has("nextCloses") ? 1 : 0;
  }

  @DisplayName("Every place at which a process can die is tried")
  @Test
  void everyPlaceIsTried() {
    APP.group("Carl Crash");
    TestGroup group = APP.group("Cleo Crash");
    alerts(group);
    pass(TestApp.OVER_A_WEEKEND);
    assertThat(APP.bean(DyingCheckpoint.class).passed())
        .isSubsetOf(Set.copyOf(PLACES))
        .hasSize(PLACES.size());
  }
}
