package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoable;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Alerts pause, go on, change and end; arrivals and marks stay (rules N6, N10). A saved search ends
 * together with its alert.
 */
@Service
public class AlertChanges implements Undoable {
  private static final String STATE = "alert.state";
  private static final String CHANGE = "alert.change";
  private static final String END_SEARCH = "search.end";
  private static final int MOST_LAMPS = 20;
  private final AlertMapper mapper;
  private final Alerts alerts;
  private final SavedSearches searches;
  private final Folders folders;
  private final Rounds rounds;
  private final Publications publications;
  private final Harvests harvests;
  private final Matching matching;
  private final IndexKeeper index;
  private final Commands commands;
  private final Calendar calendar;
  private final Json json;

  /**
   * What a member chooses of an alert.
   *
   * @param hour at which its rounds close, in the group's zone
   * @param asked lit lamps that cover an arrival
   * @param folder that keeps go into
   */
  public record AlertChosen(String rhythm, LocalTime hour, int asked, String folder) {}

  /** A saved search that ended; {@code alert}: one that ended with it. */
  public record SearchEnded(String id, String name, @Nullable String alert) {}

  record StateBefore(int alert, String state) {}

  record ChosenBefore(int alert, AlertMapper.Chosen chosen) {}

  /** {@code state}: of its alert before, if it had one. */
  record SearchBefore(String search, @Nullable Integer alert, @Nullable String state) {}

  AlertChanges(
      AlertMapper mapper,
      Alerts alerts,
      SavedSearches searches,
      Folders folders,
      Rounds rounds,
      Publications publications,
      Harvests harvests,
      Matching matching,
      IndexKeeper index,
      Commands commands,
      Calendar calendar,
      Json json) {
    this.mapper = mapper;
    this.alerts = alerts;
    this.searches = searches;
    this.folders = folders;
    this.rounds = rounds;
    this.publications = publications;
    this.harvests = harvests;
    this.matching = matching;
    this.index = index;
    this.commands = commands;
    this.calendar = calendar;
    this.json = json;
  }

  /** Looks no more until it goes on; the round that gathers waits. */
  @Transactional
  public Alerts.AlertLine pause(Member who, UUID command, String pid) {
    return to(who, command, pid, "paused", List.of("watching"), true);
  }

  /** Goes on; {@code gap}: what came in the pause is found, too. */
  @Transactional
  public Alerts.AlertLine resume(Member who, UUID command, String pid, boolean gap) {
    return to(who, command, pid, "watching", List.of("paused"), gap);
  }

  /** Ends it: its round closes, its feeds are gone, its arrivals stay. */
  @Transactional
  public Alerts.AlertLine end(Member who, UUID command, String pid) {
    return to(who, command, pid, "ended", List.of("watching", "paused"), true);
  }

  private Alerts.AlertLine to(
      Member who, UUID command, String pid, String state, List<String> from, boolean gap) {
    int id = alerts.id(who, pid);
    return commands.run(
        who,
        command,
        STATE,
        Alerts.AlertLine.class,
        () -> {
          AlertMapper.Row alert = mapper.lock(id);
          if (!from.contains(alert.state())) {
            throw Refusal.conflict("changed-since", "The alert is " + alert.state() + " already.");
          }
          set(alert, state);
          if (!gap) {
            passOver(alert);
          }
          return new Done<>(
              subject(pid),
              new StateBefore(gap ? id : -1, alert.state()),
              Map.of("state", state),
              Alerts.line(alerts.get(who, pid)));
        });
  }

  private static String subject(String alert) {
    return "alert:" + alert;
  }

  private void set(AlertMapper.Row alert, String state) {
    Instant now = calendar.now();
    boolean ends = state.equals("ended");
    if (ends) {
      rounds.close(rounds.openRound(alert.id()), now);
    } else if (alert.state().equals("ended")) {
      rounds.open(alert.id(), now, next(alert, now));
    } else if (state.equals("watching")) {
      rounds.reschedule(alert.id(), next(alert, now));
    }
    mapper.setState(alert.id(), state, ends ? now : null);
  }

  private static @Nullable Instant next(AlertMapper.Row alert, Instant now) {
    return Rhythm.of(alert.rhythm())
        .nextClosing(now, ZoneId.of(alert.zone()), alert.hour())
        .orElse(null);
  }

