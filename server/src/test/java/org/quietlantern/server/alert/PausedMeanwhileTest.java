package org.quietlantern.server.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;

/** An alert that its member stops after the list of those that are behind was made. */
class PausedMeanwhileTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();

  @DisplayName("N4: an alert that was paused after it was found to be behind does not run")
  @Test
  void paused() {
    TestGroup group = APP.group("Pia Paused");
    String alert = group.alert(group.folder("F"), "Beetles", "title: beetles", "at-once");
    int row =
        APP.bean(JdbcTemplate.class)
            .queryForObject("select id from alert where pid = ?", Integer.class, alert);
    Supply.made(APP, "meanwhile", 5).take(Supply.mods("m1", "Beetles meanwhile", "Pond", ""));
    long latest = APP.bean(Publications.class).latest();
    group.client(0).post("/alerts/" + alert + "/pause", Map.of()).ok();
    assertThat(APP.bean(AlertRun.class).runAlone(row, latest)).isZero();
    group.client(0).post("/alerts/" + alert + "/resume", Map.of("gap", true)).ok();
    assertThat(APP.bean(AlertRun.class).runAlone(row, latest))
        .as("found once it watches")
        .isEqualTo(1);
  }
}
