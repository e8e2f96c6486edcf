package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/publications/{publication}/decisions")
class DecisionsController {
  private final Decisions decisions;
  private final Publications publications;

  /**
   * What a meeting of the group came to on a work.
   *
   * @param meeting its id
   * @param on empty for the first coming of the work; else what made it come again
   * @param what {@code keep}, {@code pass} or {@code open}
   */
  record DecidedShown(String meeting, String on, String what, String words, Instant at) {
    static DecidedShown of(Decisions.OnWork decided) {
      return new DecidedShown(
          decided.meeting(),
          decided.on().isFirst() ? "" : decided.on().occasion().word(),
          decided.outcome().word(),
          decided.words(),
          decided.at());
    }
  }

  DecisionsController(Decisions decisions, Publications publications) {
    this.decisions = decisions;
    this.publications = publications;
  }

  /** What the group came to together on a publication, the last first; one of each meeting. */
  @GetMapping
  List<DecidedShown> decided(Member me, @PathVariable String publication) {
    return decisions.ofWork(me.group(), publications.get(Viewer.of(me), publication).id()).stream()
        .map(DecidedShown::of)
        .toList();
  }
}
