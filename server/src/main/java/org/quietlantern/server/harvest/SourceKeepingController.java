package org.quietlantern.server.harvest;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
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

/** Adding, changing and ending sources, for stewards; what they supplied, for everybody. */
@RestController
@RequestMapping("/api/groups/{group}/sources")
class SourceKeepingController {
  private final SourceKeeping keeping;
  private final SourceEnding ending;
  private final SourceRecords records;

  /** {@code address}: of an OAI-PMH server. */
  record SourceAddress(String address) {}

  SourceKeepingController(SourceKeeping keeping, SourceEnding ending, SourceRecords records) {
    this.keeping = keeping;
    this.ending = ending;
    this.records = records;
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

  /** Asks it for everything again, within half a minute. */
  @PostMapping("/{source}/whole")
  SourceKeeping.SourceAdded whole(
      Member me, @PathVariable String source, @RequestHeader("Command-Id") UUID command) {
    return ending.whole(me, command, source);
  }

  /** What ending it would do. */
  @GetMapping("/{source}/ending")
  SourceEnding.EndingShown ending(@PathVariable String source) {
    return ending.look(source);
  }

  /** Ends it: it is not asked any more, and what it supplied is taken back. */
  @DeleteMapping("/{source}")
  SourceKeeping.SourceAdded end(
      Member me, @PathVariable String source, @RequestHeader("Command-Id") UUID command) {
    return ending.end(me, command, source);
  }

  /**
   * Its records as they were supplied and as they are read, in the order in which they came first.
   *
   * @param after only those behind the one with this number
   * @param odd only those with problems
   * @param part only those whose names have this in them
   */
  @GetMapping("/{source}/records")
  SourceRecords.RecordsKept kept(
      @PathVariable String source,
      @RequestParam(defaultValue = "0") int after,
      @RequestParam(defaultValue = "false") boolean odd,
      @RequestParam(defaultValue = "") String part) {
    return records.page(source, after, odd, part);
  }
}
