package org.quietlantern.server.bringing;

import java.time.Instant;
import java.util.Arrays;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.reference.CsvColumn;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.folder.Folders.FolderName;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was brought in, as it is shown to whoever did. */
@Service
@Transactional(readOnly = true)
class BroughtViews {
  private static final int LINES = 20;
  private static final int ENTRIES = 50;
  private static final int PROBLEMS = 50;
  private static final int MOST_PEOPLE = 8;

  /** Letters of what a list shows of one field. */
  private static final int LONGEST = 1_000;

  private final Broughts broughts;
  private final BroughtMapper mapper;
  private final BroughtEntryMapper entries;
  private final Publications publications;
  private final Summaries summaries;
  private final Json json;

  /**
   * One of those that a member began.
   *
   * @param state {@code open}, {@code taking}, {@code taken}, {@code returning} or {@code returned}
   * @param files their names
   * @param counts of its entries
   */
  record BroughtLine(
      String id,
      String state,
      List<String> files,
      BroughtEntryMapper.BroughtCounts counts,
      @Nullable FolderName folder,
      Instant begun,
      @Nullable Instant ended) {}

  /** The latest first; {@code more}: whether older ones follow. */
  record BroughtLines(List<BroughtLine> lines, boolean more) {}

  /** What a column holds, by the words of {@code choices}; empty for nothing that is read. */
  record BroughtColumn(String head, String holds) {}

  /**
   * A file.
   *
   * @param read whether all of it was read
   * @param format as people call it; empty where it is in none that is known
   * @param columns of a table
   */
  record BroughtFile(
      int n,
      String name,
      boolean read,
      String format,
      int entries,
      int problems,
      List<BroughtColumn> columns) {}

  /**
   * What a member brings in.
   *
   * @param reading whether a file of it is still being read
   * @param choices what a column of a table can hold
   * @param error why it stands still
   */
  record BroughtShown(
      String id,
      String state,
      boolean reading,
      List<BroughtFile> files,
      BroughtEntryMapper.BroughtCounts counts,
      List<String> choices,
      @Nullable FolderName folder,
      @Nullable String error,
      Instant begun,
      @Nullable Instant ended) {}

  /** A work in a line or two. */
  record BesideShown(
      String title,
      List<String> people,
      @Nullable Integer year,
      String where,
      String kind,
      String pages,
      String doi) {
    static BesideShown of(Publication work) {
      String first = work.host().firstPage();
      String last = work.host().lastPage();
      String volume =
          work.host().volume().isEmpty()
              ? ""
              : work.host().volume()
                  + (work.host().issue().isEmpty() ? "" : "(" + work.host().issue() + ")");
      String pages = last.isEmpty() || last.equals(first) ? first : first + "–" + last;
      return new BesideShown(
          clean(work.title()),
          work.authors().stream()
              .limit(MOST_PEOPLE)
              .map(PersonName::family)
              .map(BesideShown::clean)
              .toList(),
          work.year().orElse(null),
          clean(work.where()),
          work.kind().word(),
          clean(
              Stream.of(volume, pages).filter(s -> !s.isEmpty()).collect(Collectors.joining(", "))),
          clean(work.doi()));
    }

    /** Whatever a file says; lists are no longer for it. */
    private static String clean(String text) {
      return Text.atMost(LONGEST, Text.clean(text));
    }
  }

  /**
   * A work that is here.
   *
   * @param own that only the group has
   * @param access how the group comes to its text, in a word of rule L7
   */
  record HereShown(String id, boolean own, String access, BesideShown work) {}

  /**
   * An entry of a file.
   *
   * @param file its name; {@code line}: 0 where it has none
   * @param found {@code new}, {@code here}, {@code doubtful} or {@code twice}
   * @param byKey by which kind of key it is here or like something; of one that comes twice the
   *     number of the other
   * @param here works that it is, or may be
   * @param faults what is wrong with it, in sentences
   * @param decision {@code same}, {@code another} or {@code out}; absent: none
   * @param decided id of the work that it was decided to be
   * @param outcome absent: nothing became of it yet
   * @param work that it was taken as
   */
  record BroughtEntry(
      int n,
      String file,
      int line,
      BesideShown entry,
      String note,
      String found,
      String byKey,
      List<HereShown> here,
      List<String> faults,
      @Nullable String decision,
      @Nullable String decided,
      @Nullable String outcome,
      @Nullable WorkTitled work) {}

  /** {@code more}: whether more follow. */
  record BroughtEntries(List<BroughtEntry> entries, boolean more) {}

  record BroughtProblem(String file, int line, String sentence) {}

  record BroughtProblems(List<BroughtProblem> problems, boolean more) {}

  BroughtViews(
      Broughts broughts,
      BroughtMapper mapper,
      BroughtEntryMapper entries,
      Publications publications,
      Summaries summaries,
      Json json) {
    this.broughts = broughts;
    this.mapper = mapper;
    this.entries = entries;
    this.publications = publications;
    this.summaries = summaries;
    this.json = json;
  }

