package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.arrival.Arrivals;
import org.quietlantern.server.arrival.RoundLine;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Saved searches that are being watched. */
@Service
public class Alerts implements CommandKinds {
  private static final LocalTime HOUR = LocalTime.of(5, 0);
  private static final int ROUNDS_SHOWN = 12;
  private static final int RUNS_SHOWN = 20;
  private final AlertMapper mapper;
  private final SavedSearches searches;
  private final Folders folders;
  private final Sources sources;
  private final Rounds rounds;
  private final Arrivals arrivals;
  private final Publications publications;
  private final Matching matching;
  private final Watchable watchable;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  private final CommandKind<AlertSet, Before> set =
      new CommandKind<>("alert.set", AlertSet.class, Before.class, this::takeBack);

  /**
   * An alert in a list.
   *
   * @param rhythm {@code at-once}, {@code daily}, {@code weekly:MONDAY,...} or {@code monthly:31}
   * @param state {@code watching}, {@code paused} or {@code ended}
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
      String by,
      Instant at,
      int findings,
      @Nullable Instant nextCloses,
      @Nullable Instant ran,
      int setAside,
      @Nullable String failed) {}

  record Before(String alert) {}

  /**
   * A run.
   *
   * @param sources whose harvests had ended since the run before
   * @param error why it failed; empty where it went well
   */
  public record AlertRunShown(Instant at, int found, List<String> sources, String error) {}

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

  /** An alert just set, and how many publications it remembers as being there already. */
  public record AlertSet(String id, String name, int baseline) {}

  Alerts(
      AlertMapper mapper,
      SavedSearches searches,
      Folders folders,
      Sources sources,
      Rounds rounds,
      Arrivals arrivals,
      Publications publications,
      Matching matching,
      Watchable watchable,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.searches = searches;
    this.folders = folders;
    this.sources = sources;
    this.rounds = rounds;
    this.arrivals = arrivals;
    this.publications = publications;
    this.matching = matching;
    this.watchable = watchable;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
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

  private static AlertRunShown shown(AlertMapper.Run run, Map<Integer, String> names) {
    return new AlertRunShown(
        run.at(),
        run.found(),
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

  /** Watches a saved search from now on: what exists already is remembered and announced never. */
  public AlertSet set(Member who, UUID command, String search, String rhythmText) {
    Rhythm rhythm = rhythm(rhythmText);
    return commands.run(
        who,
        command,
        set,
        () -> baseline(who, searches.watched(who, search)),
        baseline -> make(who, baseline, rhythm));
  }

  /** What a search that shall be watched found at a number of the catalogue. */
  private record Baseline(SavedSearches.Watched watched, long number, Memory memory) {}

  private Baseline baseline(Member who, SavedSearches.Watched watched) {
    watchable.require(who.group(), watched.strategy());
    return matching.look(
        who,
        publications.latest(),
        look ->
            new Baseline(
                watched,
                look.snapshot().number(),
                Memory.of(look.snapshot().all(look.compile(watched.strategy())))));
  }

  static Rhythm rhythm(String text) {
    try {
      return Rhythm.of(text);
    } catch (IllegalArgumentException unknown) {
      throw Refusal.unusable("rhythm", "There is no such rhythm: " + text);
    }
  }

  private CommandResult<AlertSet, Before> make(Member who, Baseline baseline, Rhythm rhythm) {
    SavedSearches.Watched watched = searches.watched(who, baseline.watched().pid());
    if (watched.revision() != baseline.watched().revision()) {
      throw Refusal.conflict(
          "changed-since", "The saved search was just changed. Look at it again.");
    }
    String pid = ids.next();
    Instant now = calendar.now();
    Integer id =
        mapper.add(
            new AlertMapper.NewAlert(
                pid,
                who.group(),
                watched.revision(),
                watched.folder(),
                rhythm.text(),
                HOUR,
                baseline.number(),
                baseline.memory().bytes(),
                who.id(),
                now));
    folders.refuseUnseen(who.group());
    if (id == null) {
      throw Refusal.conflict("alert-there", "This saved search has an alert already.");
    }
    rounds.open(id, now, rhythm.nextClosing(now, who.zoneId(), HOUR).orElse(null));
    return CommandResult.of(
            new AlertSet(pid, watched.name(), baseline.memory().size()), new Before(pid))
        .changing(Subject.Of.SEARCH, watched.pid())
        .about(Subject.Of.ALERT, List.of(pid));
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
        line.by(),
        line.at(),
        line.findings(),
        line.nextCloses(),
        line.ran(),
        line.setAside(),
        line.failed() == null || line.failed().isEmpty() ? null : line.failed());
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(set);
  }

  private String takeBack(Member who, UUID command, Before before) {
    int id = mapper.id(before.alert());
    if (mapper.findings(id) > 0) {
      throw Refusal.conflict("changed-since", "The alert has found something, so it stays.");
    }
    if (mapper.feeds(id) > 0) {
      throw Refusal.conflict(
          "changed-since", "Somebody follows the alert by a feed, so it stays. It can be ended.");
    }
    mapper.removeRounds(id);
    mapper.remove(id);
    return "";
  }
}
