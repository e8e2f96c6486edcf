package org.quietlantern.server.trail;

import java.util.UUID;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Asked;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class TrailController {
  private final Trail trail;

  /** {@code step}: the step that led to it, if one did. */
  record Opening(@Nullable String step) {}

  record Settle(Asked asked, String order) {}

  TrailController(Trail trail) {
    this.trail = trail;
  }

  @PostMapping("/steps")
  @GuestsMay
  Trail.StepMade settle(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody Settle body) {
    Ordering order = Ordering.named(body.order()).orElse(Ordering.RELEVANCE);
    return trail.settle(me, command, body.asked().toStrategy(), order);
  }

  /** Notes on the member's own trail that a publication was opened. */
  @PutMapping("/publications/{publication}/opened")
  @GuestsMay
  void open(Member me, @PathVariable String publication, @RequestBody Opening body) {
    trail.open(me, publication, body.step());
  }

  @GetMapping("/q/{q}")
  StrategyBody strategy(Member me, @PathVariable String q) {
    return trail.get(me, q);
  }
}
