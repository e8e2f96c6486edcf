package org.quietlantern.server.feed;

import java.util.HexFormat;
import org.quietlantern.server.platform.Hash;
import org.springframework.http.CacheControl;
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
    byte[] bytes = form.write(feed);
    // Weak, because it is sent compressed to those who ask for that.
    String tag = HexFormat.of().formatHex(Hash.of(bytes), 0, 16);
    if (request.checkNotModified("W/\"" + tag + "\"", feed.updated().toEpochMilli())) {
      return null;
    }
    return ResponseEntity.ok()
        .contentType(form.type())
        .cacheControl(CacheControl.noCache().cachePrivate())
        .body(bytes);
  }
}
