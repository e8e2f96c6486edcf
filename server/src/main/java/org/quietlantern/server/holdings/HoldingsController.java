package org.quietlantern.server.holdings;

import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/holdings")
class HoldingsController {
  private final GroupHoldings holdings;
  private final LibraryLinks links;

  record HoldingsFile(String name, String file) {}

  HoldingsController(GroupHoldings holdings, LibraryLinks links) {
    this.links = links;
    this.holdings = holdings;
  }

  /** What the group may read, as it was brought in. */
  @GetMapping
  GroupHoldings.HoldingsView view(Member me) {
    return holdings.view(me);
  }

  /** The KBART file as it was brought in; empty for a group without one. */
  @GetMapping(value = "/file", produces = "text/plain;charset=UTF-8")
  ResponseEntity<byte[]> file(Member me) {
    GroupHoldings.BroughtIn file = holdings.file(me);
    return Attachment.of(
        Attachment.name(file.name().replaceFirst("\\.\\w+$", ""), "txt"), file.file());
  }

  /** What bringing a KBART file in would change. Coordinators only. */
  @PostMapping("/look")
  GroupHoldings.HoldingsChanges look(Member me, @RequestBody HoldingsFile body) {
    return holdings.look(me, body.file());
  }

  /** Brings in a KBART file in place of the one before. */
  @PutMapping
  GroupHoldings.Taken take(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody HoldingsFile body) {
    return holdings.take(me, command, body.name(), body.file());
  }

  /** Says where the group's library finds texts for OpenURLs. Coordinators only. */
  @PutMapping("/library")
  LibraryLinks.LibraryShown library(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody LibraryLinks.LibraryShown body) {
    return links.set(me, command, body);
  }
}
