package org.quietlantern.server.text;

import java.util.List;
import org.quietlantern.server.address.WayShown;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/publications/{publication}/ways")
class TextWaysController {
  private final WaysToText ways;

  TextWaysController(WaysToText ways) {
    this.ways = ways;
  }

  /** All ways to the text, the first to be tried first (rule T1). */
  @GetMapping
  List<WayShown> all(Member me, @PathVariable String publication) {
    return ways.of(me, publication);
  }

  /** Somebody looks at them: where they lead is tried soon. */
  @PutMapping("/wanted")
  @GuestsMay
  void want(Member me, @PathVariable String publication) {
    ways.want(me, publication);
  }
}
