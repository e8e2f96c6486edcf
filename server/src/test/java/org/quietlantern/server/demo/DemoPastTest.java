package org.quietlantern.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.springframework.jdbc.core.JdbcTemplate;

class DemoPastTest {
  /** A Thursday: the next morning Ilse looks at what is there. */
  private static final Instant THURSDAY = Instant.parse("2026-11-12T07:10:00Z");

  @DisplayName("Killed in the middle of a day: the day is lived again, and nothing is done twice")
  @Test
  void livedTwice() {
    try (TestApp app = new TestApp("--lantern.demo.enabled=true", "--lantern.demo.past-days=6")) {
      DemoPast past = app.bean(DemoPast.class);
      String before = everything(app);
      app.setClock(THURSDAY);
      past.liveOneDay();
      String once = everything(app);
      assertThat(once).as("somebody did something").isNotEqualTo(before);
      app.setClock(THURSDAY);
      past.liveOneDay();
      assertThat(everything(app)).isEqualTo(once);
    }
  }

  private static String everything(TestApp app) {
    return app.bean(JdbcTemplate.class)
        .queryForObject(
            "select (select count(*) from review_event) || ' ' || (select count(*) from item)"
                + " || ' ' || (select count(*) from finding) || ' ' || (select count(*) from folder)",
            String.class);
  }

  @DisplayName("While the past arrives no days pass by hand, and everybody is told until when")
  @Test
  void noDaysWhileThePastArrives() {
    try (TestApp app = new TestApp("--lantern.demo.enabled=true", "--lantern.demo.past-days=1")) {
      Client ilse = new Client(app.address());
      ilse.signIn("ilse@ternhollow.example", TestApp.PASSWORD).ok();
      assertThat(ilse.get("/api/demo").ok().has("pastUntil")).isFalse();
      app.bean(DemoDays.class).beginPast(DemoStart.PRESENT);
      assertThat(ilse.get("/api/demo").ok().get("pastUntil").asString())
          .isEqualTo("2026-11-24T07:10:00Z");
      Client.Response refused = ilse.post("/api/demo/days", java.util.Map.of("days", 1));
      assertThat(refused.status()).isEqualTo(409);
      assertThat(refused.type()).isEqualTo("past-arriving");
      app.bean(DemoDays.class).endPast();
      assertThat(ilse.post("/api/demo/days", java.util.Map.of("days", 1)).status()).isEqualTo(200);
    }
  }
}
