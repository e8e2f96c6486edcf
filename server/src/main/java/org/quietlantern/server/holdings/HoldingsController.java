package org.quietlantern.server.holdings;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class HoldingsController {
  private final GroupHoldings holdings;
  private final LibraryLinks links;
  private final Lenders lenders;

  record HoldingsFile(String name, String file) {}

  /** In the order in which they are to be asked. */
  record LendersAsked(List<Lenders.LenderShown> lenders) {}

  HoldingsController(GroupHoldings holdings, LibraryLinks links, Lenders lenders) {
    this.lenders = lenders;
    this.links = links;
    this.holdings = holdings;
  }

  /**
   * What is held, as it was brought in: by the {@code group}, in print at its library ({@code
   * printed}), or by rights of the member's {@code own}.
   */
  @GetMapping("/holdings/{shelf}")
  GroupHoldings.HoldingsView view(Member me, @PathVariable String shelf) {
    return holdings.view(me, Shelf.named(shelf));
  }

  /** The KBART file as it was brought in; empty where there is none. */
  @GetMapping(value = "/holdings/{shelf}/file", produces = "text/plain;charset=UTF-8")
  ResponseEntity<byte[]> file(Member me, @PathVariable String shelf) {
    GroupHoldings.BroughtIn file = holdings.file(me, Shelf.named(shelf));
    return Attachment.of(
        Attachment.name(file.name().replaceFirst("\\.\\w+$", ""), "txt"), file.file());
  }

  /** What bringing a KBART file in would change. Coordinators, and members for their own. */
  @PostMapping("/holdings/{shelf}/look")
  GroupHoldings.HoldingsChanges look(
      Member me, @PathVariable String shelf, @RequestBody HoldingsFile body) {
    return holdings.look(me, Shelf.named(shelf), body.file());
  }

  /** Brings in a KBART file in place of the one before; an empty one takes that away. */
  @PutMapping("/holdings/{shelf}")
  GroupHoldings.Taken take(
      Member me,
      @PathVariable String shelf,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody HoldingsFile body) {
    return holdings.take(me, Shelf.named(shelf), command, body.name(), body.file());
  }

  /** Whose link resolver the group uses. */
  @GetMapping("/library")
  LibraryLinks.LibraryShown resolver(Member me) {
    return links.of(me);
  }

  /** Says where the group's library finds texts for OpenURLs. Coordinators only. */
  @PutMapping("/library")
  LibraryLinks.LibraryShown library(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody LibraryLinks.LibraryShown body) {
    return links.set(me, command, body);
  }

  /** Who lends to the group, in the order in which they are asked. */
  @GetMapping("/lenders")
  List<Lenders.LenderShown> lenders(Member me) {
    return lenders.of(me.group());
  }

  /** Says who lends to the group. Coordinators only. */
  @PutMapping("/lenders")
  List<Lenders.LenderShown> lend(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody LendersAsked body) {
    return lenders.set(me, command, body.lenders());
  }
}
