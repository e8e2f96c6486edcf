package org.quietlantern.server.margin;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.quietlantern.core.text.Passage;
import org.quietlantern.core.text.Places;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.sql.Like;
import org.quietlantern.server.reading.GroupTexts;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading margin notes: those at a text, and those over all texts (rule T3). */
@Service
@Transactional(readOnly = true)
class MarginNotes {
  private static final int A_PAGE = 50;
  private final MarginMapper mapper;
  private final Publications publications;
  private final GroupTexts texts;
  private final Groups groups;

  /** What somebody said to a note. */
  record NoteRemark(String by, String text, Instant at) {}

  /**
   * Where a passage stands in the text that is read.
   *
   * @param nth which of the same words on the page it is, from 0
   */
  record NotePlace(int page, int nth) {}

  /**
   * A note.
   *
   * @param kind {@code note}, {@code question} or {@code task}
   * @param text what was written; empty where the passage alone is marked
   * @param version of the text in which it was written
   * @param label the number on the page, as it was read; empty for a page of the web
   * @param place in the text that is read; absent where its words do not stand in it, and where no
   *     text is read
   */
  record NoteShown(
      String id,
      String publication,
      String kind,
      String by,
      boolean mine,
      String text,
      String quote,
      String version,
      String label,
      boolean shared,
      boolean done,
      Instant at,
      Instant changed,
      List<NoteRemark> remarks,
      @Nullable NotePlace place) {}

  /** {@code title}: of the publication. */
  record NoteInList(NoteShown note, String title) {}

  /** The newest first; {@code next}: to go on behind, absent behind the last. */
  record NotesPage(List<NoteInList> notes, @Nullable String next) {}

  /** What is wanted of all notes; the texts may be empty. */
  record Wanted(String words, String kind, boolean mine, boolean open) {}

  MarginNotes(MarginMapper mapper, Publications publications, GroupTexts texts, Groups groups) {
    this.mapper = mapper;
    this.publications = publications;
    this.texts = texts;
    this.groups = groups;
  }

  /** At a publication, in the order of the work; {@code text}: the one that is read, if one is. */
  List<NoteShown> at(Member who, String pid, @Nullable String text) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    List<MarginMapper.Row> rows = mapper.of(who.group(), who.id(), publications.withParts(stored));
    Optional<Places> places =
        text == null || rows.isEmpty()
            ? Optional.empty()
            : Optional.of(new Places(texts.words(who, text)));
    return shown(who, rows, Map.of(stored.id(), stored), places);
  }

  private List<NoteShown> shown(
      Member who,
      List<MarginMapper.Row> rows,
      Map<Integer, StoredPublication> works,
      Optional<Places> places) {
    Map<Integer, String> names = groups.names(who.group());
    Map<Integer, List<NoteRemark>> remarks = remarks(rows, names);
    return rows.stream()
        .map(
            row ->
                new NoteShown(
                    row.pid(),
                    works.get(row.publication()).pid(),
                    row.kind(),
                    names.getOrDefault(row.membership(), "a former member"),
                    row.membership() == who.id(),
                    row.body(),
                    row.quote(),
                    row.version(),
                    row.label(),
                    row.shared(),
                    row.done(),
                    row.at(),
                    row.changed(),
                    remarks.getOrDefault(row.id(), List.of()),
                    places
                        .flatMap(all -> all.find(passage(row)))
                        .map(place -> new NotePlace(place.page(), place.nth()))
                        .orElse(null)))
        .toList();
  }

  private static Passage passage(MarginMapper.Row row) {
    return new Passage(row.quote(), row.before(), row.after(), row.page(), row.start());
  }

  private Map<Integer, List<NoteRemark>> remarks(
      List<MarginMapper.Row> rows, Map<Integer, String> names) {
    if (rows.isEmpty()) {
      return Map.of();
    }
    Integer[] notes = rows.stream().map(MarginMapper.Row::id).toArray(Integer[]::new);
    return mapper.remarks(notes).stream()
        .collect(
            Collectors.groupingBy(
                MarginMapper.RemarkRow::note,
                Collectors.mapping(
                    r ->
                        new NoteRemark(
                            names.getOrDefault(r.membership(), "a former member"),
                            r.body(),
                            r.at()),
                    Collectors.toList())));
  }

  /** Over all texts, the newest first; {@code before}: the id of a note, to go on behind it. */
  NotesPage page(Member who, Wanted wanted, @Nullable String before) {
    int last = before == null ? 0 : row(who, before).id();
    Page<MarginMapper.Row> page = Page.of(chosen(who, wanted, last, A_PAGE + 1), A_PAGE);
    List<NoteInList> notes =
        written(who, page.rows()).stream()
            .map(one -> new NoteInList(one.note(), one.of().publication().title()))
            .toList();
    return new NotesPage(notes, page.more() ? notes.get(notes.size() - 1).note().id() : null);
  }

  private List<MarginMapper.Row> chosen(Member who, Wanted wanted, int last, int most) {
    return mapper.chosen(
        new MarginMapper.Choice(
            who.group(),
            who.id(),
            Like.part(wanted.words()),
            wanted.kind(),
            wanted.mine(),
            wanted.open(),
            last,
            most));
  }

  /** All that are wanted, with their works, for a file. */
  List<Written> all(Member who, Wanted wanted) {
    return written(who, chosen(who, wanted, 0, Integer.MAX_VALUE));
  }

  /** All at a work, in its order, with their passages. */
  List<Written> of(Member who, StoredPublication work) {
    List<MarginMapper.Row> rows = mapper.of(who.group(), who.id(), publications.withParts(work));
    return written(who, rows, Map.of(work.id(), work));
  }

  private List<Written> written(Member who, List<MarginMapper.Row> rows) {
    List<Integer> ids = rows.stream().map(MarginMapper.Row::publication).distinct().toList();
    Map<Integer, StoredPublication> works = new LinkedHashMap<>();
    publications.byId(Viewer.of(who), ids).forEach(work -> works.put(work.id(), work));
    return written(who, rows, works);
  }

  private List<Written> written(
      Member who, List<MarginMapper.Row> rows, Map<Integer, StoredPublication> works) {
    List<NoteShown> notes = shown(who, rows, works, Optional.empty());
    return IntStream.range(0, rows.size())
        .mapToObj(
            n ->
                new Written(
                    notes.get(n), passage(rows.get(n)), works.get(rows.get(n).publication())))
        .toList();
  }

  /** A note with its passage and the work at which it stands. */
  record Written(NoteShown note, Passage passage, StoredPublication of) {}

  /** Refused as unknown where the reader may not see it. */
  MarginMapper.Row row(Member who, String pid) {
    return Optional.ofNullable(mapper.find(who.group(), who.id(), pid))
        .orElseThrow(Refusal::unknown);
  }
}
