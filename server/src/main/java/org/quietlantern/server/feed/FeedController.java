package org.quietlantern.server.feed;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class FeedController {
  private final Feeds feeds;

  FeedController(Feeds feeds) {
    this.feeds = feeds;
  }

  /** Feeds of the member that have not been revoked. */
  @GetMapping("/feeds")
  List<Feeds.FeedLine> feeds(Member me) {
    return feeds.mine(me);
  }

  /** The secret address of the member for an alert; the one there is, or a new one. */
  @PostMapping("/alerts/{alert}/feed")
  Feeds.FeedLine subscribe(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String alert) {
    return feeds.subscribe(me, command, alert);
  }

  /** Ends a feed address for good. */
  @PostMapping("/feeds/{feed}/revoke")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void revoke(Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String feed) {
    feeds.revoke(me, command, feed);
  }
}
