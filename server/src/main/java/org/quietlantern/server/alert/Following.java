package org.quietlantern.server.alert;

import java.time.ZoneId;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.catalogue.Publications;
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
@Transactional(propagation = Propagation.MANDATORY)
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

  /**
   * Watches by another revision from now on. What that one finds of what was here goes into memory;
   * what came since the last run is left for the next one. Nothing happens where nothing watches.
   *
   * @param from the row number of the revision watched so far
   * @param announce whether what goes into memory is also shown, in the round that gathers
   */
  public void follow(int from, int to, Strategy strategy, boolean announce) {
    AlertMapper.Row alert = mapper.lockBy(from);
    if (alert == null) {
      return;
    }
    watchable.require(alert.grp(), strategy);
    try (Snapshot snapshot = index.snapshot(publications.latest())) {
      Matching.Look look = matching.look(snapshot, alert.grp(), ZoneId.of(alert.zone()));
      RoaringBitmap were = snapshot.all(look.compile(strategy));
      were.andNot(stillToFind(alert, look));
      Memory memory = Memory.read(alert.memory());
      if (announce) {
        were.andNot(announcing.announceEdited(alert, to, look, strategy, memory.news(were)));
        rounds.count(rounds.openRound(alert.id()));
      }
      mapper.follow(alert.id(), to, memory.with(were).bytes());
    }
  }

  /** What came since the last run, and what changed so that the former revision would find it. */
  private RoaringBitmap stillToFind(AlertMapper.Row alert, Matching.Look look) {
    ChangesSince changes =
        ChangesSince.read(publications, alert.number(), look.snapshot().number());
    Strategy former = json.read(alert.strategy(), StrategyBody.class).strategy();
    RoaringBitmap still = look.snapshot().among(look.compile(former), changes.touched());
    changes.arrived().forEach(still::add);
    return still;
  }

  /** Whether an alert has found something by a revision, which then stays. */
  public boolean hasFound(int revision) {
    return mapper.hasFound(revision);
  }
}
