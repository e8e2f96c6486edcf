package org.quietlantern.server.export;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.quietlantern.core.reference.ComparisonTable;
import org.quietlantern.server.group.FolderGuestsMay;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Works as a file of references. Files come as lines of JSON ({@code application/x-ndjson}): pieces
 * with how many works are done, and an end with how many there are and what was left out. Without
 * the end it is no whole file.
 */
@RestController
@RequestMapping("/api/groups/{group}")
class ExportController {
  private static final String LINES = "application/x-ndjson";
  private final Selections selections;
  private final ExportFiles files;
  private final ExportTables tables;
  private final Json json;

  /**
   * What a file shall be.
   *
   * @param format as a preview names it
   * @param with what goes along of what a preview offers; what is not offered is left out
   * @param commands whether letters beyond ASCII are commands of LaTeX in BibTeX; absent: no
   * @param order of a folder, as lists have it; absent: the usual one
   * @param publications in their order, where no folder, search or round is named
   */
  record ExportWanted(
      String format,
      List<String> with,
      @Nullable Boolean commands,
      @Nullable String order,
      @Nullable List<String> publications) {
    ExportFiles.Wanted wanted() {
      return ExportFiles.Wanted.of(format, Boolean.TRUE.equals(commands), with);
    }
  }

  /**
   * What a table shall be.
   *
   * @param form {@code csv} or {@code docx}
   * @param columns their words, in their order
   * @param order of a folder, as lists have it; absent: the usual one
   * @param publications in their order, where no folder, search or round is named
   */
  record TableWanted(
      String form,
      List<String> columns,
      @Nullable String order,
      @Nullable List<String> publications) {}

  ExportController(Selections selections, ExportFiles files, ExportTables tables, Json json) {
    this.tables = tables;
    this.selections = selections;
    this.files = files;
    this.json = json;
  }

  /** How a file of some publications begins. */
  @PostMapping("/export/preview")
  @GuestsMay
  ExportFiles.Preview previewWorks(Member me, @RequestBody ExportWanted body) {
    return files.preview(me, selections.works(me, body.publications()), body.wanted());
  }

  /** Some publications as a file. */
  @PostMapping("/export")
  @GuestsMay
  void works(Member me, @RequestBody ExportWanted body, HttpServletResponse answer)
      throws IOException {
    write(me, selections.works(me, body.publications()), body.wanted(), answer);
  }

  /** How a file of a folder begins. */
  @PostMapping("/folders/{folder}/export/preview")
  @GuestsMay
  @FolderGuestsMay
  ExportFiles.Preview previewFolder(
      Member me, @PathVariable String folder, @RequestBody ExportWanted body) {
    return files.preview(me, selections.folder(me, folder, body.order()), body.wanted());
  }

  /** A folder as a file. */
  @PostMapping("/folders/{folder}/export")
  @GuestsMay
  @FolderGuestsMay
  void folder(
      Member me,
      @PathVariable String folder,
      @RequestBody ExportWanted body,
      HttpServletResponse answer)
      throws IOException {
    write(me, selections.folder(me, folder, body.order()), body.wanted(), answer);
  }

  /** How a file of all that a settled search finds begins. */
  @PostMapping("/q/{q}/export/preview")
  @GuestsMay
  ExportFiles.Preview previewSearch(
      Member me, @PathVariable String q, @RequestBody ExportWanted body) {
    return files.preview(me, selections.search(me, q), body.wanted());
  }

  /** All that a settled search finds as a file. */
  @PostMapping("/q/{q}/export")
  @GuestsMay
  void search(
      Member me, @PathVariable String q, @RequestBody ExportWanted body, HttpServletResponse answer)
      throws IOException {
    write(me, selections.search(me, q), body.wanted(), answer);
  }

  /** How a file of a round begins. */
  @PostMapping("/rounds/{round}/export/preview")
  @GuestsMay
  ExportFiles.Preview previewRound(
      Member me, @PathVariable String round, @RequestBody ExportWanted body) {
    return files.preview(me, selections.round(me, round), body.wanted());
  }

  /** A round as a file. */
  @PostMapping("/rounds/{round}/export")
  @GuestsMay
  void round(
      Member me,
      @PathVariable String round,
      @RequestBody ExportWanted body,
      HttpServletResponse answer)
      throws IOException {
    write(me, selections.round(me, round), body.wanted(), answer);
  }

  private void write(
      Member me, Leaving leaving, ExportFiles.Wanted wanted, HttpServletResponse answer)
      throws IOException {
    answer.setContentType(LINES);
    // Other than the writer of an answer, this one says when nobody reads it any more.
    Writer lines = new OutputStreamWriter(answer.getOutputStream(), StandardCharsets.UTF_8);
    ExportFiles.End end = files.write(me, leaving, wanted, piece -> line(lines, piece));
    line(lines, end);
  }

  private void line(Writer to, Object value) throws IOException {
    to.append(json.write(value)).append('\n').flush();
  }

  /** Some publications as a table: CSV (RFC 4180) or DOCX (ISO/IEC 29500). */
  @PostMapping("/export/table")
  @GuestsMay
  ResponseEntity<byte[]> tableOfWorks(Member me, @RequestBody TableWanted body) {
    return table(me, selections.works(me, body.publications()), body);
  }

  /** A folder as a table. */
  @PostMapping("/folders/{folder}/export/table")
  @GuestsMay
  @FolderGuestsMay
  ResponseEntity<byte[]> tableOfFolder(
      Member me, @PathVariable String folder, @RequestBody TableWanted body) {
    return table(me, selections.folder(me, folder, body.order()), body);
  }

  /** All that a settled search finds as a table. */
  @PostMapping("/q/{q}/export/table")
  @GuestsMay
  ResponseEntity<byte[]> tableOfSearch(
      Member me, @PathVariable String q, @RequestBody TableWanted body) {
    return table(me, selections.search(me, q), body);
  }

  /** A round as a table. */
  @PostMapping("/rounds/{round}/export/table")
  @GuestsMay
  ResponseEntity<byte[]> tableOfRound(
      Member me, @PathVariable String round, @RequestBody TableWanted body) {
    return table(me, selections.round(me, round), body);
  }

  private ResponseEntity<byte[]> table(Member me, Leaving leaving, TableWanted wanted) {
    boolean docx = wanted.form().equals("docx");
    if (!docx && !wanted.form().equals("csv")) {
      throw Refusal.unusable("form", "A table is csv or docx.");
    }
    ComparisonTable table = tables.of(me, leaving, ExportTables.columns(wanted.columns()), docx);
    String name = Attachment.name(leaving.name() + " table", wanted.form());
    return docx
        ? Attachment.of(
            name,
            table.docx("%,d publications, %s.".formatted(table.rows().size(), leaving.order())))
        : Attachment.of(name, table.csv());
  }
}
