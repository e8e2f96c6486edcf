package org.quietlantern.server.bibliography;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Headings of a bibliography, and what is quoted through its entries. */
@RestController
@RequestMapping("/api/groups/{group}/folders/{folder}/bibliography")
class ChapterController {
  private final Chapters chapters;
  private final QuotedThrough quoted;

  /** {@code chaptersSeen}: the headings as they were seen. */
  record ChaptersWanted(List<String> chaptersSeen, List<Chapters.ChapterWanted> chapters) {}

  /** {@code chapter}: empty: below none. */
  record ChapterOfEntries(List<String> publications, String chapter) {}

  /** {@code doi}: of the work that is described; may be empty. */
  record QuotedWanted(String described, String doi) {}

  ChapterController(Chapters chapters, QuotedThrough quoted) {
    this.chapters = chapters;
    this.quoted = quoted;
  }

  /** Sets all headings, in their order. */
  @PutMapping("/chapters")
  Chapters.ChaptersSet set(
      Member me,
      @PathVariable String folder,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody ChaptersWanted body) {
    return chapters.set(me, command, folder, body.chaptersSeen(), body.chapters());
  }

  /** Puts entries below a heading. */
  @PutMapping("/chapter")
  Chapters.EntriesPut put(
      Member me,
      @PathVariable String folder,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody ChapterOfEntries body) {
    return chapters.put(me, command, folder, body.publications(), body.chapter());
  }

  /** Notes a work that is quoted through an entry. */
  @PostMapping("/entries/{publication}/quoted")
  QuotedThrough.Quoted quote(
      Member me,
      @PathVariable String folder,
      @PathVariable String publication,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody QuotedWanted body) {
    return quoted.note(me, command, folder, publication, body.described(), body.doi());
  }

  /** Takes it away; its task stays. */
  @DeleteMapping("/entries/{publication}/quoted/{quoted}")
  QuotedThrough.Quoted unquote(
      Member me,
      @PathVariable String folder,
      @PathVariable String publication,
      @PathVariable("quoted") String id,
      @RequestHeader("Command-Id") UUID command) {
    return quoted.remove(me, command, folder, publication, id);
  }
}
