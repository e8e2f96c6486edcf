package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.review.Covers;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;

/**
 * Alerts pause, go on, change and end; arrivals and marks stay (rules N6, N10). A saved search ends
 * together with its alert.
 */
@Service
public class AlertChanges implements CommandKinds {
  private static final int MOST_LAMPS = 20;

  /** From which states an alert gets into another one. */
  private static final Map<String, List<String>> FROM =
      Map.of(
          "paused", List.of("watching"),
          "watching", List.of("paused"),
          "ended", List.of("watching", "paused"));

  private final AlertMapper mapper;
  private final Alerts alerts;
  private final SavedSearches searches;
  private final Folders folders;
  private final Rounds rounds;
  private final Harvests harvests;
  private final Following following;
  private final Commands commands;
  private final Calendar calendar;

  private final CommandKind<Alerts.AlertLine, StateBefore> to =
      new CommandKind<>("alert.state", Alerts.AlertLine.class, StateBefore.class, this::back);

  private final CommandKind<Alerts.AlertLine, ChosenBefore> change =
      new CommandKind<>("alert.change", Alerts.AlertLine.class, ChosenBefore.class, this::back);

  private final CommandKind<SearchEnded, SearchBefore> endSearch =
      new CommandKind<>("search.end", SearchEnded.class, SearchBefore.class, this::back);

  /**
   * What a member chooses of an alert.
   *
   * @param hour at which its rounds close, in the group's zone
   * @param asked how many marks cover an arrival
   * @param covers which marks: {@code mark} (any), {@code verdict} (a keep or a pass) or {@code
   *     apart} (verdicts that are read by others when all are there); absent: any
   * @param folder that keeps go into
   * @param tellsWidened whether what headings, holdings or the calendar widen comes into a round;
   *     absent: it does not
   */
  public record AlertChosen(
      String rhythm,
      LocalTime hour,
      int asked,
      String folder,
      @Nullable Boolean tellsWidened,
      @Nullable String covers) {}

  /** A saved search that ended; {@code alert}: one that ended with it. */
  public record SearchEnded(String id, String name, @Nullable String alert) {}

  /** {@code gathering}: as it was; unknown to actions of former versions. */
  record StateBefore(int alert, String state, @Nullable Rounds.Gathering gathering) {}

  record ChosenBefore(int alert, AlertMapper.Chosen chosen) {}

  /** {@code state}: of its alert before, if it had one. */
  record SearchBefore(
      String search,
      @Nullable Integer alert,
      @Nullable String state,
      @Nullable Rounds.Gathering gathering) {}

