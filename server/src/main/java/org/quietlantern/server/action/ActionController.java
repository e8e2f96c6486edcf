package org.quietlantern.server.action;

import java.util.UUID;
import org.quietlantern.server.group.FolderGuestsMay;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class ActionController {
  private final Happenings happenings;
  private final Undoing undoing;

  ActionController(Happenings happenings, Undoing undoing) {
    this.happenings = happenings;
    this.undoing = undoing;
  }

  /** Cheap enough to ask every few seconds: 304 while nothing happened. */
  @GetMapping("/changes")
  @FolderGuestsMay
  ResponseEntity<Happenings.Changes> changes(Member me, @RequestParam long since) {
    return happenings
        .since(me, since)
        .map(ResponseEntity::ok)
        .orElseGet(() -> ResponseEntity.status(HttpStatus.NOT_MODIFIED).build());
  }

  /** Takes back an act of one's own, if nothing changed the same thing since. */
  @PostMapping("/actions/{action}/undo")
  @GuestsMay
  @FolderGuestsMay
  Undoing.Undone undo(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable UUID action) {
    return undoing.undo(me, command, action);
  }
}
