package org.quietlantern.server.platform.web;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** Answers that are files to take along. */
public final class Attachment {
  private Attachment() {}

  /** In UTF-8. */
  public static ResponseEntity<byte[]> of(String name, String content) {
    return of(name, content.getBytes(StandardCharsets.UTF_8));
  }

  public static ResponseEntity<byte[]> of(String name, byte[] content) {
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(content);
  }
}
