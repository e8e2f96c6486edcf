package org.quietlantern.server.revising;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyRequest;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.trail.Trail;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/searches")
class RevisingController {
  private final Histories histories;
  private final Documenting documenting;
  private final Revising revising;
  private final Checking checking;
  private final Remarking remarking;
  private final Running running;

  /** {@code revision}: the one that was seen in force; {@code announce}: in the alert's round. */
  record Revise(StrategyRequest asked, int revision, String comment, @Nullable Boolean announce) {}

  /** {@code member}: public id of a membership. */
  record Give(String member) {}

  record RemarkBody(String line, String text) {}

  record Document(boolean documented) {}

  RevisingController(
      Histories histories,
      Documenting documenting,
      Revising revising,
      Checking checking,
      Remarking remarking,
      Running running) {
    this.histories = histories;
    this.documenting = documenting;
    this.revising = revising;
    this.checking = checking;
    this.remarking = remarking;
    this.running = running;
  }

  /** Revisions that wait for the member's check. */
  @GetMapping("/to-check")
  List<Checking.ToCheck> toCheck(Member me) {
    return checking.waitingFor(me);
  }

  /** A saved search with its revisions, checks and kept runs. */
  @GetMapping("/{search}/history")
  Histories.HistoryShown history(Member me, @PathVariable String search) {
    return histories.of(me, search);
  }

  /** What saving a strategy as the next revision would gain and lose. */
  @PostMapping("/{search}/change")
  @GuestsMay
  Revising.ChangeShown change(
      Member me, @PathVariable String search, @RequestBody StrategyRequest body) {
    return revising.preview(me, search, body.toStrategy());
  }

  /** Saves the next revision of a saved search; an alert follows it. */
  @PostMapping("/{search}/revisions")
  Revising.RevisionSaved revise(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String search,
      @RequestBody Revise body) {
    return revising.save(
        me,
        command,
        search,
        new Revising.Draft(
            body.revision(),
            body.asked().toStrategy(),
            body.comment(),
            Boolean.TRUE.equals(body.announce())));
  }

  /** Declares a saved search documented, or takes that back. */
  @PutMapping("/{search}/documented")
  void document(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String search,
      @RequestBody Document body) {
    documenting.declare(me, command, search, body.documented());
  }

  /** Settles the newest revision as a step of the member. */
  @PostMapping("/{search}/runs")
  @GuestsMay
  Trail.StepMade run(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String search) {
    return running.run(me, command, search);
  }

  /** Gives a revision to a colleague to be checked. */
  @PostMapping("/{search}/revisions/{n}/checks")
  void give(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String search,
      @PathVariable int n,
      @RequestBody Give body) {
    checking.give(me, command, search, n, body.member());
  }

  /** The member looked at the revision whole. */
  @PutMapping("/{search}/revisions/{n}/checked")
  void checked(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String search,
      @PathVariable int n) {
    checking.checked(me, command, search, n);
  }

  /** Says something to the group about a line of a revision. */
  @PostMapping("/{search}/revisions/{n}/remarks")
  void remark(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String search,
      @PathVariable int n,
      @RequestBody RemarkBody body) {
    remarking.remark(me, command, search, n, body.line(), body.text());
  }
}
