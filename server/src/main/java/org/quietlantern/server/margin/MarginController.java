package org.quietlantern.server.margin;

import java.util.List;
import java.util.UUID;
import org.quietlantern.core.text.Passage;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class MarginController {
  private final MarginNotes notes;
  private final Noting noting;
  private final MarginFiles files;

  /**
   * A passage as it was chosen.
   *
   * @param page on which it stands, from 0
   * @param start letters and digits of the page before it
   */
  record ChosenPassage(String quote, String before, String after, int page, int start) {}

  /**
   * A note to be written.
   *
   * @param label the number on the page; empty for a page of the web
   * @param version of the text that is read
   */
  record NewMarginNoteBody(
      String kind,
      String text,
      boolean shared,
      ChosenPassage passage,
      String label,
      String version) {}

  /** What a note says from now on. */
  record MarginNoteBody(String kind, String text, boolean shared, boolean done) {}

  record MarginRemarkBody(String text) {}

  MarginController(MarginNotes notes, Noting noting, MarginFiles files) {
    this.notes = notes;
    this.noting = noting;
    this.files = files;
  }

  /**
   * Notes at a publication that the member may see, in the order of the work.
   *
   * @param in the text that is read: where each stands in it is told
   */
  @GetMapping("/publications/{publication}/margin-notes")
  List<MarginNotes.NoteShown> at(
      Member me,
      @PathVariable String publication,
      @RequestParam(required = false) @Nullable String in) {
    return notes.at(me, publication, in);
  }

  /** Writes at a passage. */
  @PostMapping("/publications/{publication}/margin-notes")
  Noting.Noted write(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String publication,
      @RequestBody NewMarginNoteBody body) {
    ChosenPassage where = body.passage();
    Passage passage =
        new Passage(where.quote(), where.before(), where.after(), where.page(), where.start());
    return noting.write(
        me,
        command,
        publication,
        new Noting.At(passage, body.label(), body.version()),
        new Noting.Saying(body.kind(), body.text(), body.shared(), false));
  }

  /**
   * Notes over all texts, the newest first.
   *
   * @param words in passage, note or remarks
   * @param kind {@code note}, {@code question} or {@code task}; empty: any
   * @param mine only the member's own
   * @param open only tasks that are not done
   * @param beforeNote id of a note, to go on behind it
   */
  @GetMapping("/margin-notes")
  MarginNotes.NotesPage all(
      Member me,
      @RequestParam(defaultValue = "") String words,
      @RequestParam(defaultValue = "") String kind,
      @RequestParam(defaultValue = "false") boolean mine,
      @RequestParam(defaultValue = "false") boolean open,
      @RequestParam(required = false, name = "before-note") @Nullable String beforeNote) {
    return notes.page(me, new MarginNotes.Wanted(words, kind, mine, open), beforeNote);
  }

  /**
   * The same as a file: {@code txt}, {@code docx} or {@code jsonld} (Web Annotation Data Model).
   */
  @GetMapping("/margin-notes/file/{form}")
  ResponseEntity<byte[]> file(
      Member me,
      @PathVariable String form,
      @RequestParam(defaultValue = "") String words,
      @RequestParam(defaultValue = "") String kind,
      @RequestParam(defaultValue = "false") boolean mine,
      @RequestParam(defaultValue = "false") boolean open) {
    byte[] file = files.of(me, new MarginNotes.Wanted(words, kind, mine, open), form);
    return Attachment.of(Attachment.name("Margin notes", form), file);
  }

  /** The file of a text with the notes in it, as annotations (ISO 32000-2, 12.5). */
  @GetMapping("/texts/{text}/noted")
  ResponseEntity<Resource> noted(Member me, @PathVariable String text) {
    return files.noted(me, text).answer(CacheControl.noStore());
  }

  /** Changes a note; whether a shared task is done, anybody may say. */
  @PutMapping("/margin-notes/{marginNote}")
  Noting.Noted change(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String marginNote,
      @RequestBody MarginNoteBody body) {
    return noting.change(
        me,
        command,
        marginNote,
        new Noting.Saying(body.kind(), body.text(), body.shared(), body.done()));
  }

  /** Takes a note away. */
  @DeleteMapping("/margin-notes/{marginNote}")
  Noting.Noted remove(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String marginNote) {
    return noting.remove(me, command, marginNote);
  }

  /** Says something to a note that is shared. */
  @PostMapping("/margin-notes/{marginNote}/remarks")
  Noting.Noted remark(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String marginNote,
      @RequestBody MarginRemarkBody body) {
    return noting.remark(me, command, marginNote, body.text());
  }
}