  /** Remembers all that matches now, and announces nothing of it. */
  private void passOver(AlertMapper.Row alert) {
    long upTo = harvests.settled();
    Strategy strategy = json.read(alert.strategy(), StrategyBody.class).strategy();
    try (Snapshot snapshot = index.snapshot(publications.latest())) {
      Matching.Look look = matching.look(snapshot, alert.grp(), ZoneId.of(alert.zone()));
      Memory memory = Memory.read(alert.memory()).with(snapshot.all(look.compile(strategy)));
      mapper.remember(alert.id(), memory.bytes(), Math.max(upTo, alert.number()), calendar.now());
    }
  }

  /** Changes what a member may choose. */
  @Transactional
  public Alerts.AlertLine change(Member who, UUID command, String pid, AlertChosen wanted) {
    Rhythm rhythm = Alerts.rhythm(wanted.rhythm());
    if (wanted.asked() < 1 || wanted.asked() > MOST_LAMPS) {
      throw Refusal.unusable("asked", "Between 1 and " + MOST_LAMPS + " lamps can be asked for.");
    }
    if (wanted.hour() == null) {
      throw Refusal.unusable("hour", "An hour is needed, as 05:00.");
    }
    if (folders.isPile(who, wanted.folder())) {
      throw Refusal.unusable("pile", "What an alert keeps is the group's: choose a shared folder.");
    }
    int id = alerts.id(who, pid);
    AlertMapper.Chosen chosen =
        new AlertMapper.Chosen(
            rhythm.text(), wanted.hour(), wanted.asked(), folders.id(who, wanted.folder()));
    return commands.run(
        who,
        command,
        CHANGE,
        Alerts.AlertLine.class,
        () -> {
          AlertMapper.Chosen before = mapper.chosen(id);
          choose(id, chosen);
          return new Done<>(
              subject(pid),
              new ChosenBefore(id, before),
              Map.of("rhythm", chosen.rhythm()),
              Alerts.line(alerts.get(who, pid)));
        });
  }

  private void choose(int id, AlertMapper.Chosen chosen) {
    mapper.lock(id);
    mapper.choose(id, chosen);
    AlertMapper.Row alert = mapper.lock(id);
    if (!alert.state().equals("ended")) {
      rounds.reschedule(id, next(alert, calendar.now()));
    }
    rounds.countAll(id);
  }

  /** Ends a saved search, and with it the alert that watches it. */
  @Transactional
  public SearchEnded endSearch(Member who, UUID command, String search) {
    String name = searches.get(who, search).name();
    return commands.run(
        who, command, END_SEARCH, SearchEnded.class, () -> endedSearch(who, search, name));
  }

  private Done<SearchEnded> endedSearch(Member who, String search, String name) {
    String watching = searches.get(who, search).alert();
    Integer id = watching == null ? null : alerts.id(who, watching);
    AlertMapper.Row alert = id == null ? null : mapper.lock(id);
    if (alert != null) {
      set(alert, "ended");
    }
    searches.end(search);
    return new Done<>(
        List.of(SavedSearches.subject(search)),
        new SearchBefore(search, id, alert == null ? null : alert.state()),
        Map.of("name", name),
        new SearchEnded(search, name, watching));
  }

  @Override
  public List<Undoer<?>> undoers() {
    return List.of(
        new Undoer<>(STATE, StateBefore.class, (who, command, before) -> back(before)),
        new Undoer<>(CHANGE, ChosenBefore.class, (who, command, before) -> back(before)),
        new Undoer<>(END_SEARCH, SearchBefore.class, (who, command, before) -> back(before)));
  }

  private String back(StateBefore before) {
    if (before.alert() < 0) {
      throw Refusal.conflict("cannot-be-undone", "What came in the pause is passed over for good.");
    }
    set(mapper.lock(before.alert()), before.state());
    return "";
  }

  private String back(ChosenBefore before) {
    choose(before.alert(), before.chosen());
    return "";
  }

  private String back(SearchBefore before) {
    searches.bringBack(before.search());
    if (before.alert() != null) {
      set(mapper.lock(before.alert()), before.state());
    }
    return "";
  }
}
