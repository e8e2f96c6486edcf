package org.quietlantern.server.reading;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class ReadingController {
  private final GroupTexts texts;
  private final Fetching fetching;
  private final BringingIn bringing;
  private final Downloads downloads;

  /** {@code address}: only from there; absent: from wherever it is. */
  record FetchText(@Nullable String address) {}

  ReadingController(GroupTexts texts, Fetching fetching, BringingIn bringing, Downloads downloads) {
    this.texts = texts;
    this.fetching = fetching;
    this.bringing = bringing;
    this.downloads = downloads;
  }

  /** The texts of a publication that the group has, and the open ones that can be fetched. */
  @GetMapping("/publications/{publication}/texts")
  GroupTexts.TextsHere here(Member me, @PathVariable String publication) {
    return texts.of(me, publication);
  }

  /** Has an open text fetched, so that it can be read here. */
  @PostMapping("/publications/{publication}/texts/fetched")
  GroupTexts.TextsHere fetch(
      Member me, @PathVariable String publication, @RequestBody FetchText body) {
    return fetching.fetch(me, publication, body.address());
  }

  /**
   * Brings a file in for the group, as it is: a PDF or a page of the web.
   *
   * @param name of the file
   * @param version of which it is; absent: of the one that the catalogue tells of
   * @param licence what its use is bound to, in words
   * @param sure that it belongs to the publication, whatever its first pages say
   */
  @PutMapping("/publications/{publication}/texts")
  BringingIn.Brought bring(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String publication,
      @RequestParam String name,
      @RequestParam(required = false) @Nullable String version,
      @RequestParam(required = false) @Nullable String licence,
      @RequestParam(defaultValue = "false") boolean sure,
      HttpServletRequest request)
      throws IOException {
    return bringing.bring(
        me,
        command,
        publication,
        new BringingIn.Saying(name, version, licence, sure),
        request.getInputStream());
  }

  /** A text to be read: what it is, its parts, and of a page of the web what it says. */
  @GetMapping("/texts/{text}")
  GroupTexts.TextShown text(Member me, @PathVariable String text) {
    return texts.text(me, text);
  }

  /** The words of its pages, in order. */
  @GetMapping("/texts/{text}/words")
  List<String> words(Member me, @PathVariable String text) {
    return texts.words(me, text);
  }

  /** Its file, whole or in parts, under a name that tells whose it is (RFC 9110, 14). */
  @GetMapping("/texts/{text}/file")
  ResponseEntity<Resource> file(Member me, @PathVariable String text) {
    return downloads
        .of(me, text)
        .answer(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate().immutable());
  }

  /** The same with its citation and stable link beside it, as a ZIP. */
  @GetMapping("/texts/{text}/bundle")
  ResponseEntity<Resource> bundle(Member me, @PathVariable String text) {
    return downloads.bundle(me, text).answer(CacheControl.noStore());
  }

  /** Takes a text out of the group. */
  @DeleteMapping("/texts/{text}")
  BringingIn.Brought takeOut(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String text) {
    return bringing.takeOut(me, command, text);
  }
}
