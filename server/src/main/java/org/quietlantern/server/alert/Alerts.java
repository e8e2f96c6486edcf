package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.core.watch.Tells;
import org.quietlantern.server.arrival.Arrivals;
import org.quietlantern.server.arrival.RoundLine;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Saved searches that are being watched. */
@Service
public class Alerts {
  private static final int ROUNDS_SHOWN = 12;
  private static final int RUNS_SHOWN = 20;
  private static final int WORKS_SHOWN = 10;
  private final AlertMapper mapper;
  private final ComparisonMapper comparisons;
  private final SavedSearches searches;
  private final Sources sources;
  private final Publications publications;
  private final Arrivals arrivals;
  private final Matching matching;

  /**
   * An alert in a list.
   *
   * @param rhythm {@code at-once}, {@code daily}, {@code weekly:MONDAY,...} or {@code monthly:31}
   * @param state {@code watching}, {@code paused} or {@code ended}
   * @param covers {@code mark}, {@code verdict} or {@code apart}
   * @param tells {@code new} or {@code changes}
   * @param tellsWidened whether what headings, holdings or the calendar widen comes into a round
   * @param nextCloses when the round that gathers now will close; none for <i>at once</i>
   * @param ran when it last looked, if it has
   * @param setAside records that it could not deal with
   * @param failed why its last run failed; none where it went well
   */
  public record AlertLine(
      String id,
      String name,
      String search,
      Folders.FolderName folder,
      String rhythm,
      LocalTime hour,
      String state,
      int asked,
      String covers,
      boolean tellsWidened,
      String tells,
      String by,
      Instant at,
      int findings,
      @Nullable Instant nextCloses,
      @Nullable Instant ran,
      int setAside,
      @Nullable String failed) {}

  /**
   * A run.
   *
   * @param millis how long it took with the others that ran together with it; 0: hardly any time
   * @param sources whose harvests had ended since the run before
   * @param error why it failed; empty where it went well
   */
  public record AlertRunShown(
      Instant at, int found, int millis, List<String> sources, String error) {}

  /**
   * What the search found and the alert did not remember, though no record had changed.
   *
   * @param missed whether it ought to have been found before; else it came by one of the causes
   * @param causes {@code headings}, {@code holdings}, {@code journals}, {@code calendar}, {@code
   *     citations} or {@code texts}
   * @param remembered how many the alert remembered; {@code found}: how many its search found
   * @param count what was in the one set only
   * @param first of those, at most ten
   */
  public record FoundBesides(
      int id,
      Instant at,
      boolean missed,
      List<String> causes,
      int remembered,
      int found,
      int count,
      List<WorkTitled> first) {}

  /** {@code more}: whether there are earlier ones. */
  public record DifferencesPage(List<FoundBesides> differences, boolean more) {}

  /** A record that the alert could not deal with. */
  public record SetAsideShown(String id, String title, String why, Instant at) {}

  /**
   * An alert with its last closed rounds and runs, newest first.
   *
   * @param rounds the last twelve; empty ones were checked and had nothing
   * @param runs the last twenty
   * @param notes what became of headings that it asks for
   */
  public record AlertView(
      AlertLine alert,
      List<RoundLine> rounds,
      List<AlertRunShown> runs,
      List<SetAsideShown> setAside,
      List<String> notes) {}

  Alerts(
      AlertMapper mapper,
      ComparisonMapper comparisons,
      SavedSearches searches,
      Sources sources,
      Publications publications,
      Arrivals arrivals,
      Matching matching) {
    this.mapper = mapper;
    this.comparisons = comparisons;
    this.searches = searches;
    this.sources = sources;
    this.publications = publications;
    this.arrivals = arrivals;
    this.matching = matching;
  }

  @Transactional(readOnly = true)
  public List<AlertLine> list(Member who) {
    return mapper.list(who.group()).stream().map(Alerts::line).toList();
  }

