package org.quietlantern.server.bringing;

import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** References of a paper that somebody pasted. */
@RestController
@RequestMapping("/api/groups/{group}/reference-list")
class ReferenceListController {
  private final ListedReferences references;

  record PastedList(String text) {}

  ReferenceListController(ListedReferences references) {
    this.references = references;
  }

  /** Which of them are here; nothing is written. */
  @GuestsMay
  @PostMapping
  ListedReferences.ListShown look(Member me, @RequestBody PastedList body) {
    return references.look(me, body.text());
  }
}
