package org.quietlantern.server.bibliography;

import java.time.LocalDate;
import java.util.UUID;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.core.citation.file.BibliographyHtml;
import org.quietlantern.core.citation.file.BibliographyText;
import org.quietlantern.server.citing.StyleChoice;
import org.quietlantern.server.group.FolderGuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mending.Mends;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * {@code style} and {@code language}, where they are given, are tried instead of what is set; files
 * carry {@code none}, {@code agreed} or {@code all} annotations, all where nothing is said.
 */
@RestController
@RequestMapping("/api/groups/{group}/folders/{folder}/bibliography")
class BibliographyController {
  private static final String DOCX =
      "application/vnd.openxmlformats-officedocument.wordprocessingml.document";
  private final Bibliographies bibliographies;
  private final BibliographySettings settings;
  private final BibliographySince since;

  record CertainWanted(int seen) {}

  /** {@code style} empty for the group's, {@code language} for the style's own. */
  record BibliographyWanted(String style, String language, boolean byHand) {}

  /** {@code html} with indents that word processors keep, {@code text} without looks. */
  record Pasted(String html, String text) {}

  BibliographyController(
      Bibliographies bibliographies, BibliographySettings settings, BibliographySince since) {
    this.since = since;
    this.settings = settings;
    this.bibliographies = bibliographies;
  }

  /** Two hundred entries of a folder's bibliography, from one on. */
  @GetMapping
  @FolderGuestsMay
  BibliographyShown bibliography(
      Member me,
      @PathVariable String folder,
      @RequestParam(defaultValue = "0") int from,
      @RequestParam(defaultValue = "") String style,
      @RequestParam(defaultValue = "") String language) {
    return bibliographies.view(me, folder, from, new StyleChoice(style, language));
  }

  /** What became of it since a day, which counts from its beginning; absent: a month ago. */
  @GetMapping("/since")
  @FolderGuestsMay
  BibliographySince.ChangedSince since(
      Member me,
      @PathVariable String folder,
      @RequestParam(required = false) @Nullable LocalDate day) {
    return since.of(me, folder, day);
  }

  /** Mends everything that is certain in it, as one act; {@code seen}: how many there were. */
  @PutMapping("/mended")
  Mends.MendsSet mendCertain(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody CertainWanted body) {
    return bibliographies.mendCertain(me, command, folder, body.seen());
  }

  /** Sets style, language and order for everybody. */
  @PutMapping
  BibliographySettings.BibliographySet set(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody BibliographyWanted body) {
    return settings.set(
        me,
        command,
        new BibliographySettings.BibliographySet(
            folder, body.style(), body.language(), body.byHand()));
  }

  /** All entries as they are put on a clipboard. */
  @GetMapping("/pasted")
  @FolderGuestsMay
  Pasted pasted(
      Member me,
      @PathVariable String folder,
      @RequestParam(defaultValue = "") String style,
      @RequestParam(defaultValue = "") String language,
      @RequestParam(defaultValue = "") String annotations) {
    BibliographyFile file =
        bibliographies.file(me, folder, new StyleChoice(style, language), annotations);
    return new Pasted(BibliographyHtml.fragment(file), BibliographyText.entries(file));
  }

  /** As a page. */
  @GetMapping(path = "/html", produces = MediaType.TEXT_HTML_VALUE)
  @FolderGuestsMay
  ResponseEntity<byte[]> html(
      Member me,
      @PathVariable String folder,
      @RequestParam(defaultValue = "") String style,
      @RequestParam(defaultValue = "") String language,
      @RequestParam(defaultValue = "") String annotations) {
    return file(me, folder, new StyleChoice(style, language), annotations, BibliographyForm.HTML);
  }

  /** As plain text. */
  @GetMapping(path = "/text", produces = "text/plain;charset=UTF-8")
  @FolderGuestsMay
  ResponseEntity<byte[]> text(
      Member me,
      @PathVariable String folder,
      @RequestParam(defaultValue = "") String style,
      @RequestParam(defaultValue = "") String language,
      @RequestParam(defaultValue = "") String annotations) {
    return file(me, folder, new StyleChoice(style, language), annotations, BibliographyForm.TEXT);
  }

  /** As DOCX (ISO/IEC 29500). */
  @GetMapping(path = "/docx", produces = DOCX)
  @FolderGuestsMay
  ResponseEntity<byte[]> docx(
      Member me,
      @PathVariable String folder,
      @RequestParam(defaultValue = "") String style,
      @RequestParam(defaultValue = "") String language,
      @RequestParam(defaultValue = "") String annotations) {
    return file(me, folder, new StyleChoice(style, language), annotations, BibliographyForm.DOCX);
  }

  private ResponseEntity<byte[]> file(
      Member me, String folder, StyleChoice choice, String annotations, BibliographyForm form) {
    BibliographyFile file = bibliographies.file(me, folder, choice, annotations);
    return Attachment.of(Attachment.name(file.title(), form.ending()), form.write(file));
  }
}