  AlertChanges(
      AlertMapper mapper,
      Alerts alerts,
      SavedSearches searches,
      Folders folders,
      Rounds rounds,
      Harvests harvests,
      Following following,
      Commands commands,
      Calendar calendar) {
    this.mapper = mapper;
    this.alerts = alerts;
    this.searches = searches;
    this.folders = folders;
    this.rounds = rounds;
    this.harvests = harvests;
    this.following = following;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** Looks no more until it goes on; the round that gathers waits. */
  public Alerts.AlertLine pause(Member who, UUID command, String pid) {
    return commands.run(who, command, to, () -> to(who, pid, "paused", null));
  }

  /** Goes on; {@code gap}: what came in the pause is found, too. */
  public Alerts.AlertLine resume(Member who, UUID command, String pid, boolean gap) {
    return gap
        ? commands.run(who, command, to, () -> to(who, pid, "watching", null))
        : commands.run(
            who,
            command,
            to,
            () -> following.foundNow(who, mapper.byId(alerts.id(who, pid))),
            found -> to(who, pid, "watching", found));
  }

  /** Ends it: its round closes, its feeds are gone, its arrivals stay. */
  public Alerts.AlertLine end(Member who, UUID command, String pid) {
    return commands.run(who, command, to, () -> to(who, pid, "ended", null));
  }

  /** {@code passedOver}: what is not announced any more. */
  private CommandResult<Alerts.AlertLine, StateBefore> to(
      Member who, String pid, String state, @Nullable RoaringBitmap passedOver) {
    int id = alerts.id(who, pid);
    AlertMapper.Row alert = mapper.lock(id);
    if (!FROM.get(state).contains(alert.state())) {
      throw Refusal.conflict("changed-since", "The alert is " + alert.state() + " already.");
    }
    Rounds.Gathering gathering = rounds.gathering(id);
    set(alert, state);
    if (passedOver != null) {
      passOver(alert, passedOver);
    }
    return CommandResult.of(
            Alerts.line(alerts.get(who, pid)),
            new StateBefore(passedOver == null ? id : -1, alert.state(), gathering))
        .differing(Aspect.STATE, alert.state(), state)
        .changing(Subject.Of.ALERT, pid);
  }

  private void set(AlertMapper.Row alert, String state) {
    Instant now = calendar.now();
    boolean ends = state.equals("ended");
    if (ends) {
      rounds.close(rounds.gathering(alert.id()).round(), now);
    } else if (alert.state().equals("ended")) {
      rounds.open(alert.id(), now, alert.nextClosing(now));
    } else if (state.equals("watching")) {
      rounds.reschedule(alert.id(), alert.nextClosing(now));
    }
    mapper.setState(alert.id(), state, ends ? now : null);
  }

  /** Remembers what matched, and announces nothing of it. */
  private void passOver(AlertMapper.Row alert, RoaringBitmap found) {
    Memory memory = Memory.read(alert.memory()).with(found);
    long upTo = Math.max(harvests.settled(), alert.number());
    Integer[] one = {alert.id()};
    mapper.remember(one, new String[] {memory.text()}, upTo, one, calendar.now());
  }

  /** Changes what a member may choose. */
  public Alerts.AlertLine change(Member who, UUID command, String pid, AlertChosen wanted) {
    return commands.run(who, command, change, () -> changed(who, pid, wanted));
  }

  private CommandResult<Alerts.AlertLine, ChosenBefore> changed(
      Member who, String pid, AlertChosen wanted) {
    Rhythm rhythm = Alerts.rhythm(wanted.rhythm());
    requireLamps(wanted.asked());
    if (wanted.hour() == null) {
      throw Refusal.unusable("hour", "An hour is needed, as 05:00.");
    }
    int id = alerts.id(who, pid);
    AlertMapper.Chosen chosen =
        new AlertMapper.Chosen(
            rhythm.text(),
            wanted.hour(),
            wanted.asked(),
            covers(wanted.covers(), wanted.asked()).word(),
            folders.idToEdit(who, wanted.folder()),
            Boolean.TRUE.equals(wanted.tellsWidened()));
    AlertMapper.Chosen before = mapper.chosen(id);
    Alerts.AlertLine was = Alerts.line(alerts.get(who, pid));
    choose(id, chosen);
    folders.refuseUnseen(who.group());
    return CommandResult.of(Alerts.line(alerts.get(who, pid)), new ChosenBefore(id, before))
        .changing(Subject.Of.ALERT, pid)
        .differing(Aspect.RHYTHM, before.rhythm(), chosen.rhythm())
        .differing(Aspect.HOUR, before.hour(), chosen.hour())
        .differing(Aspect.LAMPS, before.asked(), chosen.asked())
        .differing(Aspect.COVERED_BY, before.covers(), chosen.covers())
        .differing(Aspect.WIDENED, before.tellsWidened(), chosen.tellsWidened())
        .differing(Aspect.KEPT_IN, was.folder().id(), wanted.folder());
  }

  /** Any mark, where nothing is said. */
  static Covers covers(@Nullable String wanted, int asked) {
    Covers covers =
        Covers.named(wanted == null ? Covers.MARK.word() : wanted)
            .orElseThrow(
                () ->
                    Refusal.unusable(
                        "covers",
                        "An arrival is covered by any mark, by verdicts, or by verdicts apart."));
    if (covers == Covers.APART && asked < 2) {
      throw Refusal.unusable("covers", "It takes at least two to decide apart.");
    }
    return covers;
  }

  static void requireLamps(int asked) {
    if (asked < 1 || asked > MOST_LAMPS) {
      throw Refusal.unusable("asked", "Between 1 and " + MOST_LAMPS + " lamps can be asked for.");
    }
  }

  private void choose(int id, AlertMapper.Chosen chosen) {
    mapper.lock(id);
    mapper.choose(id, chosen, calendar.now());
    AlertMapper.Row alert = mapper.lock(id);
    if (!alert.state().equals("ended")) {
      rounds.reschedule(id, alert.nextClosing(calendar.now()));
    }
    rounds.askedOtherwise(id, alert.grp());
  }

  /** Ends a saved search, and with it the alert that watches it. */
  public SearchEnded endSearch(Member who, UUID command, String search) {
    return commands.run(who, command, endSearch, () -> endedSearch(who, search));
  }

  private CommandResult<SearchEnded, SearchBefore> endedSearch(Member who, String search) {
    searches.requireEdit(who, search);
    String name = searches.get(who, search).name();
    String watching = searches.get(who, search).alert();
    Integer id = watching == null ? null : alerts.id(who, watching);
    AlertMapper.Row alert = id == null ? null : mapper.lock(id);
    Rounds.Gathering gathering = alert == null ? null : rounds.gathering(id);
    if (alert != null) {
      set(alert, "ended");
    }
    searches.end(search);
    return CommandResult.of(
            new SearchEnded(search, name, watching),
            new SearchBefore(search, id, alert == null ? null : alert.state(), gathering))
        .changing(Subject.Of.SEARCH, search)
        .about(Subject.Of.ALERT, watching == null ? List.of() : List.of(watching));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(to, change, endSearch);
  }

  private String back(Member who, UUID command, StateBefore before) {
    if (before.alert() < 0) {
      throw Refusal.conflict("cannot-be-undone", "What came in the pause is passed over for good.");
    }
    setBack(before.alert(), before.state(), before.gathering());
    folders.refuseUnseen(who.group());
    return "";
  }

  private void setBack(int alert, String state, @Nullable Rounds.Gathering gathering) {
    if (gathering == null) {
      set(mapper.lock(alert), state);
    } else {
      rounds.goOn(gathering);
      mapper.setState(alert, state, null);
    }
  }

  private String back(Member who, UUID command, ChosenBefore before) {
    folders.requireThere(before.chosen().folder());
    choose(before.alert(), before.chosen());
    folders.refuseUnseen(who.group());
    return "";
  }

  private String back(Member who, UUID command, SearchBefore before) {
    searches.bringBack(who, before.search());
    if (before.alert() != null) {
      setBack(before.alert(), before.state(), before.gathering());
    }
    return "";
  }
}
