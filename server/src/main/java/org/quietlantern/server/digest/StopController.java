package org.quietlantern.server.digest;

import org.quietlantern.server.link.PublicPage;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/**
 * Where letters are stopped, without signing in: by the button of a page, or by the one POST that a
 * mail program makes (RFC 8058, 3.2). Whoever only opens it changes nothing.
 */
@Controller
@RequestMapping("/letters/{membership}/{what}/{secret}")
class StopController {
  private final Stopping stopping;
  private final PublicPage page;

  StopController(Stopping stopping, PublicPage page) {
    this.stopping = stopping;
    this.page = page;
  }

  /** What would be stopped. */
  @GetMapping
  ResponseEntity<String> look(
      @PathVariable String membership, @PathVariable String what, @PathVariable String secret) {
    return stopping
        .look(membership, what, secret)
        .map(says -> shown(says, false))
        .orElseGet(this::unknown);
  }

  /** Stops it; once more is as good as once. */
  @PostMapping
  ResponseEntity<String> stop(
      @PathVariable String membership, @PathVariable String what, @PathVariable String secret) {
    return stopping
        .stop(membership, what, secret)
        .map(says -> shown(says, true))
        .orElseGet(this::unknown);
  }

  private ResponseEntity<String> shown(String says, boolean stopped) {
    return html(
        HttpStatus.OK,
        page.letters(
            new PublicPage.LettersShown(
                stopped ? "It is done" : "No more of this by mail?",
                says,
                stopped,
                "No more of it")));
  }

  private ResponseEntity<String> unknown() {
    return html(HttpStatus.NOT_FOUND, page.unknown());
  }

  private static ResponseEntity<String> html(HttpStatus status, String text) {
    return ResponseEntity.status(status)
        .contentType(new MediaType("text", "html", java.nio.charset.StandardCharsets.UTF_8))
        .cacheControl(CacheControl.noStore())
        .body(text);
  }
}
