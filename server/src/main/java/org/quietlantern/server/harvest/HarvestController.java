package org.quietlantern.server.harvest;

import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/sources/{source}")
class HarvestController {
  private final SourceTries tries;
  private final Harvests harvests;
  private final Groups groups;

  HarvestController(SourceTries tries, Harvests harvests, Groups groups) {
    this.tries = tries;
    this.harvests = harvests;
    this.groups = groups;
  }

  /** What came of asking a source; {@code before}: only tries before the one with this number. */
  @GetMapping("/tries")
  SourceTries.Tries tries(
      @PathVariable String source, @RequestParam(required = false) @Nullable Integer before) {
    return tries.tries(source, before);
  }

  /** Asks for a try at the next chance, within half a minute; for stewards. */
  @PostMapping("/tries")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void tryNow(Member me, @PathVariable String source) {
    groups.requireSteward(me, "A steward of the installation has a source tried.");
    harvests.askFor(source);
  }

  /** Records that could not be taken; {@code after}: only those whose names follow this one. */
  @GetMapping("/set-aside")
  SourceTries.RecordsSetAside setAside(
      @PathVariable String source, @RequestParam(defaultValue = "") String after) {
    return tries.setAside(source, after);
  }
}
