package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.Reasons;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.core.watch.NewClass;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.Json;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * One run of one alert, one transaction: arrivals, memory and number change together under a lock
 * on the alert's row, or not at all.
 */
@Component
class AlertRun {
  private final AlertMapper mapper;
  private final Publications publications;
  private final Matching matching;
  private final IndexKeeper index;
  private final Rounds rounds;
  private final Commands actions;
  private final Calendar calendar;
  private final Json json;
  private final Checkpoint checkpoint;

  AlertRun(
      AlertMapper mapper,
      Publications publications,
      Matching matching,
      IndexKeeper index,
      Rounds rounds,
      Commands actions,
      Calendar calendar,
      Json json,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.publications = publications;
    this.matching = matching;
    this.index = index;
    this.rounds = rounds;
    this.actions = actions;
    this.calendar = calendar;
    this.json = json;
    this.checkpoint = checkpoint;
  }

  /** Runs the alert over all numbers since its last run; answers how many it found. */
  @Transactional
  public int run(int id) {
    AlertMapper.Row alert = mapper.lock(id);
    if (!alert.state().equals("watching")) {
      return 0;
    }
    checkpoint.pass("alert: locked");
    try (Snapshot snapshot = index.snapshot(publications.latest())) {
      Strategy strategy = json.read(alert.strategy(), StrategyBody.class).strategy();
      Matching.Look look = matching.look(snapshot, alert.grp(), ZoneId.of(alert.zone()));
      Compiled.Ready ready = look.compile(strategy);
      ChangesSince changes = ChangesSince.read(publications, alert.number(), snapshot.number());
      RoaringBitmap matches = snapshot.among(ready, changes.touched());
      Memory memory = Memory.read(alert.memory());
      RoaringBitmap news = unknown(memory, memory.news(matches));
      announce(alert, look, strategy, changes, news);
      checkpoint.pass("alert: announced, not remembered");
      mapper.remember(id, memory.with(matches).bytes(), snapshot.number());
      checkpoint.pass("alert: remembered, not committed");
      return news.getCardinality();
    }
  }

  /** Without what is remembered as something that was merged into it since. */
  private RoaringBitmap unknown(Memory memory, RoaringBitmap news) {
    RoaringBitmap unknown = news.clone();
    publications
        .parts(Arrays.stream(news.toArray()).boxed().toList())
        .forEach(
            (whole, parts) -> {
              if (memory.remembersAny(parts)) {
                unknown.remove(whole);
              }
            });
    return unknown;
  }

  private void announce(
      AlertMapper.Row alert,
      Matching.Look look,
      Strategy strategy,
      ChangesSince changes,
      RoaringBitmap news) {
    if (news.isEmpty()) {
      return;
    }
    Rounds.Finder finder = new Rounds.Finder(alert.grp(), alert.id(), alert.revision());
    int round = rounds.openRound(alert.id());
    List<Integer> ids = Arrays.stream(news.toArray()).boxed().collect(Collectors.toList());
    Reasons reasons = look.reasons();
    for (Stored stored : publications.byId(ids)) {
      NewClass newClass =
          NewClass.of(
              stored.publication().date(),
              stored.came().atZone(ZoneId.of(alert.zone())).toLocalDate(),
              !changes.arrived().contains(stored.id()));
      rounds.announce(finder, round, stored.id(), newClass, reasons.of(strategy, stored.id()));
    }
    actions.note(alert.grp(), "arrivals", "alert:" + alert.pid());
    if (Rhythm.of(alert.rhythm()) instanceof Rhythm.AtOnce) {
      Instant now = calendar.now();
      rounds.close(round, now);
      rounds.open(alert.id(), now, null);
    }
  }
}
