package org.quietlantern.server.feed;

import java.util.HexFormat;
import org.quietlantern.server.platform.Hash;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.context.request.WebRequest;

/** What feed readers fetch: at secret addresses, without a session. */
@Controller
class PublicFeedController {
  private static final MediaType ATOM =
      MediaType.parseMediaType("application/atom+xml;charset=utf-8");
  private final Feeds feeds;

  PublicFeedController(Feeds feeds) {
    this.feeds = feeds;
  }

  /** Answers 304 to a reader that has this state already (RFC 9110, 13.1). */
  @GetMapping("/feed/{feed}/{secret}.atom")
  @ResponseBody
  ResponseEntity<byte[]> feed(
      @PathVariable String feed,
      @PathVariable String secret,
      @RequestParam(defaultValue = "0") int before,
      WebRequest request) {
    AtomFeed read = feeds.read(feed, secret, before);
    byte[] bytes = AtomWriter.write(read);
    // Weak, because it is sent compressed to those who ask for that.
    String tag = HexFormat.of().formatHex(Hash.of(bytes), 0, 16);
    if (request.checkNotModified("W/\"" + tag + "\"", read.updated().toEpochMilli())) {
      return null;
    }
    return ResponseEntity.ok()
        .contentType(ATOM)
        .cacheControl(CacheControl.noCache().cachePrivate())
        .body(bytes);
  }
}
