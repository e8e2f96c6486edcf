package org.quietlantern.server.trail;

import java.util.UUID;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.matching.StrategyRequest;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class TrailController {
  private final Trail trail;
  private final TrailPages pages;

  /**
   * @param step the step that led to it, if one did
   * @param downloaded whether its text was taken along
   */
  record Opening(@Nullable String step, @Nullable Boolean downloaded) {}

  record Settle(StrategyRequest asked, String order) {}

  TrailController(Trail trail, TrailPages pages) {
    this.pages = pages;
    this.trail = trail;
  }

  /** Settles a search: it gets an address and a step on the trail of the member. */
  @PostMapping("/steps")
  @GuestsMay
  Trail.StepMade settle(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody Settle body) {
    Ordering order = Ordering.named(body.order()).orElse(Ordering.RELEVANCE);
    return trail.settle(me, command, body.asked().toStrategy(), order);
  }

  /** Notes on the member's own trail that a publication was opened, or its text taken along. */
  @PutMapping("/publications/{publication}/opened")
  @GuestsMay
  void open(Member me, @PathVariable String publication, @RequestBody Opening body) {
    trail.open(me, publication, body.step(), Boolean.TRUE.equals(body.downloaded()));
  }

  /** The member's own steps, newest first: {@code words} in them, {@code before} one of them. */
  @GetMapping("/trail")
  TrailPages.TrailPage page(
      Member me,
      @RequestParam(defaultValue = "") String words,
      @RequestParam(required = false) @Nullable String before) {
    return pages.page(me, words, before);
  }

  /** What the member opened, newest first: {@code words} in a title, {@code before} as told. */
  @GetMapping("/trail/opened")
  TrailPages.OpenedPage opened(
      Member me,
      @RequestParam(defaultValue = "") String words,
      @RequestParam(defaultValue = "0") long before) {
    return pages.opened(me, words, before);
  }

  /** All steps as CSV (RFC 4180). */
  @GetMapping(value = "/trail/steps.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<byte[]> csv(Member me) {
    return Attachment.of("trail.csv", pages.csv(me));
  }

  /** All steps as text. */
  @GetMapping(value = "/trail/steps.txt", produces = "text/plain;charset=UTF-8")
  ResponseEntity<byte[]> text(Member me) {
    return Attachment.of("trail.txt", pages.text(me));
  }

  /** The strategy behind an address of the group. */
  @GetMapping("/q/{q}")
  StrategyBody strategy(Member me, @PathVariable String q) {
    return trail.get(me, q);
  }
}