  /** {@code before}: the last of the page before. */
  BroughtLines lines(Member who, @Nullable String before) {
    int from = before == null ? 0 : broughts.get(who, before).id();
    Page<BroughtMapper.Row> page = Page.of(mapper.of(who.id(), from, LINES + 1), LINES);
    Integer[] ids = page.rows().stream().map(BroughtMapper.Row::id).toArray(Integer[]::new);
    Iterator<BroughtEntryMapper.BroughtCounts> counts = entries.counts(ids).iterator();
    Map<Integer, List<String>> names =
        mapper.names(ids).stream()
            .collect(
                Collectors.groupingBy(
                    BroughtMapper.NameOf::brought,
                    Collectors.mapping(BroughtMapper.NameOf::name, Collectors.toList())));
    return new BroughtLines(
        page.rows().stream()
            .map(
                row ->
                    new BroughtLine(
                        row.pid(),
                        row.state(),
                        names.getOrDefault(row.id(), List.of()),
                        counts.next(),
                        folder(row),
                        row.begun(),
                        row.ended()))
            .toList(),
        page.more());
  }

  private static @Nullable FolderName folder(BroughtMapper.Row row) {
    return row.folderPid() == null ? null : new FolderName(row.folderPid(), row.folderName());
  }

  BroughtShown shown(Member who, String brought) {
    BroughtMapper.Row row = broughts.get(who, brought);
    List<BroughtMapper.FileRow> files = mapper.files(row.id());
    return new BroughtShown(
        row.pid(),
        row.state(),
        files.stream().anyMatch(file -> !file.read()),
        files.stream().map(this::shown).toList(),
        entries.counts(new Integer[] {row.id()}).get(0),
        Stream.of(CsvColumn.values()).map(CsvColumn::word).toList(),
        folder(row),
        row.error(),
        row.begun(),
        row.ended());
  }

  private BroughtFile shown(BroughtMapper.FileRow file) {
    Map<String, CsvColumn> said = Columns.read(json, file.columns());
    List<BroughtColumn> columns =
        Arrays.stream(file.heads())
            .map(
                head ->
                    new BroughtColumn(
                        head,
                        (said.isEmpty()
                                ? CsvColumn.headed(head)
                                : Optional.ofNullable(said.get(head)))
                            .map(CsvColumn::word)
                            .orElse("")))
            .toList();
    return new BroughtFile(
        file.n(),
        file.name(),
        file.read(),
        file.format(),
        file.entries(),
        file.problems(),
        columns);
  }

  /** {@code of}: what was found, an outcome, {@code faulty}, {@code undecided}, or empty. */
  BroughtEntries entries(Member who, String brought, String of, int from) {
    BroughtMapper.Row row = broughts.get(who, brought);
    Page<BroughtEntryMapper.Row> page =
        Page.of(entries.page(row.id(), of, Math.max(0, from), ENTRIES + 1), ENTRIES);
    Map<Integer, String> files =
        mapper.files(row.id()).stream()
            .collect(Collectors.toMap(BroughtMapper.FileRow::n, BroughtMapper.FileRow::name));
    List<Integer> asked =
        page.rows().stream()
            .flatMap(
                entry ->
                    Stream.concat(
                        Arrays.stream(entry.works()),
                        Stream.of(entry.decided(), entry.work()).filter(Objects::nonNull)))
            .distinct()
            .toList();
    Map<Integer, StoredPublication> works = publications.byAsked(Viewer.of(who), asked);
    Map<Integer, Summary> known = summaries.of(who, works.values());
    return new BroughtEntries(
        page.rows().stream().map(entry -> shown(entry, files, works, known)).toList(), page.more());
  }

  private BroughtEntry shown(
      BroughtEntryMapper.Row entry,
      Map<Integer, String> files,
      Map<Integer, StoredPublication> works,
      Map<Integer, Summary> known) {
    Map<String, HereShown> here = new LinkedHashMap<>();
    for (Integer id : entry.works()) {
      StoredPublication work = works.get(id);
      if (work != null) {
        here.putIfAbsent(
            work.pid(),
            new HereShown(
                work.pid(),
                work.group() != 0,
                known.get(work.id()).access(),
                BesideShown.of(work.publication())));
      }
    }
    StoredPublication decided = works.get(entry.decided());
    StoredPublication taken = works.get(entry.work());
    return new BroughtEntry(
        entry.n(),
        files.getOrDefault(entry.file(), ""),
        entry.line(),
        json.read(entry.shown(), BesideShown.class),
        entry.reason(),
        entry.found(),
        entry.byKey(),
        List.copyOf(here.values()),
        List.of(entry.faults()),
        entry.decision(),
        decided == null ? null : decided.pid(),
        entry.outcome(),
        taken == null ? null : WorkTitled.of(taken));
  }

  BroughtProblems problems(Member who, String brought, int from) {
    BroughtMapper.Row row = broughts.get(who, brought);
    Page<BroughtMapper.Problem> page =
        Page.of(mapper.problems(row.id(), Math.max(0, from), PROBLEMS + 1), PROBLEMS);
    Map<Integer, String> files =
        mapper.files(row.id()).stream()
            .collect(Collectors.toMap(BroughtMapper.FileRow::n, BroughtMapper.FileRow::name));
    return new BroughtProblems(
        page.rows().stream()
            .map(p -> new BroughtProblem(files.getOrDefault(p.file(), ""), p.line(), p.sentence()))
            .toList(),
        page.more());
  }
}
