package org.quietlantern.server.opened;

import java.nio.charset.StandardCharsets;
import java.util.function.Supplier;
import org.quietlantern.server.feed.FeedAnswer;
import org.quietlantern.server.link.PublicPage;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.context.request.ServletWebRequest;

/** What whoever has the address of a folder opens, without a session. */
@Controller
class OpenedFolderController {
  private static final MediaType HTML = new MediaType("text", "html", StandardCharsets.UTF_8);
  private final OpenedFolders folders;
  private final PublicPage page;

  OpenedFolderController(OpenedFolders folders, PublicPage page) {
    this.folders = folders;
    this.page = page;
  }

  @GetMapping("/shared/{link}/{secret}")
  ResponseEntity<String> folder(
      @PathVariable String link,
      @PathVariable String secret,
      @RequestParam(defaultValue = "0") int before) {
    return shown(() -> page.folder(folders.page(link, secret, before)));
  }

  /** The same as a bibliography, in the style of its group. */
  @GetMapping("/shared/{link}/{secret}/bibliography")
  ResponseEntity<String> bibliography(@PathVariable String link, @PathVariable String secret) {
    return shown(() -> page.bibliography(folders.bibliography(link, secret)));
  }

  private ResponseEntity<String> shown(Supplier<String> made) {
    try {
      return html(HttpStatus.OK, made.get());
    } catch (Refusal refused) {
      return html(
          refused.status(), refused.status() == HttpStatus.GONE ? page.revoked() : page.unknown());
    }
  }

  /** The same for feed readers. */
  @GetMapping({
    "/shared/{link}/{secret}.atom",
    "/shared/{link}/{secret}.rss",
    "/shared/{link}/{secret}.json"
  })
  @ResponseBody
  ResponseEntity<byte[]> feed(
      @PathVariable String link,
      @PathVariable String secret,
      @RequestParam(defaultValue = "0") int before,
      ServletWebRequest request) {
    return FeedAnswer.of(folders.feed(link, secret, before), request);
  }

  /** Not found by search engines, and not told on to what it links to. */
  private static ResponseEntity<String> html(HttpStatus status, String text) {
    return ResponseEntity.status(status)
        .contentType(HTML)
        .cacheControl(CacheControl.noStore())
        .header("X-Robots-Tag", "noindex")
        .body(text);
  }
}
