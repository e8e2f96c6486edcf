package org.quietlantern.server.harvest;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** All of it for stewards. */
@RestController
@RequestMapping("/api/groups/{group}/sources")
class SourceKeepingController {
  private final SourceKeeping keeping;

  /** {@code address}: of an OAI-PMH server. */
  record SourceAddress(String address) {}

  SourceKeepingController(SourceKeeping keeping) {
    this.keeping = keeping;
  }

  /** What a source says of itself, before it is one. */
  @PostMapping("/look")
  SourceLook.SourceLooked look(Member me, @RequestBody SourceAddress asked) {
    return keeping.look(me, asked.address());
  }

  /** Its first records as supplied and as they would be read; nothing is kept of them. */
  @PostMapping("/records")
  List<SourceLook.RecordTried> records(Member me, @RequestBody SourceKeeping.SourceWanted wanted) {
    return keeping.records(me, wanted);
  }

  /** Adds a source; it is harvested within half a minute. */
  @PostMapping
  SourceKeeping.SourceAdded add(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody SourceKeeping.SourceWanted wanted) {
    return keeping.add(me, command, wanted);
  }

  /** Calls it something else, believes it more or less, pauses it. */
  @PutMapping("/{source}")
  SourceKeeping.SourceAdded change(
      Member me,
      @PathVariable String source,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody SourceKeeping.SourceKept wanted) {
    return keeping.change(me, command, source, wanted);
  }
}