  public AlertView view(Member who, String pid) {
    AlertMapper.Line line = get(who, pid);
    Map<Integer, String> names = sources.namesByRow();
    return new AlertView(
        line(line),
        arrivals.closedRounds(who, line.id(), ROUNDS_SHOWN),
        mapper.runs(line.id(), RUNS_SHOWN).stream().map(run -> shown(run, names)).toList(),
        mapper.setAside(line.id()).stream()
            .map(row -> new SetAsideShown(row.pid(), row.title(), row.why(), row.at()))
            .toList(),
        line.state().equals("ended")
            ? List.of()
            : matching.fates(who, searches.watched(who, line.search()).strategy()));
  }

  /** {@code before}: the last of the page before; absent: from the latest. */
  public DifferencesPage differences(Member who, String pid, @Nullable Integer before) {
    Page<ComparisonMapper.Difference> page =
        Page.of(
            comparisons.differences(
                get(who, pid).id(), before == null ? Integer.MAX_VALUE : before, RUNS_SHOWN + 1),
            RUNS_SHOWN);
    Map<Integer, WorkTitled> titles =
        publications.titles(
            Viewer.of(who),
            page.rows().stream().flatMap(row -> first(row).stream()).distinct().toList());
    return new DifferencesPage(
        page.rows().stream()
            .map(
                row ->
                    new FoundBesides(
                        row.id(),
                        row.at(),
                        row.missed(),
                        List.of(row.causes()),
                        row.remembered(),
                        row.found(),
                        row.works().length,
                        first(row).stream().filter(titles::containsKey).map(titles::get).toList()))
            .toList(),
        page.more());
  }

  private static List<Integer> first(ComparisonMapper.Difference row) {
    return Arrays.stream(row.works()).limit(WORKS_SHOWN).toList();
  }

  private static AlertRunShown shown(AlertMapper.Run run, Map<Integer, String> names) {
    return new AlertRunShown(
        run.at(),
        run.found(),
        run.millis(),
        Arrays.stream(run.sources()).map(id -> names.getOrDefault(id, "")).toList(),
        run.error());
  }

  /** Row number of an alert of the member's group. */
  @Transactional(readOnly = true)
  public int id(Member who, String pid) {
    return get(who, pid).id();
  }

  /** Names of alerts of the group, by public id. */
  @Transactional(readOnly = true)
  public Map<String, String> names(Member who, Collection<String> alerts) {
    return mapper.names(who.group(), alerts.toArray(String[]::new)).stream()
        .collect(Collectors.toMap(AlertMapper.Named::pid, AlertMapper.Named::name));
  }

  /** Public id of the group that an alert belongs to. */
  @Transactional(readOnly = true)
  public Optional<String> groupOf(String pid) {
    return Optional.ofNullable(mapper.groupOf(pid));
  }

  AlertMapper.Line get(Member who, String pid) {
    return Optional.ofNullable(mapper.find(who.group(), pid)).orElseThrow(Refusal::unknown);
  }

  static Rhythm rhythm(String text) {
    try {
      return Rhythm.of(text);
    } catch (IllegalArgumentException unknown) {
      throw Refusal.unusable("rhythm", "There is no such rhythm: " + text);
    }
  }

  /** What is new, where nothing is said. */
  static Tells tells(@Nullable String text) {
    return text == null
        ? Tells.NEW
        : Tells.named(text)
            .orElseThrow(
                () -> Refusal.unusable("tells", "An alert tells what is new, or what changes."));
  }

  static AlertLine line(AlertMapper.Line line) {
    return new AlertLine(
        line.pid(),
        line.name(),
        line.search(),
        new Folders.FolderName(line.folderPid(), line.folderName()),
        line.rhythm(),
        line.hour(),
        line.state(),
        line.asked(),
        line.covers(),
        line.tellsWidened(),
        line.tells(),
        line.by(),
        line.at(),
        line.findings(),
        line.nextCloses(),
        line.ran(),
        line.setAside(),
        line.failed() == null || line.failed().isEmpty() ? null : line.failed());
  }
}
