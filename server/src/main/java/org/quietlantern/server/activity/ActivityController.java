package org.quietlantern.server.activity;

import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/activity")
class ActivityController {
  private final Activity activity;

  ActivityController(Activity activity) {
    this.activity = activity;
  }

  /**
   * What was done in the group, the latest first.
   *
   * @param of {@code folder:ID}, {@code publication:ID}, {@code search:ID} or {@code alert:ID};
   *     empty: anything
   * @param before the last line of the page before
   */
  @GetMapping
  Activity.ActivityPage page(
      Member me,
      @RequestParam(defaultValue = "") String of,
      @RequestParam(required = false) @Nullable UUID before) {
    return activity.page(me, of, before);
  }
}
