package org.quietlantern.server.alert;

import java.time.ZoneId;
import java.util.List;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Json;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** An alert follows the revisions of the search that it watches (rules N2, N7). */
@Service
public class Following {
  private final AlertMapper mapper;
  private final Publications publications;
  private final Matching matching;
  private final IndexKeeper index;
  private final Watchable watchable;
  private final Announcing announcing;
  private final Rounds rounds;
  private final Json json;

  Following(
      AlertMapper mapper,
      Publications publications,
      Matching matching,
      IndexKeeper index,
      Watchable watchable,
      Announcing announcing,
      Rounds rounds,
      Json json) {
    this.mapper = mapper;
    this.publications = publications;
    this.matching = matching;
    this.index = index;
    this.watchable = watchable;
    this.announcing = announcing;
    this.rounds = rounds;
    this.json = json;
  }

  /** What an alert finds now. Asked before anything is locked. */
  RoaringBitmap foundNow(Member who, AlertMapper.Row alert) {
    Strategy strategy = json.read(alert.strategy(), StrategyBody.class).strategy();
    return matching.look(
        who, publications.latest(), look -> look.snapshot().all(look.compile(strategy)));
  }

  /**
   * What two revisions find in one state of the catalogue, worked out before anything is locked.
   *
   * @param next the strategy of the later one
   * @param number of the state
   */
  public record Compared(
      Strategy next, long number, RoaringBitmap byFormer, RoaringBitmap byNext) {}

  /** Inside of {@link Matching#look}. */
  public static Compared compared(Matching.Look look, Strategy former, Strategy next) {
    return new Compared(
        next,
        look.snapshot().number(),
        look.snapshot().all(look.compile(former)),
        look.snapshot().all(look.compile(next)));
  }

  /**
   * Watches by another revision from now on. What that one finds of what was here goes into memory;
   * what came since the last run is left for the next one. Nothing happens where nothing watches.
   *
   * @param from the row number of the revision watched so far
   * @param announce whether what goes into memory is also shown, in the round that gathers
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void follow(int from, int to, Compared compared, boolean announce) {
    AlertMapper.Row alert = mapper.lockBy(from);
    if (alert == null) {
      return;
    }
    watchable.require(alert.grp(), compared.next());
    RoaringBitmap were = compared.byNext().clone();
    were.andNot(stillToFind(alert, compared));
    Memory memory = Memory.read(alert.memory());
    if (announce && !alert.tellsChanges()) {
      were.andNot(announced(alert, to, compared, memory.news(were)));
      rounds.count(List.of(alert.id()));
    }
    mapper.follow(alert.id(), to, memory.with(were).bytes());
  }

  private RoaringBitmap announced(
      AlertMapper.Row alert, int to, Compared compared, RoaringBitmap news) {
    try (Snapshot snapshot = index.snapshot(new Viewer(alert.grp()), compared.number())) {
      Matching.Look look = matching.look(snapshot, alert.grp(), ZoneId.of(alert.zone()));
      return announcing.announce(Announcing.edited(alert, to, look, compared.next(), news));
    }
  }

  /** What came since the last run, and what changed so that the former revision would find it. */
  private RoaringBitmap stillToFind(AlertMapper.Row alert, Compared compared) {
    ChangesSince changes = ChangesSince.read(publications, alert.number(), publications.latest());
    RoaringBitmap still = RoaringBitmap.and(compared.byFormer(), changes.touched());
    changes.arrived().forEach(still::add);
    return still;
  }

  /** Whether an alert has found something by a revision, which then stays. */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean hasFound(int revision) {
    return mapper.hasFound(revision);
  }
}
