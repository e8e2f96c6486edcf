package org.quietlantern.server.request;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
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
class RequestController {
  private final CopyRequests requests;
  private final RequestLists lists;
  private final LenderOffers offers;

  /**
   * @param note what the library should know
   * @param lender the library that is asked; absent: the group's first one that takes the work
   */
  record RequestNote(@Nullable String note, @Nullable String lender) {}

  record RequestAnswer(@Nullable String text) {}

  record RequestTold(String state, @Nullable String reason, @Nullable String link) {}

  RequestController(CopyRequests requests, RequestLists lists, LenderOffers offers) {
    this.requests = requests;
    this.lists = lists;
    this.offers = offers;
  }

  /** Asks for a copy, or joins those who asked before. */
  @PostMapping("/publications/{publication}/requests")
  CopyRequests.Asked ask(
      Member me,
      @PathVariable String publication,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody RequestNote body) {
    return requests.ask(me, command, publication, body.note(), body.lender());
  }

  /** Notes that the member wrote to the author. */
  @PostMapping("/publications/{publication}/letters")
  CopyRequests.Asked wrote(
      Member me, @PathVariable String publication, @RequestHeader("Command-Id") UUID command) {
    return requests.wrote(me, command, publication);
  }

  /** Of one publication, the newest first. */
  @GetMapping("/publications/{publication}/requests")
  List<RequestLists.RequestShown> of(Member me, @PathVariable String publication) {
    return lists.of(me, publication);
  }

  /** Libraries that can be asked for a publication, the one first that is asked by rule. */
  @GetMapping("/publications/{publication}/lenders")
  List<LenderOffers.LenderOffer> offers(Member me, @PathVariable String publication) {
    return offers.of(me, publication);
  }

  /** The group's, the newest first; {@code request-state}: only those that stand so. */
  @GetMapping("/requests")
  RequestLists.RequestsPage page(
      Member me,
      @RequestParam(name = "request-state", defaultValue = "") String state,
      @RequestParam(defaultValue = "false") boolean mine,
      @RequestParam(name = "before-request", required = false) @Nullable String before) {
    return lists.page(me, state, mine, before);
  }

  /** All of the group's, the newest first. */
  @GetMapping(value = "/requests.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<byte[]> csv(Member me) {
    return Attachment.of("copy-requests.csv", lists.csv(me));
  }

  /** Answers what the library wanted to know. */
  @PutMapping("/requests/{request}/answer")
  CopyRequests.Told answer(
      Member me,
      @PathVariable String request,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody RequestAnswer body) {
    return requests.answer(me, command, request, body.text());
  }

  /** Asks the library at once how it stands. */
  @PutMapping("/requests/{request}/hurry")
  CopyRequests.Told hurry(
      Member me, @PathVariable String request, @RequestHeader("Command-Id") UUID command) {
    return requests.hurry(me, command, request);
  }

  /** How it stands, by a member's word. */
  @PutMapping("/requests/{request}/state")
  CopyRequests.Told tell(
      Member me,
      @PathVariable String request,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody RequestTold body) {
    return requests.tell(me, command, request, body.state(), body.reason(), body.link());
  }
}
