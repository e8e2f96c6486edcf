package org.quietlantern.server.feed;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class FeedController {
  private final Feeds feeds;
  private final FeedOpening opening;

  /** {@code of}: {@code alert:ID}, {@code alerts}, {@code unreviewed}, {@code folder:ID}, … */
  record FeedWanted(String of) {}

  /** {@code marksSeen}: whether opening an entry marks it seen. */
  record FeedChosen(boolean marksSeen) {}

  /** {@code publication}: whose entry was opened. */
  record EntryWanted(String publication) {}

  FeedController(Feeds feeds, FeedOpening opening) {
    this.feeds = feeds;
    this.opening = opening;
  }

  /** Feeds of the member that have not been revoked. */
  @GetMapping("/feeds")
  List<Feeds.FeedLine> feeds(Member me) {
    return feeds.mine(me);
  }

  /** All of them, for a reader to take in: OPML. */
  @GetMapping(value = "/feeds/opml", produces = "text/x-opml;charset=utf-8")
  ResponseEntity<byte[]> opml(Member me) {
    String title = "Quiet Lantern feeds";
    return Attachment.of(
        Attachment.name(title, "opml"), OpmlWriter.write(title, feeds.forReaders(me)));
  }

  /** The secret address of the member for something; the one there is, or a new one. */
  @PostMapping("/feeds")
  Feeds.FeedLine subscribe(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody FeedWanted body) {
    return feeds.subscribe(me, command, body.of());
  }

  /** What a member chooses of a feed. */
  @PutMapping("/feeds/{feed}")
  Feeds.FeedLine chooseOfFeed(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String feed,
      @RequestBody FeedChosen body) {
    return feeds.choose(me, command, feed, body.marksSeen());
  }

  /** An entry of a feed was opened from a reader: marks it seen where the member chose so. */
  @PostMapping("/feeds/{feed}/opened")
  FeedOpening.EntryOpened openedEntry(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String feed,
      @RequestBody EntryWanted body) {
    return opening.opened(me, command, feed, body.publication());
  }

  /** Ends a feed address for good. */
  @PostMapping("/feeds/{feed}/revoke")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void revoke(Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String feed) {
    feeds.revoke(me, command, feed);
  }
}
