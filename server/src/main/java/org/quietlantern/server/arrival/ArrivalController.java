package org.quietlantern.server.arrival;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class ArrivalController {
  private final Arrivals arrivals;
  private final ArrivalLists lists;
  private final Marking marking;

  /** {@code publications}: what is marked, as one act. {@code round}: where it was marked. */
  record MarkBody(List<String> publications, String mark, String reason, @Nullable String round) {}

  ArrivalController(Arrivals arrivals, ArrivalLists lists, Marking marking) {
    this.arrivals = arrivals;
    this.lists = lists;
    this.marking = marking;
  }

  /** {@code before}: the last round of the page before. */
  @GetMapping("/rounds")
  RoundsPage rounds(Member me, @RequestParam(required = false) @Nullable String before) {
    return arrivals.rounds(me, before);
  }

  /**
   * One round with its arrivals.
   *
   * @param order {@code here}, {@code contents} or {@code kept}; absent: contents where its alert
   *     asks by journals only
   */
  @GetMapping("/rounds/{round}")
  RoundView round(
      Member me,
      @PathVariable String round,
      @RequestParam(required = false) @Nullable String order) {
    return arrivals.round(me, round, order);
  }

  /** How much is in each list of arrivals. */
  @GetMapping("/arrivals")
  ArrivalList.ListCounts lists(Member me) {
    return lists.counts(me);
  }

  /**
   * Arrivals of all rounds: {@code owed} by the reader, seen by {@code nobody}, {@code raised},
   * {@code held}, or {@code disputed}: one keeps what another passed.
   *
   * @param after what the page before said of the next one
   */
  @GetMapping("/arrivals/{list}")
  ArrivalList list(
      Member me,
      @PathVariable String list,
      @RequestParam(required = false) @Nullable String after) {
    return lists.list(me, list, after);
  }

  /** Says something of one publication or several, as one act. */
  @PostMapping("/marks")
  Marking.Marked mark(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody MarkBody body) {
    return marking.mark(
        me,
        command,
        new Marking.Given(body.publications(), body.mark(), body.reason(), body.round()));
  }

  record PutOutBody(List<String> publications) {}

  /** Puts the member's own lamps out. */
  @DeleteMapping("/marks")
  Marking.Marked putOut(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody PutOutBody body) {
    return marking.putOut(me, command, body.publications());
  }
}
