package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.platform.job.NightlyChecks;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What members do while the lantern looks after itself. */
class MeanwhileTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final int NIGHTS = 60;

  @DisplayName("Marks that are made during the nightly checks are no differences, and stay counted")
  @Test
  void marksAtNight() {
    TestGroup group = APP.group("Mads Meanwhile", "Mette Meanwhile");
    group.alert(group.folder("F"), "All", TestGroup.EVERYTHING, "monthly:28");
    APP.harvestUntilSomethingCame();
    APP.workOff();
    Client mads = group.client(0);
    JsonNode round = mads.get("/rounds").ok().get("rounds").get(0);
    List<String> arrived = new ArrayList<>();
    mads.get("/rounds/" + round.get("id").asString())
        .ok()
        .get("arrivals")
        .valueStream()
        .forEach(a -> arrived.add(a.get("publication").get("id").asString()));
    AtomicBoolean goesOn = new AtomicBoolean(true);
    CompletableFuture<Void> marking =
        CompletableFuture.runAsync(
            () -> {
              for (int n = 0; goesOn.get(); n++) {
                String one = arrived.get(n % arrived.size());
                String said = n % 2 == 0 ? "pass" : "hold";
                mads.post(
                        "/marks", Map.of("publications", List.of(one), "mark", said, "reason", ""))
                    .ok();
              }
            });
    List<NightlyChecks.Outcome> outcomes = new ArrayList<>();
    for (int night = 0; night < NIGHTS; night++) {
      APP.bean(JdbcTemplate.class).update("delete from nightly_check");
      APP.bean(NightlyChecks.class).run();
      outcomes.addAll(APP.bean(NightlyChecks.class).outcomes());
    }
    goesOn.set(false);
    marking.join();
    assertThat(outcomes).isNotEmpty().allMatch(outcome -> outcome.differences() == 0);
  }
}
