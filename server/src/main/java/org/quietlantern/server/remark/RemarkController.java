package org.quietlantern.server.remark;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.FolderGuestsMay;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
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
@RequestMapping("/api/groups/{group}")
class RemarkController {
  private final Remarks remarks;
  private final RemarkLists lists;

  /** {@code answers}: the remark that is answered; absent for one that begins. */
  record NewRemark(String text, @Nullable String answers) {}

  record RemarkText(String text) {}

  record RemarkSettled(boolean settled) {}

  record RemarkLookedAt(boolean lookedAt) {}

  RemarkController(Remarks remarks, RemarkLists lists) {
    this.remarks = remarks;
    this.lists = lists;
  }

  /** What the group says of a publication, the oldest first, each with its answers. */
  @GetMapping("/publications/{publication}/remarks")
  @FolderGuestsMay
  List<RemarkLists.RemarkThread> of(Member me, @PathVariable String publication) {
    return lists.of(me, publication);
  }

  /** Says something of a publication, or answers; guests where a folder lets them. */
  @PostMapping("/publications/{publication}/remarks")
  @GuestsMay
  @FolderGuestsMay
  Remarks.RemarkGiven add(
      Member me,
      @PathVariable String publication,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody NewRemark body) {
    return remarks.add(me, command, publication, body.text(), body.answers());
  }

  /** Writes a remark of one's own anew, within a quarter of an hour. */
  @PutMapping("/remarks/{remark}")
  @GuestsMay
  @FolderGuestsMay
  Remarks.RemarkGiven change(
      Member me,
      @PathVariable String remark,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody RemarkText body) {
    return remarks.change(me, command, remark, body.text());
  }

  /** Notes that the reader has looked at a remark that mentions them, or takes that back. */
  @PutMapping("/remarks/{remark}/looked-at")
  @GuestsMay
  void lookAt(Member me, @PathVariable String remark, @RequestBody RemarkLookedAt body) {
    remarks.lookAt(me, remark, body.lookedAt());
  }

  /** Takes a remark of one's own back. */
  @DeleteMapping("/remarks/{remark}")
  @GuestsMay
  @FolderGuestsMay
  Remarks.RemarkGiven takeBack(
      Member me, @PathVariable String remark, @RequestHeader("Command-Id") UUID command) {
    return remarks.takeBack(me, command, remark);
  }

  /** Says that what a remark asks is settled, or that it is not. */
  @PutMapping("/remarks/{remark}/settled")
  Remarks.RemarkGiven settle(
      Member me,
      @PathVariable String remark,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody RemarkSettled body) {
    return remarks.settle(me, command, remark, body.settled());
  }
}
