package org.quietlantern.server.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.digest.Digests;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

class ManyAlertsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final int ALERTS = 2_000;

  /** What a letter or an entry has of one work, however many found it; bytes. */
  private static final int BEARABLE = 60_000;

  private final TestGroup group = APP.group("Mila Many");
  private final Client mila = group.client(0);
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);

  @DisplayName("Two thousand alerts of a member find the same work: it comes once, told once")
  @Test
  void twoThousand() {
    Supply supply = Supply.made(APP, "many", 5);
    String alert = group.alert(group.folder("Kept"), "Search", "title: newts", "daily");
    like(alert);
    supply.take(Supply.mods("n1", "Newts at a lit ford", "Wick", Supply.doi("10.5555/many.1")));
    APP.workOff();
    assertThat(count("finding")).isEqualTo(ALERTS);
    assertThat(
            database.queryForObject(
                "select count(*) from arrival where grp = ?",
                Integer.class,
                group.member(0).group()))
        .isEqualTo(1);
    assertThat(mila.get("/alerts").ok()).isNotEmpty();
    JsonNode rounds = mila.get("/rounds").ok();
    assertThat(rounds.get("owed").asInt()).as("owed once").isEqualTo(1);
    assertThat(rounds.get("older").asInt()).as("said, not cut").isGreaterThan(1_900);
    APP.bean(Digests.class).run();
    APP.pass(1);
    APP.bean(Digests.class).run();
    APP.bean(MailJob.class).run();
    String email = mila.below("").get("/api/me").ok().get("email").asString();
    MailDrop.Got letter = APP.outside().mail().gotBy(email).get(0);
    assertThat(letter.subject()).startsWith("1 new in ");
    assertThat(letter.text().split("Newts at a lit ford", -1)).hasSize(2);
    assertThat(letter.html()).hasSizeLessThan(BEARABLE);
    URI feed =
        URI.create(mila.post("/feeds", Map.of("of", "alerts")).ok().get("address").asString());
    String atom = new Client(APP.address()).get(feed.getPath()).body();
    assertThat(atom.split("<entry", -1)).hasSize(2);
    assertThat(atom).hasSizeLessThan(BEARABLE);
  }

  private Integer count(String table) {
    return database.queryForObject("select count(*) from " + table, Integer.class);
  }

  /** Others like it, put into the database: setting each would take minutes. */
  private void like(String alert) {
    database.update(
        """
        insert into saved_search (pid, folder, name, at)
        select s.pid || other, s.folder, s.name || ' ' || other, s.at
        from saved_search s join revision v on v.saved_search = s.id
        join alert a on a.revision = v.id cross join generate_series(2, ?) other where a.pid = ?
        """,
        ALERTS,
        alert);
    database.update(
        """
        insert into revision (saved_search, n, strategy, count, as_of, membership, at)
        select s.id, v.n, v.strategy, v.count, v.as_of, v.membership, v.at
        from alert a join revision v on v.id = a.revision
        join saved_search t on t.id = v.saved_search
        join saved_search s on s.folder = t.folder and s.id <> t.id where a.pid = ?
        """,
        alert);
    database.update(
        """
        insert into alert (pid, grp, revision, folder, rhythm, hour, state, number, memory,
          membership, at, compared)
        select a.pid || v.id, a.grp, v.id, a.folder, a.rhythm, a.hour, a.state, a.number, a.memory,
          a.membership, a.at, a.compared
        from alert a join saved_search s on s.folder = a.folder join revision v
          on v.saved_search = s.id and v.id <> a.revision where a.pid = ?
        """,
        alert);
    database.update(
        """
        insert into round (pid, alert, n, opens, closes)
        select r.pid || b.id, b.id, r.n, r.opens, r.closes
        from alert a join round r on r.alert = a.id join alert b
          on b.folder = a.folder and b.id <> a.id where a.pid = ?
        """,
        alert);
  }
}
