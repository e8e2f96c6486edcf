package org.quietlantern.server.arrival;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
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
  private final Boards boards;
  private final LettingRest resting;

  /** {@code publications}: what is marked, as one act. {@code round}: where it was marked. */
  record MarkBody(List<String> publications, String mark, String reason, @Nullable String round) {}

  ArrivalController(
      Arrivals arrivals, ArrivalLists lists, Marking marking, Boards boards, LettingRest resting) {
    this.resting = resting;
    this.boards = boards;
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
   * @param left which alone: the id of a member, for those that the member owes, {@code nobody} for
   *     those that nobody has seen, {@code uncovered}; absent: all
   */
  @GetMapping("/rounds/{round}")
  RoundView round(
      Member me,
      @PathVariable String round,
      @RequestParam(required = false) @Nullable String order,
      @RequestParam(required = false) @Nullable String left) {
    return arrivals.round(me, round, order, left);
  }

  /**
   * How far everybody is with what came in a stretch of days.
   *
   * @param by {@code round}, {@code week} or {@code alert}; absent: round
   * @param from first day; absent: a month before the last
   * @param to last day; absent: today
   * @param alert of which alone; absent: of all
   */
  @GetMapping("/board")
  BoardView board(
      Member me,
      @RequestParam(required = false) @Nullable String by,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(required = false) @Nullable LocalDate to,
      @RequestParam(required = false) @Nullable String alert) {
    return boards.board(me, new Boards.BoardAsked(by, from, to, alert));
  }

  /** The same as CSV (RFC 4180). */
  @GetMapping(value = "/board.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<byte[]> boardAsTable(
      Member me,
      @RequestParam(required = false) @Nullable String by,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(required = false) @Nullable LocalDate to,
      @RequestParam(required = false) @Nullable String alert) {
    return Attachment.of("board.csv", boards.csv(me, new Boards.BoardAsked(by, from, to, alert)));
  }

  /** How much is in each list of arrivals. */
  @GetMapping("/arrivals")
  ArrivalList.ListCounts lists(Member me) {
    return lists.counts(me);
  }

  /**
   * Arrivals of all rounds: {@code owed} by the reader, seen by {@code nobody}, {@code raised},
   * {@code rested} for the reader, or what stands open: {@code raised}, {@code readable}, {@code
   * waiting}, {@code unsure}, {@code disputed}.
   *
   * @param show of {@code owed}, {@code nobody} and {@code rested}: {@code said} for what others
   *     keep or raise alone, {@code kept} for the first 120 in the order of what the group tends to
   *     keep; absent: all
   * @param after what the page before said of the next one
   */
  @GetMapping("/arrivals/{list}")
  ArrivalList list(
      Member me,
      @PathVariable String list,
      @RequestParam(required = false) @Nullable String show,
      @RequestParam(required = false) @Nullable String after) {
    return lists.list(me, list, show, after);
  }

  /** {@code alert}: in whose rounds; {@code before}: of what came before a day. */
  record RestBody(@Nullable String alert, @Nullable LocalDate before) {}

  /** Lets rest what waits for the member, as one act: it is neither reviewed nor owed then. */
  @PostMapping("/arrivals/rest")
  LettingRest.Rested rest(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody RestBody body) {
    return resting.rest(me, command, new LettingRest.ToRest(body.alert(), body.before()));
  }

  /** What waits for the member, by alert, where most waits first. */
  @GetMapping("/arrivals/owed/by-alert")
  List<Arrivals.AlertOwed> owedByAlert(Member me) {
    return arrivals.owedByAlert(me);
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
