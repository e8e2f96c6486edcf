package org.quietlantern.server.demo;

import java.time.Instant;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Exists in the demo only. */
@RestController
@ConditionalOnProperty("lantern.demo.enabled")
class DemoController {
  private static final int MOST = 31;
  private final DemoDays days;
  private final LanternProperties properties;

  record Days(int days) {}

  DemoController(DemoDays days, LanternProperties properties) {
    this.properties = properties;
    this.days = days;
  }

  /**
   * {@code pastUntil}: while the groups' past is arriving, when it will end. {@code mail}: where
   * its letters can be looked at.
   */
  record DemoState(Instant today, @Nullable Instant pastUntil, String mail) {}

  /** What day it is in the demo, and whether its past has arrived. */
  @GetMapping("/api/demo")
  DemoState state() {
    return new DemoState(
        days.today(), days.pastUntil().orElse(null), properties.demo().outside() + "/mail");
  }

  /** Lets days pass for everybody. */
  @PostMapping("/api/demo/days")
  DemoDays.Passed pass(@RequestBody Days body) {
    if (body.days() < 1 || body.days() > MOST) {
      throw Refusal.unusable("days", "Between 1 and " + MOST + " days can pass at once.");
    }
    return days.passAsAsked(body.days());
  }
}
