package org.quietlantern.server.trouble;

import java.util.List;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class TroubleController {
  private final Troubles troubles;

  TroubleController(Troubles troubles) {
    this.troubles = troubles;
  }

  /** What does not go as it should, and what was mended lately. */
  @GetMapping("/troubles")
  List<Troubles.TroubleShown> troubles(Member me) {
    return troubles.of(me);
  }
}
