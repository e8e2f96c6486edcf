package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Explainer;
import org.quietlantern.core.search.Explanation;
import org.quietlantern.core.watch.NewClass;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Calendar;
import org.roaringbitmap.RoaringBitmap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Puts what an alert found into its open round: together, and one by one where that breaks, so that
 * a record that breaks it is set aside by name under a savepoint of its own, and the rest goes on.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class Announcing {
  private static final Logger LOG = LoggerFactory.getLogger(Announcing.class);
  private final Publications publications;
  private final Rounds rounds;
  private final Commands actions;
  private final Calendar calendar;
  private final TransactionTemplate savepoint;

  Announcing(
      Publications publications,
      Rounds rounds,
      Commands actions,
      Calendar calendar,
      PlatformTransactionManager transactions) {
    this.publications = publications;
    this.rounds = rounds;
    this.actions = actions;
    this.calendar = calendar;
    this.savepoint = new TransactionTemplate(transactions);
    this.savepoint.setPropagationBehavior(TransactionDefinition.PROPAGATION_NESTED);
  }

  /** Answers those that were set aside, by row number. */
  public RoaringBitmap announce(
      AlertMapper.Row alert,
      Matching.Look look,
      Strategy strategy,
      ChangesSince changes,
      RoaringBitmap news) {
    Set<Integer> arrived = changes.arrived();
    return announce(
        alert,
        alert.revision(),
        look,
        strategy,
        news,
        stored -> classOf(alert, stored, !arrived.contains(stored.id())));
  }

  private static NewClass classOf(
      AlertMapper.Row alert, StoredPublication stored, boolean wasHere) {
    ZoneId zone = ZoneId.of(alert.zone());
    return NewClass.of(
        stored.publication().date(), stored.came().atZone(zone).toLocalDate(), wasHere);
  }

  /** What was here when an alert was set and shall be looked at, too. */
  public RoaringBitmap announcePast(
      AlertMapper.Row alert, Matching.Look look, Strategy strategy, RoaringBitmap past) {
    return announce(
        alert, alert.revision(), look, strategy, past, stored -> classOf(alert, stored, false));
  }

  /** What a new revision matches of what was here before. */
  public RoaringBitmap announceEdited(
      AlertMapper.Row alert,
      int revision,
      Matching.Look look,
      Strategy strategy,
      RoaringBitmap gained) {
    return announce(alert, revision, look, strategy, gained, stored -> NewClass.EDITED);
  }

  /**
   * What was held against the whole result and was not remembered.
   *
   * @param missed whether it ought to have been found when it came: it is told as it would have
   *     been
   */
  public RoaringBitmap announceCompared(
      AlertMapper.Row alert,
      Matching.Look look,
      Strategy strategy,
      RoaringBitmap found,
      boolean missed) {
    return announce(
        alert,
        alert.revision(),
        look,
        strategy,
        found,
        stored ->
            missed
                ? classOf(alert, stored, stored.came().isBefore(alert.since()))
                : NewClass.WIDENED);
  }

  /** Tells that the round that gathers has more; closed where it is to be told at once. */
  public void tell(AlertMapper.Row alert) {
    actions.note(alert.grp(), "arrivals", new Subject(Subject.Of.ALERT, alert.pid()));
    int round = rounds.openRound(alert.id());
    rounds.count(round);
    if (Rhythm.of(alert.rhythm()) instanceof Rhythm.AtOnce) {
      Instant now = calendar.now();
      rounds.close(round, now);
      rounds.open(alert.id(), now, null);
    }
  }

  private RoaringBitmap announce(
      AlertMapper.Row alert,
      int revision,
      Matching.Look look,
      Strategy strategy,
      RoaringBitmap found,
      Function<StoredPublication, NewClass> classOf) {
    RoaringBitmap aside = new RoaringBitmap();
    if (found.isEmpty()) {
      return aside;
    }
    Rounds.Finder finder = new Rounds.Finder(alert.grp(), alert.id(), revision);
    Explainer reasons = look.reasons();
    int round = rounds.openRound(alert.id());
    Consumer<RoaringBitmap> put =
        some ->
            savepoint.executeWithoutResult(
                status -> {
                  Map<Integer, List<Explanation>> why = reasons.of(strategy, some);
                  rounds.announce(
                      finder,
                      round,
                      stored(alert, some).stream()
                          .map(
                              stored ->
                                  new Rounds.Found(
                                      stored.asked(),
                                      classOf.apply(stored),
                                      why.get(stored.asked())))
                          .sorted(Comparator.comparing(Rounds.Found::publication))
                          .toList());
                });
    try {
      put.accept(found);
    } catch (RuntimeException together) {
      LOG.debug(
          "alert {}: one of {} breaks it; now one by one",
          alert.id(),
          found.getCardinality(),
          together);
      for (int id : found) {
        try {
          put.accept(RoaringBitmap.bitmapOf(id));
        } catch (RuntimeException broken) {
          aside.add(id);
          publications.setAside(id, alert.id(), RecordReader.EDITION, why(broken));
        }
      }
    }
    return aside;
  }

  private List<StoredPublication> stored(AlertMapper.Row alert, RoaringBitmap ids) {
    List<StoredPublication> stored =
        publications.byId(new Viewer(alert.grp()), Arrays.stream(ids.toArray()).boxed().toList());
    if (stored.size() < ids.getCardinality()) {
      throw new IllegalStateException("the index has what the catalogue lacks");
    }
    return stored;
  }

  private static String why(RuntimeException broken) {
    String message = String.valueOf(broken.getMessage()).lines().findFirst().orElse("");
    return broken.getClass().getSimpleName() + (message.isEmpty() ? "" : ": " + message);
  }
}
