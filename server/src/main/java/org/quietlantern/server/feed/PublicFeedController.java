package org.quietlantern.server.feed;

import java.time.Instant;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.context.request.ServletWebRequest;

/** What feed readers fetch: at secret addresses, without a session. */
@Controller
class PublicFeedController {
  private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=utf-8");
  private final FeedReading feeds;
  private final FeedGate gate;

  PublicFeedController(FeedReading feeds, FeedGate gate) {
    this.feeds = feeds;
    this.gate = gate;
  }

  /** The state of a feed; refused where what is not there was asked for too often. */
  private String state(String feed, String secret, ServletWebRequest request) {
    String origin = request.getRequest().getRemoteAddr();
    gate.mayMiss(origin);
    try {
      return feeds.state(feed, secret);
    } catch (Refusal refusal) {
      if (refusal.status() == HttpStatus.NOT_FOUND) {
        gate.missed(origin);
      }
      throw refusal;
    }
  }

  /** Answers 304 to a reader that has this state already (RFC 9110, 13.1). */
  @GetMapping({
    "/feed/{feed}/{secret}.atom",
    "/feed/{feed}/{secret}.rss",
    "/feed/{feed}/{secret}.json"
  })
  @ResponseBody
  ResponseEntity<byte[]> feed(
      @PathVariable String feed,
      @PathVariable String secret,
      @RequestParam(defaultValue = "0") int before,
      @RequestParam(required = false) @Nullable String archive,
      ServletWebRequest request) {
    String state = state(feed, secret, request);
    if (FeedAnswer.isSame(state, request)) {
      feeds.fetched(feed, request.getHeader(HttpHeaders.USER_AGENT));
      return null;
    }
    gate.read(feed);
    FeedPage page =
        archive == null ? feeds.read(feed, secret, before) : feeds.archive(feed, secret, archive);
    feeds.fetched(feed, request.getHeader(HttpHeaders.USER_AGENT));
    return FeedAnswer.of(page, state, request);
  }

  /** Rounds as days, for a calendar that is subscribed to. */
  @GetMapping("/feed/{feed}/{secret}.ics")
  @ResponseBody
  ResponseEntity<byte[]> calendar(
      @PathVariable String feed, @PathVariable String secret, ServletWebRequest request) {
    state(feed, secret, request);
    gate.read(feed);
    byte[] days = feeds.calendar(feed, secret);
    feeds.fetched(feed, request.getHeader(HttpHeaders.USER_AGENT));
    return FeedAnswer.of(days, CALENDAR, Instant.EPOCH, "", request);
  }
}
