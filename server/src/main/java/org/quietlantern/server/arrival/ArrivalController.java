package org.quietlantern.server.arrival;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class ArrivalController {
  private final Arrivals arrivals;
  private final Marking marking;

  record MarkBody(String mark, String reason, @Nullable String round) {}

  ArrivalController(Arrivals arrivals, Marking marking) {
    this.arrivals = arrivals;
    this.marking = marking;
  }

  @GetMapping("/rounds")
  List<RoundLine> rounds(Member me) {
    return arrivals.rounds(me);
  }

  @GetMapping("/rounds/{round}")
  RoundView round(Member me, @PathVariable String round) {
    return arrivals.round(me, round);
  }

  @PostMapping("/publications/{publication}/marks")
  Marking.Marked mark(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String publication,
      @RequestBody MarkBody body) {
    return marking.mark(me, command, publication, body.mark(), body.reason(), body.round());
  }
}
