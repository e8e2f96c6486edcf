package org.quietlantern.server.upkeep;

import java.util.List;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.job.NightlyChecks;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/set-aside")
class UpkeepController {
  private final Publications publications;
  private final NightlyChecks checks;
  private final Groups groups;

  /** {@code steward}: whether the reader is one; to others the lists are empty. */
  record Upkeep(
      boolean steward, List<Publications.SetAside> setAside, List<NightlyChecks.Outcome> checks) {}

  UpkeepController(Publications publications, NightlyChecks checks, Groups groups) {
    this.publications = publications;
    this.checks = checks;
    this.groups = groups;
  }

  /** Records that something could not deal with, and what the nightly checks came to. */
  @GetMapping
  Upkeep setAside(Member me) {
    return groups.isSteward(me)
        ? new Upkeep(true, publications.setAside(), checks.outcomes())
        : new Upkeep(false, List.of(), List.of());
  }
}
