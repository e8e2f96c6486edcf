package org.quietlantern.server.journal;

import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.holdings.JournalFiles;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is known of journals as a file (CSV, docs/formats.md). */
@RestController
@RequestMapping("/api/groups/{group}")
class JournalFileController {
  private final JournalFiles files;

  record JournalsFile(String file) {}

  JournalFileController(JournalFiles files) {
    this.files = files;
  }

  /** What taking a file in would change. Stewards only. */
  @PostMapping("/journals/look")
  JournalFiles.JournalChanges look(Member me, @RequestBody JournalsFile body) {
    return files.look(me, body.file());
  }

  /** Takes a file in; journals that it does not name stay. Stewards only. */
  @PutMapping("/journals")
  JournalFiles.JournalChanges take(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody JournalsFile body) {
    return files.take(me, command, body.file());
  }

  /** All journals. */
  @GetMapping(value = "/journals.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<byte[]> csv() {
    return Attachment.of("journals.csv", files.csv());
  }
}
