package org.quietlantern.server.flow;

import java.time.LocalDate;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/flow")
class FlowController {
  private final FlowPages pages;

  FlowController(FlowPages pages) {
    this.pages = pages;
  }

  /**
   * What became of what alerts found.
   *
   * @param alert of one; absent: of all
   * @param from the first day; absent: a year before the last
   * @param to the last day; absent: today
   */
  @GetMapping
  FlowPages.FlowShown flow(
      Member me,
      @RequestParam(required = false) @Nullable String alert,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(required = false) @Nullable LocalDate to) {
    return pages.of(me, new Flows.Asked(alert, from, to));
  }

  /** The same as a drawing (SVG 1.1). */
  @GetMapping(value = "/drawing", produces = "image/svg+xml")
  ResponseEntity<byte[]> drawing(
      Member me,
      @RequestParam(required = false) @Nullable String alert,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(required = false) @Nullable LocalDate to) {
    return Attachment.of("flow.svg", pages.svg(me, new Flows.Asked(alert, from, to)));
  }

  /**
   * The works that a number of it counts, fifty at a time.
   *
   * @param number as a box or a part of it is called; absent: all
   * @param after how many were shown already
   */
  @GetMapping("/works")
  FlowPages.FlowWorks works(
      Member me,
      @RequestParam(required = false) @Nullable String alert,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(required = false) @Nullable LocalDate to,
      @RequestParam(defaultValue = "came") String number,
      @RequestParam(defaultValue = "0") int after) {
    return pages.works(me, new Flows.Asked(alert, from, to), number, Math.max(0, after));
  }
}
