package org.quietlantern.server.feed;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.quietlantern.server.platform.Hash;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.context.request.ServletWebRequest;

/** A feed as it is sent to whoever fetches it. */
public final class FeedAnswer {
  private static final Pattern TAG = Pattern.compile("(?:W/)?\"([0-9a-f]{24})-([0-9a-f]{24})\"");

  private FeedAnswer() {}

  /**
   * In the form that the address asks for. Null, which answers 304, for a reader that has this
   * state already (RFC 9110, 13.1).
   */
  public static ResponseEntity<byte[]> of(FeedPage feed, ServletWebRequest request) {
    return of(feed, "", request);
  }

  /** {@code state}: of all that it depends on, for {@link #isSame}. */
  static ResponseEntity<byte[]> of(FeedPage feed, String state, ServletWebRequest request) {
    FeedForm form = FeedForm.at(request.getRequest().getRequestURI());
    return of(form.write(feed), form.type(), feed.updated(), state, request);
  }

  /**
   * Whether the reader has what was told in a state, so that nothing needs to be read; the answer
   * is 304 then.
   */
  static boolean isSame(String state, ServletWebRequest request) {
    Optional<MatchResult> same =
        known(request).filter(tag -> tag.group(2).equals(brief(state))).findFirst();
    same.ifPresent(tag -> notModified(tag.group(), request));
    return same.isPresent();
  }

  /** {@code changed}: when it last did; the epoch where nothing says that. */
  static ResponseEntity<byte[]> of(
      byte[] bytes, MediaType type, Instant changed, String state, ServletWebRequest request) {
    String content = brief(bytes);
    // Weak, because it is sent compressed to those who ask for that.
    String tag = "W/\"" + content + "-" + brief(state) + "\"";
    boolean isAsked = request.getHeader(HttpHeaders.IF_NONE_MATCH) != null;
    boolean told = known(request).anyMatch(one -> one.group(1).equals(content));
    if (told || (!isAsked && isUnchanged(changed, request))) {
      // The same content in another state is named anew, so that it is known at once next time.
      return notModified(tag, request);
    }
    ResponseEntity.BodyBuilder answer =
        ResponseEntity.ok()
            .eTag(tag)
            .contentType(type)
            .cacheControl(CacheControl.noCache().cachePrivate());
    return (changed.equals(Instant.EPOCH) ? answer : answer.lastModified(changed)).body(bytes);
  }

  private static boolean isUnchanged(Instant changed, ServletWebRequest request) {
    return !changed.equals(Instant.EPOCH) && request.checkNotModified(changed.toEpochMilli());
  }

  private static ResponseEntity<byte[]> notModified(String tag, ServletWebRequest request) {
    HttpServletResponse response = request.getResponse();
    response.setHeader(HttpHeaders.ETAG, tag);
    response.setStatus(HttpStatus.NOT_MODIFIED.value());
    return null;
  }

  /** Tags of ours that the reader has: what was told, and in which state. */
  private static Stream<MatchResult> known(ServletWebRequest request) {
    String asked = request.getHeader(HttpHeaders.IF_NONE_MATCH);
    return asked == null ? Stream.empty() : TAG.matcher(asked).results();
  }

  private static String brief(String text) {
    return brief(text.getBytes(StandardCharsets.UTF_8));
  }

  private static String brief(byte[] bytes) {
    return HexFormat.of().formatHex(Hash.of(bytes), 0, 12);
  }
}
