package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.LocalTime;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.review.Covers;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.core.watch.Tells;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;

/**
 * Alerts are set on saved searches, also on one that is saved in the same act: quietly, or with
 * some months of the past as first round.
 */
@Service
public class AlertSetting implements CommandKinds {
  private static final LocalTime HOUR = LocalTime.of(5, 0);

  /** Works of the past that a first round may have: as many as a group looks at some time. */
  private static final int MOST_PAST = 500;

  private final AlertMapper mapper;
  private final SavedSearches searches;
  private final Folders folders;
  private final Rounds rounds;
  private final Publications publications;
  private final Matching matching;
  private final IndexKeeper index;
  private final Watchable watchable;
  private final Foreseeing foreseeing;
  private final Announcing announcing;
  private final Receivers receivers;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  private final CommandKind<AlertSet, Before> set =
      new CommandKind<>("alert.set", AlertSet.class, Before.class, this::takeBack);

  /**
   * What shall be watched, and how.
   *
   * @param search one that is saved already; absent where {@code saving} is there
   * @param saving what is saved first, in the folder that keeps go into
   * @param hour at which its rounds close, in the group's zone; absent: five in the morning
   * @param asked lit lamps that cover an arrival; absent: one
   * @param folder that keeps go into; absent: that of the saved search
   * @param tellsWidened whether what headings, holdings or the calendar widen comes into a round;
   *     absent: it goes quietly into memory
   * @param past what appeared in the last so many months, this one included, is its first round;
   *     absent: nothing of what is here
   * @param receivers members who get it by mail; absent: everybody
   * @param tells {@code new}, what is new to its search, or {@code changes}, what changes of that
   *     which it finds; absent: what is new
   * @param covers which marks cover an arrival: {@code mark} (any), {@code verdict} or {@code
   *     apart} (verdicts that others read when all are there); absent: any
   */
  public record AlertWanted(
      @Nullable String search,
      @Nullable SearchToSave saving,
      String rhythm,
      @Nullable LocalTime hour,
      @Nullable Integer asked,
      @Nullable String folder,
      @Nullable Boolean tellsWidened,
      @Nullable Integer past,
      @Nullable List<String> receivers,
      @Nullable String tells,
      @Nullable String covers) {
    /** In a rhythm, and all else as is usual. */
    public static AlertWanted of(String search, String rhythm) {
      return new AlertWanted(search, null, rhythm, null, null, null, null, null, null, null, null);
    }

    /** The same, and so many decide apart on what it finds. */
    public static AlertWanted apart(String search, String rhythm, int asked) {
      return new AlertWanted(
          search, null, rhythm, null, asked, null, null, null, null, null, Covers.APART.word());
    }
  }

  /** A search that is saved with its alert. */
  public record SearchToSave(String name, StrategyBody strategy) {}

  /**
   * An alert just set.
   *
   * @param tells {@code new} or {@code changes}
   * @param baseline how many publications it remembers as being there already
   * @param past how many of them its first round has
   */
  public record AlertSet(String id, String name, String tells, int baseline, int past) {}

  /**
   * @param past in its first round; unknown to actions of former versions
   * @param search that was saved with it
   */
  record Before(String alert, @Nullable Integer past, @Nullable String search) {}

  /**
   * What a search that shall be watched found at a number of the catalogue.
   *
   * @param revision of a search that is saved already
   * @param asOf names that state
   * @param past what of it is to be the first round
   */
  private record Baseline(
      Strategy strategy,
      Optional<Integer> revision,
      String asOf,
      long number,
      Memory memory,
      RoaringBitmap past) {}

