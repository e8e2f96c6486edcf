package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.arrival.Arrivals;
import org.quietlantern.server.arrival.RoundLine;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Saved searches that are being watched. */
@Service
public class Alerts implements Undoer {
  private static final LocalTime HOUR = LocalTime.of(5, 0);
  private static final int ROUNDS_SHOWN = 12;
  private final AlertMapper mapper;
  private final SavedSearches searches;
  private final Rounds rounds;
  private final Arrivals arrivals;
  private final Publications publications;
  private final Matching matching;
  private final IndexKeeper index;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /**
   * An alert in a list.
   *
   * @param rhythm {@code at-once}, {@code daily}, {@code weekly:MONDAY,...} or {@code monthly:31}
   * @param nextCloses when the round that gathers now will close; none for <i>at once</i>
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
      @Nullable Instant nextCloses) {}

  /**
   * An alert with its last closed rounds, newest first; empty ones were checked and had nothing.
   */
  public record AlertView(AlertLine alert, List<RoundLine> rounds) {}

  /** An alert just set, and how many publications it remembers as being there already. */
  public record AlertSet(String id, String name, int baseline) {}

  Alerts(
      AlertMapper mapper,
      SavedSearches searches,
      Rounds rounds,
      Arrivals arrivals,
      Publications publications,
      Matching matching,
      IndexKeeper index,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.searches = searches;
    this.rounds = rounds;
    this.arrivals = arrivals;
    this.publications = publications;
    this.matching = matching;
    this.index = index;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  @Transactional(readOnly = true)
  public List<AlertLine> list(Member who) {
    return mapper.list(who.group()).stream().map(Alerts::line).toList();
  }

  @Transactional(readOnly = true)
  public AlertView view(Member who, String pid) {
    AlertMapper.Line line = get(who, pid);
    return new AlertView(line(line), arrivals.closedRounds(who, line.id(), ROUNDS_SHOWN));
  }

  /** Row number of an alert of the member's group. */
  @Transactional(readOnly = true)
  public int id(Member who, String pid) {
    return get(who, pid).id();
  }

  /** Public id of the group that an alert belongs to. */
  @Transactional(readOnly = true)
  public Optional<String> groupOf(String pid) {
    return Optional.ofNullable(mapper.groupOf(pid));
  }

  private AlertMapper.Line get(Member who, String pid) {
    return Optional.ofNullable(mapper.find(who.group(), pid)).orElseThrow(Refusal::unknown);
  }

  /** Watches a saved search from now on: what exists already is remembered and announced never. */
  @Transactional
  public AlertSet set(Member who, UUID command, String search, String rhythmText) {
    Rhythm rhythm = rhythm(rhythmText);
    SavedSearches.Watched watched = searches.watched(who, search);
    Watchable.require(watched.strategy());
    return commands.run(who, command, what(), AlertSet.class, () -> make(who, watched, rhythm));
  }

  private static Rhythm rhythm(String text) {
    try {
      return Rhythm.of(text);
    } catch (IllegalArgumentException unknown) {
      throw Refusal.unusable("rhythm", "There is no such rhythm: " + text);
    }
  }

  private Done<AlertSet> make(Member who, SavedSearches.Watched watched, Rhythm rhythm) {
    String pid = ids.next();
    Instant now = calendar.now();
    try (Snapshot snapshot = index.snapshot(publications.latest())) {
      Compiled.Ready ready =
          matching.look(snapshot, who.group(), who.zoneId()).compile(watched.strategy());
      Memory baseline = Memory.of(snapshot.all(ready));
      Integer id =
          mapper.add(
              pid,
              who.group(),
              watched.revision(),
              watched.folder(),
              rhythm.text(),
              HOUR,
              snapshot.number(),
              baseline.bytes(),
              who.id(),
              now);
      if (id == null) {
        throw Refusal.conflict("alert-there", "This saved search has an alert already.");
      }
      rounds.open(id, now, rhythm.nextClosing(now, who.zoneId(), HOUR).orElse(null));
      return new Done<>(
          SavedSearches.subject(watched.pid()),
          Map.of("alert", pid),
          Map.of("rhythm", rhythm.text()),
          new AlertSet(pid, watched.name(), baseline.size()));
    }
  }

  private static AlertLine line(AlertMapper.Line line) {
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
        line.nextCloses());
  }

  @Override
  public String what() {
    return "alert.set";
  }

  @Override
  public String undo(
      Member who, UUID command, Map<String, Object> before, Map<String, Object> after) {
    int id = mapper.id((String) before.get("alert"));
    if (mapper.findings(id) > 0) {
      throw Refusal.conflict("changed-since", "The alert has found something, so it stays.");
    }
    mapper.removeRounds(id);
    mapper.remove(id);
    return "";
  }
}
