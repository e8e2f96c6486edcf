package org.quietlantern.server.export;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Works that are sent by mail. */
@RestController
@RequestMapping("/api/groups/{group}")
class SendingController {
  private final Selections selections;
  private final Sendings sendings;

  /**
   * What is sent to whom.
   *
   * @param addresses each once
   * @param members public ids
   * @param copy whether one goes to oneself, too
   * @param note may be empty
   * @param format of the file that goes along; empty: none
   * @param with what goes along in the file
   * @param order of a folder, as lists have it; absent: the usual one
   * @param publications in their order, where no folder, search or round is named
   */
  record SendBody(
      List<String> addresses,
      List<String> members,
      boolean copy,
      String note,
      String format,
      List<String> with,
      @Nullable String order,
      @Nullable List<String> publications) {
    Sendings.SendWanted wanted(String place) {
      return new Sendings.SendWanted(
          addresses,
          members,
          copy,
          note,
          format.isEmpty() ? null : ExportFiles.Wanted.of(format, false, with),
          place);
    }
  }

  SendingController(Selections selections, Sendings sendings) {
    this.selections = selections;
    this.sendings = sendings;
  }

  /** What the member sent, the latest first; {@code before}: the last of the page before. */
  @GetMapping("/sendings")
  List<Sendings.SendingShown> sendings(
      Member me, @RequestParam(required = false) @Nullable String before) {
    return sendings.of(me, before);
  }

  /** Sends some publications. */
  @PostMapping("/sendings")
  Sendings.Sent works(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody SendBody body) {
    return sendings.send(me, command, selections.works(me, body.publications()), body.wanted(""));
  }

  /** Sends what is in a folder. */
  @PostMapping("/folders/{folder}/sendings")
  Sendings.Sent folder(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody SendBody body) {
    return sendings.send(
        me, command, selections.folder(me, folder, body.order()), body.wanted("/f/" + folder));
  }

  /** Sends what a settled search finds. */
  @PostMapping("/q/{q}/sendings")
  Sendings.Sent search(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String q,
      @RequestBody SendBody body) {
    return sendings.send(me, command, selections.search(me, q), body.wanted("/q/" + q));
  }

  /** Sends a round. */
  @PostMapping("/rounds/{round}/sendings")
  Sendings.Sent round(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String round,
      @RequestBody SendBody body) {
    return sendings.send(me, command, selections.round(me, round), body.wanted("/r/" + round));
  }
}
