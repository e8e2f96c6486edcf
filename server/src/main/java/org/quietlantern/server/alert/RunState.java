package org.quietlantern.server.alert;

import java.time.Duration;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.CandidateSets;
import org.quietlantern.core.search.Candidates;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.search.TimeLimit;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.core.watch.Occasion;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.LanternProperties;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Component;

/**
 * One state of the catalogue in which alerts are run, or held against all that they find: what
 * changed is read, and looked up in the index, once for all of them. To be closed. For several
 * threads.
 */
final class RunState implements AutoCloseable {
  private static final int TIMES_A_SEARCH = 3;
  private final Parts parts;
  private final long upTo;
  private final Map<Integer, OfGroup> groups = new ConcurrentHashMap<>();
  private final Map<Long, ChangesSince> changes = new ConcurrentHashMap<>();
  private final Map<Long, RoaringBitmap> since = new ConcurrentHashMap<>();
  private final Map<Long, Again> comeAgain = new ConcurrentHashMap<>();
  private final Map<RoaringBitmap, Known> known = new ConcurrentHashMap<>();
  private final CandidateSets candidates = new CandidateSets();

  /** What it is made of. */
  @Component
  static final class Parts {
    private final AlertMapper mapper;
    private final Publications publications;
    private final Matching matching;
    private final IndexKeeper index;
    private final Json json;
    private final Duration searchTime;

    Parts(
        AlertMapper mapper,
        Publications publications,
        Matching matching,
        IndexKeeper index,
        Json json,
        LanternProperties properties) {
      this.mapper = mapper;
      this.publications = publications;
      this.matching = matching;
      this.index = index;
      this.json = json;
      this.searchTime = properties.searchTime();
    }

    /** {@code upTo}: a change at which the catalogue is at rest. */
    RunState open(long upTo) {
      return new RunState(this, upTo);
    }
  }

  /** What was merged into works, and which of them a group brought in itself. */
  private record Known(Map<Integer, List<Integer>> parts, Set<Integer> own) {
    RoaringBitmap without(Memory memory, RoaringBitmap news) {
      RoaringBitmap unknown = news.clone();
      news.forEach(
          (int work) -> {
            if (own.contains(work) || memory.remembersAny(parts.getOrDefault(work, List.of()))) {
              unknown.remove(work);
            }
          });
      return unknown;
    }
  }

  /** How a group sees it; what changed after a number is looked up once. */
  private record OfGroup(
      Snapshot snapshot,
      Matching.Look look,
      Map<Long, RoaringBitmap> touched,
      Map<Long, Candidates> candidates) {

    RoaringBitmap touched(RunState state, long after) {
      // Texts come without a change to their publications.
      return touched.computeIfAbsent(
          after,
          number ->
              RoaringBitmap.or(
                  state.changes(number).touched(), look.circumstances().texts().publications()));
    }

    Candidates candidates(RunState state, long after) {
      return candidates.computeIfAbsent(
          after, number -> state.candidates.of(snapshot, touched(state, number)));
    }

    Known known(RunState state, long after) {
      return state.known.computeIfAbsent(touched(state, after), state::known);
    }
  }

  /**
   * What a run sees.
   *
   * @param lookedAt what changed since, and what comes again for another reason
   * @param matches of those; {@code news}: what of the matches the alert does not know
   * @param again what it knows and is to be looked at, or told, again
   */
  record Seen(
      Strategy strategy,
      Matching.Look look,
      ChangesSince changes,
      RoaringBitmap lookedAt,
      RoaringBitmap matches,
      Memory memory,
      RoaringBitmap news,
      List<Publications.ComesAgain> again) {

    /** What could not be dealt with is neither found nor remembered. */
    void leave(RoaringBitmap aside) {
      matches.andNot(aside);
      news.andNot(aside);
    }

    /** Row numbers of works. */
    RoaringBitmap works() {
      RoaringBitmap works = news.clone();
      again.forEach(one -> works.add(one.work()));
      return works;
    }

    boolean tells() {
      return !news.isEmpty() || !again.isEmpty();
    }

    int found() {
      return news.getCardinality() + again.size();
    }
  }

  private RunState(Parts parts, long upTo) {
    this.parts = parts;
    this.upTo = upTo;
  }

  long upTo() {
    return upTo;
  }

  /** {@code again}: publications (row numbers) that are looked at although they did not change. */
  Seen seen(AlertMapper.Row alert, Collection<Integer> again) {
    OfGroup group = of(alert);
    Strategy strategy = strategy(alert);
    RoaringBitmap matches = matches(alert, strategy);
    RoaringBitmap lookedAt = group.touched(this, alert.number());
    if (!again.isEmpty()) {
      RoaringBitmap others = bitmap(again);
      lookedAt = RoaringBitmap.or(lookedAt, others);
      matches.or(inTime(() -> group.snapshot().among(group.look().compile(strategy), others)));
    }
    Memory memory = Memory.read(alert.memory());
    RoaringBitmap news = memory.news(matches);
    Known known = again.isEmpty() ? group.known(this, alert.number()) : known(news);
    return new Seen(
        strategy,
        group.look(),
        changes(alert.number()),
        lookedAt,
        matches,
        memory,
        alert.tellsChanges() ? new RoaringBitmap() : known.without(memory, news),
        again(alert, matches, memory));
  }

