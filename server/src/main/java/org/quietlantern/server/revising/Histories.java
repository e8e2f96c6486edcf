package org.quietlantern.server.revising;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.quietlantern.core.query.Sentence;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.folder.SavedSearch;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.Shelves;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A saved search with all its revisions, as it is read. */
@Service
@Transactional(readOnly = true)
public class Histories {
  private final SavedSearches searches;
  private final Revisions revisions;
  private final RevisingMapper mapper;
  private final Groups groups;
  private final Matching matching;
  private final Shelves shelves;

  /**
   * A saved search.
   *
   * @param now what the newest revision finds now; none where it cannot be searched any more
   * @param documentedBy who declared it documented; none where nobody did
   * @param notes what became of headings that the newest revision asks for
   */
  public record HistoryShown(
      SavedSearch search,
      @Nullable Integer now,
      @Nullable String documentedBy,
      @Nullable Instant documented,
      List<RevisionShown> revisions,
      List<RunShown> runs,
      List<String> notes) {}

  /** A revision; {@code mine}: the reader made it. */
  public record RevisionShown(
      int n,
      StrategyBody strategy,
      List<LineOfRevision> lines,
      int count,
      @Nullable Integer gained,
      @Nullable Integer lost,
      String comment,
      String by,
      boolean mine,
      Instant at,
      List<CheckShown> checks) {}

  /** A line in plain words, with what was remarked on it. */
  public record LineOfRevision(String id, String text, boolean off, List<RemarkShown> remarks) {}

  /** What somebody said of a line. */
  public record RemarkShown(String by, String text, Instant at) {}

  /** Who was asked by whom to check, and when it was done. {@code mine}: the reader is to check. */
  public record CheckShown(
      String checker,
      boolean mine,
      @Nullable String askedBy,
      @Nullable Instant asked,
      @Nullable Instant checked) {}

  /** A run of a documented search. */
  public record RunShown(int n, String by, int count, Instant at) {}

  Histories(
      SavedSearches searches,
      Revisions revisions,
      RevisingMapper mapper,
      Groups groups,
      Matching matching,
      Shelves shelves) {
    this.searches = searches;
    this.revisions = revisions;
    this.mapper = mapper;
    this.groups = groups;
    this.matching = matching;
    this.shelves = shelves;
  }

  public HistoryShown of(Member who, String search) {
    SavedSearch saved = searches.get(who, search);
    List<Revisions.Revision> all = revisions.of(who, search);
    Reading reading = new Reading(who, all);
    Optional<Revisions.Documented> documented = revisions.documented(search);
    Now now = matching.look(who, look -> now(look, all.get(0).strategy().strategy()));
    return new HistoryShown(
        saved,
        now.found(),
        documented.map(d -> reading.name(d.membership())).orElse(null),
        documented.map(Revisions.Documented::at).orElse(null),
        all.stream().map(reading::shown).toList(),
        reading.runs(),
        now.notes());
  }

  private record Now(@Nullable Integer found, List<String> notes) {}

  private static Now now(Matching.Look look, Strategy strategy) {
    OptionalInt found = look.found(strategy);
    return new Now(found.isPresent() ? found.getAsInt() : null, look.fates(strategy));
  }

  /** Who checked a revision, the first first. */
  public List<CheckShown> checks(Member who, Revisions.Revision revision) {
    Map<Integer, String> names = groups.names(who.group());
    return mapper.checks(new Integer[] {revision.row()}).stream()
        .map(check -> check(who, names, check))
        .toList();
  }

  private static CheckShown check(
      Member who, Map<Integer, String> names, RevisingMapper.Check check) {
    return new CheckShown(
        name(names, check.checker()),
        check.checker() == who.id(),
        check.askedBy() == null ? null : name(names, check.askedBy()),
        check.asked(),
        check.checked());
  }

  private static String name(Map<Integer, String> names, int membership) {
    return names.getOrDefault(membership, "a former member");
  }

  /** What stands beside some revisions, read at once. */
  private final class Reading {
    private final Member who;
    private final Map<Integer, String> names;
    private final Map<Integer, Integer> numbers;
    private final Map<Integer, List<RevisingMapper.Check>> checks;
    private final Map<Integer, List<RevisingMapper.Remark>> remarks;

    Reading(Member who, List<Revisions.Revision> all) {
      this.who = who;
      Integer[] rows = all.stream().map(Revisions.Revision::row).toArray(Integer[]::new);
      names = groups.names(who.group());
      numbers = all.stream().collect(Collectors.toMap(Revisions.Revision::row, r -> r.n()));
      checks =
          mapper.checks(rows).stream()
              .collect(Collectors.groupingBy(RevisingMapper.Check::revision));
      remarks =
          mapper.remarks(rows).stream()
              .collect(Collectors.groupingBy(RevisingMapper.Remark::revision));
    }

    String name(int membership) {
      return Histories.name(names, membership);
    }

    RevisionShown shown(Revisions.Revision revision) {
      List<LineOfRevision> lines =
          revision.strategy().strategy().lines().stream()
              .map(
                  line ->
                      new LineOfRevision(
                          line.id(),
                          Sentence.ofLine(line, held -> shelves.title(who.group(), held)),
                          line.off(),
                          remarks(revision, line.id())))
              .toList();
      return new RevisionShown(
          revision.n(),
          revision.strategy(),
          lines,
          revision.count(),
          revision.gained(),
          revision.lost(),
          revision.comment(),
          name(revision.membership()),
          revision.membership() == who.id(),
          revision.at(),
          checks.getOrDefault(revision.row(), List.of()).stream()
              .map(check -> check(who, names, check))
              .toList());
    }

    private List<RemarkShown> remarks(Revisions.Revision revision, String line) {
      return remarks.getOrDefault(revision.row(), List.of()).stream()
          .filter(remark -> remark.line().equals(line))
          .map(remark -> new RemarkShown(name(remark.membership()), remark.text(), remark.at()))
          .toList();
    }

    List<RunShown> runs() {
      return mapper.runs(numbers.keySet().toArray(Integer[]::new)).stream()
          .map(
              run ->
                  new RunShown(
                      numbers.get(run.revision()), name(run.membership()), run.count(), run.at()))
          .toList();
    }
  }
}
