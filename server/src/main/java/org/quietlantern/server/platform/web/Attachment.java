package org.quietlantern.server.platform.web;

import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** Answers that are files to take along. */
public final class Attachment {
  private static final Pattern NO_NAME = Pattern.compile("[^\\p{L}\\p{N}]+");
  private static final int LONGEST = 80;

  private Attachment() {}

  /** A name for a file that says what is in it: letters, digits and dashes, on every system. */
  public static String name(String title, String ending) {
    String words = NO_NAME.matcher(title).replaceAll(" ").strip();
    String cut = words.substring(0, Math.min(LONGEST, words.length())).strip().replace(' ', '-');
    return (cut.isEmpty() ? "account" : cut) + "." + ending;
  }

  /** In UTF-8. */
  public static ResponseEntity<byte[]> of(String name, String content) {
    return of(name, content.getBytes(StandardCharsets.UTF_8));
  }

  public static ResponseEntity<byte[]> of(String name, byte[] content) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, disposition(name))
        .body(content);
  }

  /** What tells a browser to keep an answer under a name (RFC 6266). */
  public static String disposition(String name) {
    return ContentDisposition.attachment()
        .filename(name, StandardCharsets.UTF_8)
        .build()
        .toString();
  }
}
