package org.quietlantern.server.trail;

import java.util.UUID;
import org.quietlantern.core.search.Order;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Asked;
import org.quietlantern.server.matching.StrategyBody;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class TrailController {
  private final Trail trail;

  record Settle(Asked asked, String order) {}

  TrailController(Trail trail) {
    this.trail = trail;
  }

  @PostMapping("/steps")
  @GuestsMay
  Trail.StepMade settle(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody Settle body) {
    Order order = Order.named(body.order()).orElse(Order.RELEVANCE);
    return trail.settle(me, command, body.asked().toStrategy(), order);
  }

  @GetMapping("/q/{q}")
  StrategyBody strategy(Member me, @PathVariable String q) {
    return trail.get(me, q);
  }
}
