package org.quietlantern.server.search;

import java.util.List;
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
}
