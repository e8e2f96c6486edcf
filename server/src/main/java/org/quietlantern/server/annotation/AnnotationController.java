package org.quietlantern.server.annotation;

import java.util.UUID;
import org.quietlantern.server.group.FolderGuestsMay;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/folders/{folder}/annotations/{publication}")
class AnnotationController {
  private final Annotations annotations;
  private final AnnotationRemarks remarks;
  private final AnnotationReading reading;

  /** {@code version}: the one that was seen, 0 for none. */
  record AnnotationWords(String text, int version) {}

  /** {@code state}: {@code draft}, {@code to be read} or {@code agreed}. */
  record AnnotationStateWanted(String state, int version) {}

  record AnnotationSeen(int version) {}

  /** {@code outcome}: {@code taken}, {@code left} or {@code open}. */
  record RemarkOutcome(String outcome) {}

  AnnotationController(
      Annotations annotations, AnnotationRemarks remarks, AnnotationReading reading) {
    this.annotations = annotations;
    this.remarks = remarks;
    this.reading = reading;
  }

  /** What stands below an entry, with what was said of it and its earlier words. */
  @GetMapping
  @FolderGuestsMay
  AnnotationReading.AnnotationShown annotation(
      Member me, @PathVariable String folder, @PathVariable String publication) {
    return reading.view(me, folder, publication);
  }

  /** Words that it had once. */
  @GetMapping("/wordings/{n}")
  @FolderGuestsMay
  AnnotationReading.Wording wording(
      Member me,
      @PathVariable String folder,
      @PathVariable String publication,
      @PathVariable int n) {
    return reading.wording(me, folder, publication, n);
  }

  /** Writes it; an empty text takes it away. */
  @PutMapping
  Annotations.AnnotationGiven write(
      Member me,
      @PathVariable String folder,
      @PathVariable String publication,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody AnnotationWords body) {
    return annotations.write(me, command, folder, publication, body.text(), body.version());
  }

  /** Says how far it is. */
  @PutMapping("/state")
  Annotations.AnnotationGiven state(
      Member me,
      @PathVariable String folder,
      @PathVariable String publication,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody AnnotationStateWanted body) {
    return annotations.state(me, command, folder, publication, body.state(), body.version());
  }

  /** Goes on with what another member has begun. */
  @PutMapping("/writer")
  Annotations.AnnotationGiven takeOver(
      Member me,
      @PathVariable String folder,
      @PathVariable String publication,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody AnnotationSeen body) {
    return annotations.takeOver(me, command, folder, publication, body.version());
  }

  /** Says something of its words, or suggests others. */
  @PostMapping("/remarks")
  @GuestsMay
  @FolderGuestsMay
  AnnotationRemarks.RemarksGiven say(
      Member me,
      @PathVariable String folder,
      @PathVariable String publication,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody AnnotationRemarks.ToSay body) {
    return remarks.say(me, command, folder, publication, body);
  }

  /** Takes what was suggested, leaves it, or opens it again. */
  @PutMapping("/remarks/{annotationRemark}")
  Annotations.AnnotationGiven deal(
      Member me,
      @PathVariable String folder,
      @PathVariable String publication,
      @PathVariable String annotationRemark,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody RemarkOutcome body) {
    return remarks.deal(me, command, folder, publication, annotationRemark, body.outcome());
  }

  /** Takes back what one said of it oneself. */
  @DeleteMapping("/remarks/{annotationRemark}")
  @GuestsMay
  @FolderGuestsMay
  Annotations.AnnotationGiven takeBack(
      Member me,
      @PathVariable String folder,
      @PathVariable String publication,
      @PathVariable String annotationRemark,
      @RequestHeader("Command-Id") UUID command) {
    return remarks.takeBack(me, command, folder, publication, annotationRemark);
  }
}