  AlertSetting(
      AlertMapper mapper,
      SavedSearches searches,
      Folders folders,
      Rounds rounds,
      Publications publications,
      Matching matching,
      IndexKeeper index,
      Watchable watchable,
      Foreseeing foreseeing,
      Announcing announcing,
      Receivers receivers,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.searches = searches;
    this.folders = folders;
    this.rounds = rounds;
    this.publications = publications;
    this.matching = matching;
    this.index = index;
    this.watchable = watchable;
    this.foreseeing = foreseeing;
    this.announcing = announcing;
    this.receivers = receivers;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Watches a saved search from now on: what exists already is remembered. */
  public AlertSet set(Member who, UUID command, AlertWanted wanted) {
    Rhythm rhythm = Alerts.rhythm(wanted.rhythm());
    int asked = Objects.requireNonNullElse(wanted.asked(), 1);
    AlertChanges.requireLamps(asked);
    AlertChanges.covers(wanted.covers(), asked);
    int past = Objects.requireNonNullElse(wanted.past(), 0);
    if (past < 0 || past > Foreseeing.MONTHS) {
      throw Refusal.unusable("past", "The past of an alert is none to twelve months.");
    }
    Tells tells = tells(wanted.tells(), past);
    return commands.run(
        who,
        command,
        set,
        () -> baseline(who, wanted, past),
        baseline -> make(who, baseline, rhythm, asked, tells, wanted));
  }

  private static Tells tells(@Nullable String wanted, int past) {
    Tells tells = Alerts.tells(wanted);
    if (tells == Tells.CHANGES && past > 0) {
      throw Refusal.unusable("past", "An alert on changes begins with those to come.");
    }
    return tells;
  }

  private Baseline baseline(Member who, AlertWanted wanted, int months) {
    if (wanted.saving() != null) {
      return baseline(who, StrategyBody.of(wanted.saving().strategy()), Optional.empty(), months);
    }
    SavedSearches.Watched watched = saved(who, wanted.search());
    return baseline(who, watched.strategy(), Optional.of(watched.revision()), months);
  }

  private SavedSearches.Watched saved(Member who, @Nullable String search) {
    if (search == null) {
      throw Refusal.unusable(
          "search", "What shall be watched is needed: a saved search, or one to save.");
    }
    return searches.watched(who, search);
  }

  private Baseline baseline(Member who, Strategy strategy, Optional<Integer> revision, int months) {
    watchable.require(who.group(), strategy);
    return matching.look(
        who,
        publications.latest(),
        look -> {
          RoaringBitmap found = look.snapshot().all(look.compile(strategy));
          YearMonth last = YearMonth.from(calendar.today(who.zoneId()));
          RoaringBitmap past = new RoaringBitmap();
          foreseeing.byMonth(look, found, last, months).values().forEach(past::or);
          if (past.getCardinality() > MOST_PAST) {
            throw Refusal.unusable(
                "past",
                "%,d works are more than the %d that a first round has; choose fewer months."
                    .formatted(past.getCardinality(), MOST_PAST));
          }
          return new Baseline(
              strategy, revision, look.asOf(), look.snapshot().number(), Memory.of(found), past);
        });
  }

  private SavedSearches.Watched watched(Member who, Baseline baseline, AlertWanted wanted) {
    if (baseline.revision().isEmpty()) {
      if (wanted.folder() == null) {
        throw Refusal.unusable("folder", "A folder is needed, to save the search in.");
      }
      SavedSearches.Found found =
          new SavedSearches.Found(
              wanted.saving().name(),
              baseline.strategy(),
              baseline.memory().size(),
              baseline.asOf());
      return searches.watched(who, searches.add(who, wanted.folder(), found));
    }
    SavedSearches.Watched watched = saved(who, wanted.search());
    if (watched.revision() != baseline.revision().get()) {
      throw Refusal.conflict(
          "changed-since", "The saved search was just changed. Look at it again.");
    }
    return watched;
  }

  private CommandResult<AlertSet, Before> make(
      Member who, Baseline baseline, Rhythm rhythm, int asked, Tells tells, AlertWanted wanted) {
    SavedSearches.Watched watched = watched(who, baseline, wanted);
    LocalTime hour = Objects.requireNonNullElse(wanted.hour(), HOUR);
    int folder =
        wanted.folder() == null ? watched.folder() : folders.idToEdit(who, wanted.folder());
    String pid = ids.next();
    Instant now = calendar.now();
    Integer id =
        mapper.add(
            new AlertMapper.NewAlert(
                pid,
                who.group(),
                watched.revision(),
                folder,
                rhythm.text(),
                hour,
                asked,
                AlertChanges.covers(wanted.covers(), asked).word(),
                Boolean.TRUE.equals(wanted.tellsWidened()),
                tells.word(),
                baseline.number(),
                baseline.memory().bytes(),
                who.id(),
                now));
    folders.refuseUnseen(who.group());
    if (id == null) {
      throw Refusal.conflict("alert-there", "This saved search has an alert already.");
    }
    receivers.choose(id, wanted.receivers());
    rounds.open(id, now, rhythm.nextClosing(now, who.zoneId(), hour).orElse(null));
    int past = tell(id, baseline);
    return CommandResult.of(
            new AlertSet(pid, watched.name(), tells.word(), baseline.memory().size(), past),
            new Before(pid, past, baseline.revision().isEmpty() ? watched.pid() : null))
        .changing(Subject.Of.SEARCH, watched.pid())
        .about(Subject.Of.ALERT, List.of(pid));
  }

  /** The past that was asked for, as first round. Answers how many stand in it. */
  private int tell(int id, Baseline baseline) {
    if (baseline.past().isEmpty()) {
      return 0;
    }
    AlertMapper.Row alert = mapper.byId(id);
    try (var snapshot = index.snapshot(new Viewer(alert.grp()), baseline.number())) {
      Matching.Look look = matching.look(snapshot, alert.grp(), ZoneId.of(alert.zone()));
      RoaringBitmap aside =
          announcing.announce(Announcing.past(alert, look, baseline.strategy(), baseline.past()));
      rounds.count(List.of(alert.id()));
      return baseline.past().getCardinality() - aside.getCardinality();
    }
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(set);
  }

  private String takeBack(Member who, UUID command, Before before) {
    int id = mapper.id(before.alert());
    int past = Objects.requireNonNullElse(before.past(), 0);
    if (mapper.findings(id) > past || mapper.told(id)) {
      throw Refusal.conflict("changed-since", "The alert has found something, so it stays.");
    }
    if (rounds.isMarked(id)) {
      throw Refusal.conflict(
          "changed-since", "Somebody has looked at what it found, so it stays. It can be ended.");
    }
    if (mapper.feeds(id) > 0) {
      throw Refusal.conflict(
          "changed-since", "Somebody follows the alert by a feed, so it stays. It can be ended.");
    }
    rounds.takeBack(id);
    mapper.removeRounds(id);
    mapper.remove(id);
    if (before.search() != null) {
      searches.takeBack(before.search());
    }
    return "";
  }
}
