package org.quietlantern.server.search;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.quietlantern.core.query.Widening;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/headings")
class HeadingController {
  private final HeadingPages pages;

  HeadingController(HeadingPages pages) {
    this.pages = pages;
  }

  /** Headings for everyday words, best first; without words the topmost ones. */
  @GetMapping
  List<HeadingPages.HeadingLine> lookUp(Member me, @RequestParam(defaultValue = "") String words) {
    return pages.lookUp(me, words);
  }

  /** One heading by any of its names, former ones too. */
  @GetMapping("/one")
  HeadingPages.HeadingFacts one(Member me, @RequestParam String name) {
    return pages.get(me, name);
  }

  /**
   * What a way to ask for a heading finds, and what each change of one part would find.
   *
   * @param below whether those below it are meant, too
   * @param central whether publications have to be mainly about it
   * @param aspects words of the respects that have to hold
   * @param names whether its other names count as words, too
   * @param related whether headings beside it count, too
   */
  @GetMapping("/asked")
  HeadingPages.AskedShown asked(
      Member me,
      @RequestParam String name,
      @RequestParam(defaultValue = "false") boolean below,
      @RequestParam(defaultValue = "false") boolean central,
      @RequestParam(defaultValue = "") List<String> aspects,
      @RequestParam(defaultValue = "false") boolean names,
      @RequestParam(defaultValue = "false") boolean related) {
    Set<Widening> widened = EnumSet.noneOf(Widening.class);
    if (names) {
      widened.add(Widening.NAMES);
    }
    if (related) {
      widened.add(Widening.RELATED);
    }
    return pages.asked(me, new HeadingPages.Asked(name, below, central, aspects, widened));
  }
}
