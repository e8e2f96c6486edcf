package org.quietlantern.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Stored;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;

/** What open pages cost that look for changes every few seconds. */
class SparingSessionsTest {
  private static final TestApp APP = TestApp.shared();
  private static final String LATEST =
      "(select session_id from spring_session order by creation_time desc limit 1)";
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);
  private final TestGroup group = APP.group("Lona Looker");
  private final Client lona = group.client(0);

  private long lastUse() {
    return database.queryForObject(
        "select last_access_time from spring_session where session_id = " + LATEST, Long.class);
  }

  @DisplayName("A look writes nothing within a minute of the one before, and its use after that")
  @Test
  void looks() {
    lona.get("/changes?since=0");
    long begun = lastUse();
    for (int look = 0; look < 5; look++) {
      assertThat(lona.get("/changes?since=0").status()).isEqualTo(304);
    }
    assertThat(lastUse()).isEqualTo(begun);
    database.update(
        "update spring_session set last_access_time = last_access_time - 61000 where session_id = "
            + LATEST);
    lona.get("/changes?since=0");
    assertThat(lastUse()).isGreaterThanOrEqualTo(begun);
  }

  @DisplayName("What a test holds against what stood before does not differ by it")
  @Test
  void isNotTold() {
    Stored stored = new Stored(APP);
    lona.get("/changes?since=0");
    Map<String, String> before = stored.now();
    database.update("update spring_session set last_access_time = last_access_time - 61000");
    lona.get("/changes?since=0");
    assertThat(stored.now()).isEqualTo(before);
    database.update(
        "update spring_session set principal_name = 'nobody' where session_id = " + LATEST);
    assertThat(stored.now()).isNotEqualTo(before);
  }

  @DisplayName("A session that was ended is gone at the next look all the same")
  @Test
  void ended() {
    lona.get("/changes?since=0");
    database.update("delete from spring_session where session_id = " + LATEST);
    assertThat(lona.get("/changes?since=0").status()).isEqualTo(401);
  }
}