  /**
   * What comes again for an alert: of those that tell changes everything that its search finds, of
   * others what they found and their group has decided on, to review it (rule N3).
   */
  private List<Publications.ComesAgain> again(
      AlertMapper.Row alert, RoaringBitmap matches, Memory memory) {
    Again all = comeAgain.computeIfAbsent(alert.number(), this::comeAgain);
    return all.works().stream().filter(one -> all.isFor(alert, one, matches, memory)).toList();
  }

  private Again comeAgain(long after) {
    List<Publications.ComesAgain> works = parts.publications.comeAgain(after, upTo);
    if (works.isEmpty()) {
      return new Again(works, Set.of(), Map.of());
    }
    List<Integer> ids = works.stream().map(Publications.ComesAgain::work).distinct().toList();
    return new Again(
        works,
        Set.copyOf(parts.mapper.concerned(ids.toArray(Integer[]::new))),
        parts.publications.parts(ids));
  }

  /** What comes again, which groups have decided on it, and what was merged into it. */
  private record Again(
      List<Publications.ComesAgain> works,
      Set<AlertMapper.Concerned> concerned,
      Map<Integer, List<Integer>> parts) {

    boolean isFor(
        AlertMapper.Row alert, Publications.ComesAgain one, RoaringBitmap matches, Memory memory) {
      Occasion occasion = one.on().occasion();
      boolean known =
          memory.remembersAny(List.of(one.work()))
              || memory.remembersAny(parts.getOrDefault(one.work(), List.of()));
      if (alert.tellsChanges()) {
        // What no source supplies any more is found by nothing.
        return matches.contains(one.work()) || (occasion == Occasion.WITHDRAWN && known);
      }
      return occasion.isToReview()
          && known
          && concerned.contains(new AlertMapper.Concerned(one.work(), alert.grp()));
    }
  }

  /**
   * Which works an alert has to be run for: those that it finds of what changed and does not
   * remember, parts of works among them, and what comes again.
   */
  RoaringBitmap toRunFor(AlertMapper.Row alert) {
    Memory memory = Memory.read(alert.memory());
    RoaringBitmap matches = matches(alert, strategy(alert));
    RoaringBitmap works = memory.news(matches);
    again(alert, matches, memory).forEach(one -> works.add(one.work()));
    return works;
  }

  private RoaringBitmap matches(AlertMapper.Row alert, Strategy strategy) {
    OfGroup group = of(alert);
    return inTime(
        () -> group.candidates(this, alert.number()).matching(group.look().compile(strategy)));
  }

  private ChangesSince changes(long after) {
    return changes.computeIfAbsent(
        after, number -> ChangesSince.read(parts.publications, number, upTo));
  }

  /** What an alert's group sees. */
  Matching.Look look(AlertMapper.Row alert) {
    return of(alert).look();
  }

  Strategy strategy(AlertMapper.Row alert) {
    return parts.json.read(alert.strategy(), StrategyBody.class).strategy();
  }

  /** All that the alert's search finds. */
  RoaringBitmap found(AlertMapper.Row alert, Strategy strategy) {
    Matching.Look look = look(alert);
    return inTime(() -> look.snapshot().all(look.compile(strategy)));
  }

  /**
   * Without what is remembered as something that was merged into it since, and without what the
   * group brought in itself, which it knows (rule N5).
   */
  RoaringBitmap unknown(Memory memory, RoaringBitmap news) {
    return known(news).without(memory, news);
  }

  private Known known(RoaringBitmap works) {
    return works.isEmpty()
        ? new Known(Map.of(), Set.of())
        : new Known(parts.publications.parts(boxed(works)), parts.publications.own(boxed(works)));
  }

  /** What changed after a number, up to a moment after this state. */
  RoaringBitmap touchedSince(long number) {
    return since.computeIfAbsent(number, parts.publications::touchedSince);
  }

  private OfGroup of(AlertMapper.Row alert) {
    return groups.computeIfAbsent(alert.grp(), id -> ofGroup(id, alert.zone()));
  }

  private OfGroup ofGroup(int group, String zone) {
    Snapshot snapshot = parts.index.snapshot(new Viewer(group), upTo);
    return new OfGroup(
        snapshot,
        parts.matching.look(snapshot, group, ZoneId.of(zone)),
        new ConcurrentHashMap<>(),
        new ConcurrentHashMap<>());
  }

  /** An alert may take longer than a search, for nobody waits for it; not without end. */
  private <T> T inTime(Supplier<T> work) {
    Duration most = parts.searchTime.multipliedBy(TIMES_A_SEARCH);
    try {
      return TimeLimit.within(most, work);
    } catch (TimeLimit.Over over) {
      throw new IllegalStateException(
          "the search took longer than %d seconds and was given up".formatted(most.toSeconds()),
          over);
    }
  }

  private static List<Integer> boxed(RoaringBitmap ids) {
    return Arrays.stream(ids.toArray()).boxed().toList();
  }

  private static RoaringBitmap bitmap(Collection<Integer> ids) {
    return RoaringBitmap.bitmapOf(ids.stream().mapToInt(Integer::intValue).toArray());
  }

  @Override
  public void close() {
    groups.values().forEach(group -> group.snapshot().close());
  }
}
