package org.quietlantern.server.feed;

import java.time.Instant;
import java.util.HexFormat;
import org.quietlantern.server.platform.Hash;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.context.request.ServletWebRequest;

/** A feed as it is sent to whoever fetches it. */
public final class FeedAnswer {
  private FeedAnswer() {}

  /**
   * In the form that the address asks for. Null, which answers 304, for a reader that has this
   * state already (RFC 9110, 13.1).
   */
  public static ResponseEntity<byte[]> of(FeedPage feed, ServletWebRequest request) {
    FeedForm form = FeedForm.at(request.getRequest().getRequestURI());
    return of(form.write(feed), form.type(), feed.updated(), request);
  }

  /** {@code changed}: when it last did; the epoch where nothing says that. */
  static ResponseEntity<byte[]> of(
      byte[] bytes, MediaType type, Instant changed, ServletWebRequest request) {
    // Weak, because it is sent compressed to those who ask for that.
    String tag = "W/\"" + HexFormat.of().formatHex(Hash.of(bytes), 0, 16) + "\"";
    boolean same =
        changed.equals(Instant.EPOCH)
            ? request.checkNotModified(tag)
            : request.checkNotModified(tag, changed.toEpochMilli());
    return same
        ? null
        : ResponseEntity.ok()
            .contentType(type)
            .cacheControl(CacheControl.noCache().cachePrivate())
            .body(bytes);
  }
}
