package org.quietlantern.server.harvest;

import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The transactions of a harvest: a page is taken and its place noted together, or not at all. */
@Component
class HarvestSteps {
  /** A source's clock may be ahead of ours by so much. */
  private static final Duration AHEAD = Duration.ofDays(1);

  private static final Duration EMPTY_TRIES_KEPT = Duration.ofDays(90);

  private final HarvestMapper mapper;
  private final Taking taking;
  private final Calendar calendar;
  private final SystemTime system;
  private final Checkpoint checkpoint;

  HarvestSteps(
      HarvestMapper mapper,
      Taking taking,
      Calendar calendar,
      SystemTime system,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.taking = taking;
    this.calendar = calendar;
    this.system = system;
    this.checkpoint = checkpoint;
  }

  @Transactional
  int start(int source, String from) {
    mapper.forgetAsking(source);
    mapper.forgetWhole(source);
    return mapper.start(source, from, calendar.now(), system.now());
  }

  @Transactional
  Taking.Taken take(int harvest, int source, OaiPage page) {
    checkpoint.pass("harvest: page fetched");
    Taking.Taken taken = taking.take(source, page.records());
    page.setAside().forEach(odd -> taking.setAside(source, odd.identifier(), odd.why(), odd.raw()));
    checkpoint.pass("harvest: page in the catalogue, place not noted");
    mapper.progress(
        new HarvestMapper.Progress(
            harvest,
            page.token().orElse(null),
            page.records().size(),
            taken.changed(),
            page.expected().orElse(null),
            clock(page).toString()));
    return taken.plus(new Taking.Taken(0, page.setAside().size()));
  }

  /** The source's own time; ours, with a day to spare, where that cannot be. */
  private Instant clock(OaiPage page) {
    Instant ours = calendar.now();
    return page.responseDate()
        .filter(theirs -> theirs.isBefore(ours.plus(AHEAD)))
        .orElseGet(() -> ours.minus(AHEAD));
  }

  @Transactional
  void finish(int harvest, int source, Attempt attempt) {
    checkpoint.pass("harvest: all pages taken");
    mapper.finish(harvest, calendar.now());
    note(source, attempt, null);
  }

  /** {@code later}: when the source wants to be asked again, if it said so. */
  @Transactional
  void fail(int harvest, int source, Attempt attempt, String error, @Nullable Instant later) {
    mapper.fail(harvest, error, attempt.changed() > 0, calendar.now(), later, system.now());
    note(source, attempt, error);
  }

  private void note(int source, Attempt attempt, @Nullable String error) {
    mapper.addTry(
        new HarvestMapper.NewTry(
            source,
            calendar.now(),
            attempt.pages(),
            attempt.taken(),
            attempt.changed(),
            attempt.setAside(),
            error,
            attempt.movedTo().map(URI::toString).orElse(null)));
    mapper.forgetTries(source, calendar.now().minus(EMPTY_TRIES_KEPT));
  }
}
