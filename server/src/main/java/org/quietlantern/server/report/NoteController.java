package org.quietlantern.server.report;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class NoteController {
  private final Notes notes;

  /** {@code of}: the name of a report, as reports have it. */
  record KeepNote(String of) {}

  NoteController(Notes notes) {
    this.notes = notes;
  }

  /** Keeps a report in a folder as it is now. */
  @PostMapping("/folders/{folder}/notes")
  Notes.NoteView keep(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody KeepNote body) {
    return notes.keep(me, command, folder, body.of());
  }

  /** Notes kept in a folder, the newest first. */
  @GetMapping("/folders/{folder}/notes")
  List<Notes.NoteLine> inFolder(Member me, @PathVariable String folder) {
    return notes.inFolder(me, folder);
  }

  /** One note as it was kept. */
  @GetMapping("/notes/{note}")
  Notes.NoteView note(Member me, @PathVariable String note) {
    return notes.get(me, note);
  }
}
