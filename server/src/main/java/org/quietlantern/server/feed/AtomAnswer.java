package org.quietlantern.server.feed;

import java.util.HexFormat;
import org.quietlantern.server.platform.Hash;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.context.request.WebRequest;

/** A feed as it is sent to whoever fetches it. */
public final class AtomAnswer {
  private static final MediaType ATOM =
      MediaType.parseMediaType("application/atom+xml;charset=utf-8");

  private AtomAnswer() {}

  /** Null, which answers 304, for a reader that has this state already (RFC 9110, 13.1). */
  public static ResponseEntity<byte[]> of(AtomFeed feed, WebRequest request) {
    byte[] bytes = AtomWriter.write(feed);
    // Weak, because it is sent compressed to those who ask for that.
    String tag = HexFormat.of().formatHex(Hash.of(bytes), 0, 16);
    if (request.checkNotModified("W/\"" + tag + "\"", feed.updated().toEpochMilli())) {
      return null;
    }
    return ResponseEntity.ok()
        .contentType(ATOM)
        .cacheControl(CacheControl.noCache().cachePrivate())
        .body(bytes);
  }
}
