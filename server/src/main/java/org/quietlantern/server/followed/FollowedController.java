package org.quietlantern.server.followed;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/followed")
class FollowedController {
  private final FollowedFeeds feeds;
  private final FeedLooking looking;

  record FollowWanted(@Nullable List<FollowedFeeds.FeedToFollow> feeds) {}

  record LookWanted(@Nullable String address) {}

  /** {@code list}: a file of OPML. */
  record ListWanted(@Nullable String list) {}

  FollowedController(FollowedFeeds feeds, FeedLooking looking) {
    this.feeds = feeds;
    this.looking = looking;
  }

  /** Feeds of others that the group follows. */
  @GetMapping
  List<FollowedFeeds.FollowedLine> followed(Member me) {
    return feeds.all(me);
  }

  /** What is at an address, before it is followed. */
  @PostMapping("/look")
  FeedLooking.FeedLooked look(Member me, @RequestBody LookWanted body) {
    return looking.look(me, body.address());
  }

  /** What a list of feeds has in it. */
  @PostMapping("/list")
  FeedLooking.FeedsListed list(Member me, @RequestBody ListWanted body) {
    String list = body.list() == null ? "" : body.list();
    return looking.listed(me, list.getBytes(StandardCharsets.UTF_8));
  }

  /** Follows feeds for the group; those that it follows already stay as they are. */
  @PostMapping
  FollowedFeeds.FeedsFollowed follow(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody FollowWanted body) {
    return feeds.follow(me, command, body.feeds());
  }

  /** Ends one for the group; what it brought stays. */
  @PostMapping("/{followed}/end")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String followed) {
    feeds.end(me, command, followed);
  }
}
