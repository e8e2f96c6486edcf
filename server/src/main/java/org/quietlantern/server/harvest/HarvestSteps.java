package org.quietlantern.server.harvest;

import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.catalogue.Catalogue;
import org.quietlantern.server.platform.Away;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.SystemTime;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** The transactions of a harvest: a page is taken and its place noted together, or not at all. */
@Component
class HarvestSteps {
  private static final Logger LOG = LoggerFactory.getLogger(HarvestSteps.class);

  /** A source's clock may be ahead of ours by so much. */
  private static final Duration AHEAD = Duration.ofDays(1);

  private static final Duration EMPTY_TRIES_KEPT = Duration.ofDays(90);

  private final HarvestMapper mapper;
  private final Catalogue catalogue;
  private final Calendar calendar;
  private final SystemTime system;
  private final Checkpoint checkpoint;
  private final TransactionTemplate nested;

  /** What a page came to. */
  record Taken(int changed, int setAside) {
    static final Taken NOTHING = new Taken(0, 0);

    Taken plus(Taken other) {
      return new Taken(changed + other.changed, setAside + other.setAside);
    }
  }

  HarvestSteps(
      HarvestMapper mapper,
      Catalogue catalogue,
      Calendar calendar,
      SystemTime system,
      Checkpoint checkpoint,
      PlatformTransactionManager transactions) {
    this.mapper = mapper;
    this.catalogue = catalogue;
    this.calendar = calendar;
    this.system = system;
    this.checkpoint = checkpoint;
    this.nested = new TransactionTemplate(transactions);
    nested.setPropagationBehavior(TransactionDefinition.PROPAGATION_NESTED);
  }

  @Transactional
  int start(int source, String from) {
    mapper.forgetAsking(source);
    return mapper.start(source, from, calendar.now());
  }

  @Transactional
  Taken take(int harvest, int source, OaiPage page) {
    checkpoint.pass("harvest: page fetched");
    Taken taken = takeOrSetAside(source, page.records());
    page.setAside().forEach(odd -> keep(source, odd));
    checkpoint.pass("harvest: page in the catalogue, place not noted");
    mapper.progress(
        harvest,
        page.token().orElse(null),
        page.records().size(),
        taken.changed(),
        clock(page).toString());
    return taken.plus(new Taken(0, page.setAside().size()));
  }

  /** The source's own time; ours, with a day to spare, where that cannot be. */
  private Instant clock(OaiPage page) {
    Instant ours = calendar.now();
    return page.responseDate()
        .filter(theirs -> theirs.isBefore(ours.plus(AHEAD)))
        .orElseGet(() -> ours.minus(AHEAD));
  }

  /** Takes records; one that cannot be taken is set aside by name, and the others are taken. */
  @Transactional
  Taken takeOrSetAside(int source, List<SourceRecord> records) {
    Taken sum = Taken.NOTHING;
    for (int start = 0; start < records.size(); start += Catalogue.MOST) {
      int end = Math.min(start + Catalogue.MOST, records.size());
      sum = sum.plus(divide(source, records.subList(start, end)));
    }
    return sum;
  }

  private Taken divide(int source, List<SourceRecord> records) {
    try {
      int changed = nested.execute(status -> catalogue.take(source, records));
      mapper.resolve(source, records.stream().map(SourceRecord::identifier).toArray(String[]::new));
      return new Taken(changed, 0);
    } catch (RuntimeException odd) {
      if (Away.isCauseOf(odd)) {
        // The database has no time or is gone: that says nothing about the records.
        throw odd;
      }
      if (records.size() == 1) {
        return setAside(source, records.get(0), odd);
      }
      int middle = records.size() / 2;
      return divide(source, records.subList(0, middle))
          .plus(divide(source, records.subList(middle, records.size())));
    }
  }

  private Taken setAside(int source, SourceRecord record, RuntimeException odd) {
    LOG.warn("record {} of source {} is set aside", record.identifier(), source, odd);
    keep(source, new OaiPage.SetAside(record.identifier(), Harvests.sentence(odd), record.raw()));
    return new Taken(0, 1);
  }

  private void keep(int source, OaiPage.SetAside odd) {
    mapper.setAside(source, odd.identifier(), odd.why(), odd.raw(), calendar.now());
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
