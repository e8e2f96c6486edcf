package org.quietlantern.server.journal;

import java.util.List;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/journals")
class JournalController {
  private final JournalPages pages;
  private final OneJournal one;

  JournalController(JournalPages pages, OneJournal one) {
    this.pages = pages;
    this.one = one;
  }

  /** Journals by words of their titles, discipline, letter and access; without any, all of them. */
  @GetMapping
  JournalPages.JournalsShown lookUp(
      Member me,
      @RequestParam(defaultValue = "") String words,
      @RequestParam(defaultValue = "") String discipline,
      @RequestParam(defaultValue = "") String letter,
      @RequestParam(defaultValue = "") String access) {
    return pages.lookUp(me, new JournalPages.Wanted(words, discipline, letter, access));
  }

  /** One journal: what it was called, what may be read, its years. */
  @GetMapping("/{issn}")
  OneJournal.JournalFacts get(Member me, @PathVariable String issn) {
    return one.get(me, issn);
  }

  /** The issues of a year with their contents, the newest first. */
  @GetMapping("/{issn}/years/{year}")
  List<OneJournal.IssueShown> contents(
      Member me, @PathVariable String issn, @PathVariable int year) {
    return one.contents(me, issn, year);
  }
}
