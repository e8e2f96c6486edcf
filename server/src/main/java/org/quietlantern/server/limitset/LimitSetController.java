package org.quietlantern.server.limitset;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyBody;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/limit-sets")
class LimitSetController {
  private final LimitSets sets;

  /** The limits in force of the strategy are kept. */
  record NewLimitSet(String name, StrategyBody strategy) {}

  LimitSetController(LimitSets sets) {
    this.sets = sets;
  }

  /** The sets of limits that the group has kept. */
  @GetMapping
  List<LimitSets.LimitSet> all(Member me) {
    return sets.all(me);
  }

  /** Keeps the limits in force of a strategy under a name. */
  @PostMapping
  LimitSets.LimitSet add(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody NewLimitSet body) {
    return sets.add(me, command, body.name(), StrategyBody.of(body.strategy()));
  }

  /** Ends a set of limits; searches that it was put on keep them. */
  @DeleteMapping("/{set}")
  LimitSets.LimitSet remove(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String set) {
    return sets.remove(me, command, set);
  }
}
