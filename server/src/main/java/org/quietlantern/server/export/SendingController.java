package org.quietlantern.server.export;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.bibliography.Bibliographies;
import org.quietlantern.server.bibliography.Bibliographies.LeavingBibliography;
import org.quietlantern.server.bibliography.BibliographyForm;
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
  private final Bibliographies bibliographies;

  /**
   * What is sent to whom.
   *
   * @param addresses each once
   * @param members public ids
   * @param copy whether one goes to oneself, too
   * @param note may be empty
   * @param format of the file that goes along; empty: none
   * @param with what goes along in the file
   * @param texts whether texts go along, where their licence lets them; absent: no
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
      @Nullable Boolean texts,
      @Nullable String order,
      @Nullable List<String> publications) {
    Sendings.SendWanted wanted(String place) {
      return wanted(place, null, null);
    }

    private Sendings.SendWanted wanted(
        String place, @Nullable LeavingBibliography bibliography, @Nullable BibliographyForm form) {
      return new Sendings.SendWanted(
          addresses,
          members,
          copy,
          note,
          format.isEmpty() ? null : ExportFiles.Wanted.of(format, false, with),
          Boolean.TRUE.equals(texts),
          bibliography,
          form,
          place);
    }
  }

  /**
   * A bibliography as a letter.
   *
   * @param annotations {@code none}, {@code agreed} or {@code all}
   * @param form of it as a file that goes along: {@code docx}, {@code html}, {@code text}; empty:
   *     none
   */
  record SendBibliographyBody(SendBody letter, String annotations, String form) {}

  SendingController(Selections selections, Sendings sendings, Bibliographies bibliographies) {
    this.bibliographies = bibliographies;
    this.selections = selections;
    this.sendings = sendings;
  }

  /** What the member sent, the latest first; {@code before}: the last of the page before. */
  @GetMapping("/sendings")
  List<Sendings.SendingShown> sendings(
      Member me, @RequestParam(required = false) @Nullable String before) {
    return sendings.of(me, before);
  }

  /** Which texts would go along with a letter, and why the others would not. */
  @PostMapping("/sendings/texts")
  Sendings.TextsAlong texts(Member me, @RequestBody Selections.Named body) {
    return sendings.texts(me, selections.of(me, body));
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

  /** Sends a folder's bibliography: in its style and order, with what is said below its entries. */
  @PostMapping("/folders/{folder}/bibliography/sendings")
  Sendings.Sent bibliography(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody SendBibliographyBody body) {
    LeavingBibliography leaving = bibliographies.leaving(me, folder, body.annotations());
    return sendings.send(
        me,
        command,
        selections
            .folder(me, folder, null)
            .with(
                "in the order of the bibliography",
                leaving.entries().stream().map(Bibliographies.LeavingEntry::work).toList()),
        body.letter()
            .wanted(
                "/f/" + folder + "/bibliography",
                leaving,
                body.form().isEmpty() ? null : BibliographyForm.named(body.form())));
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
