package org.quietlantern.server.today;

import java.util.List;
import org.quietlantern.server.arrival.Arrivals;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class TodayController {
  private static final int A_MONTH = 31;
  private final Waiting waiting;
  private final SinceVisit since;
  private final Arrivals arrivals;

  TodayController(Waiting waiting, SinceVisit since, Arrivals arrivals) {
    this.waiting = waiting;
    this.since = since;
    this.arrivals = arrivals;
  }

  /** What waits for the member. */
  @GetMapping("/today")
  Waiting.WaitsFor today(Member me) {
    return waiting.of(me);
  }

  /** What the others did since the member's last visit, line by line. */
  @GetMapping("/today/done")
  SinceVisit.DoneSince done(Member me) {
    return since.of(me);
  }

  /** What came on each of the last thirty-one days, today being the last. */
  @GetMapping("/today/month")
  List<Arrivals.DayCame> month(Member me) {
    return arrivals.days(me, A_MONTH);
  }

  /** Notes that the member is here; after an hour without that, it begins another visit. */
  @PutMapping("/visit")
  @GuestsMay
  void visit(Member me) {
    since.visit(me);
  }
}
