package org.quietlantern.server.alert;

import java.time.ZoneId;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.job.NightlyCheck;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Holds what alerts remember against all that their searches find: what is found, did not change
 * since the alert looked, and is not remembered was missed. It is told and not mended, for what is
 * new is for the alert to say.
 */
@Component
@Order(5)
class MemoryCheck implements NightlyCheck {
  private final AlertMapper mapper;
  private final IndexKeeper index;
  private final Matching matching;
  private final Publications publications;
  private final Json json;

  MemoryCheck(
      AlertMapper mapper,
      IndexKeeper index,
      Matching matching,
      Publications publications,
      Json json) {
    this.mapper = mapper;
    this.index = index;
    this.matching = matching;
    this.publications = publications;
    this.json = json;
  }

  @Override
  public String what() {
    return "what alerts remember";
  }

  @Override
  public int look() {
    return mapper.watched().stream().mapToInt(id -> missed(mapper.byId(id))).sum();
  }

  private int missed(AlertMapper.Row alert) {
    try (Snapshot snapshot = index.snapshot(new Viewer(alert.grp()), alert.number())) {
      Strategy strategy = json.read(alert.strategy(), StrategyBody.class).strategy();
      Matching.Look look = matching.look(snapshot, alert.grp(), ZoneId.of(alert.zone()));
      Memory memory = Memory.read(alert.memory());
      RoaringBitmap found = memory.news(snapshot.all(look.compile(strategy)));
      found.andNot(publications.touchedSince(alert.number()));
      // What is found by a text alone may have come with it since.
      found.andNot(look.circumstances().texts().publications());
      RoaringBitmap missed = AlertRun.unknown(publications, memory, found);
      mapper.setAsideIds(alert.id()).forEach(missed::remove);
      return missed.getCardinality();
    }
  }
}
