package org.quietlantern.server.alert;

import java.time.ZoneId;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.query.Strategy;
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
 * Puts what alerts found into their open rounds: together, less at a time where that breaks, and at
 * last one by one, so that a record that breaks it is set aside by name under a savepoint of its
 * own, and the rest goes on.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class Announcing {
  private static final Logger LOG = LoggerFactory.getLogger(Announcing.class);
  private final Publications publications;
  private final Rounds rounds;
  private final Commands actions;
  private final TransactionTemplate savepoint;

  Announcing(
      Publications publications,
      Rounds rounds,
      Commands actions,
      PlatformTransactionManager transactions) {
    this.publications = publications;
    this.rounds = rounds;
    this.actions = actions;
    this.savepoint = new TransactionTemplate(transactions);
    this.savepoint.setPropagationBehavior(TransactionDefinition.PROPAGATION_NESTED);
  }

  /**
   * What an alert is to tell.
   *
   * @param revision by which it was found
   * @param found row numbers of works
   * @param classOf each, as something new
   * @param again what was found before and comes again
   */
  record News(
      AlertMapper.Row alert,
      int revision,
      Matching.Look look,
      Strategy strategy,
      RoaringBitmap found,
      Function<StoredPublication, NewClass> classOf,
      List<Publications.ComesAgain> again) {

    News(
        AlertMapper.Row alert,
        int revision,
        Matching.Look look,
        Strategy strategy,
        RoaringBitmap found,
        Function<StoredPublication, NewClass> classOf) {
      this(alert, revision, look, strategy, found, classOf, List.of());
    }

    News one(int work) {
      return new News(alert, revision, look, strategy, RoaringBitmap.bitmapOf(work), classOf);
    }

    News onlyAgain() {
      return new News(alert, revision, look, strategy, new RoaringBitmap(), classOf, again);
    }

    boolean isEmpty() {
      return found.isEmpty() && again.isEmpty();
    }
  }

  /** What a run found. */
  static News came(AlertMapper.Row alert, RunState.Seen seen) {
    Set<Integer> arrived = seen.changes().arrived();
    return new News(
        alert,
        alert.revision(),
        seen.look(),
        seen.strategy(),
        seen.news(),
        stored -> classOf(alert, stored, !arrived.contains(stored.id())),
        seen.again());
  }

  private static NewClass classOf(
      AlertMapper.Row alert, StoredPublication stored, boolean wasHere) {
    ZoneId zone = ZoneId.of(alert.zone());
    return NewClass.of(
        stored.publication().date(), stored.came().atZone(zone).toLocalDate(), wasHere);
  }

  /** What was here when an alert was set and shall be looked at, too. */
  static News past(
      AlertMapper.Row alert, Matching.Look look, Strategy strategy, RoaringBitmap past) {
    return new News(
        alert, alert.revision(), look, strategy, past, stored -> classOf(alert, stored, false));
  }

  /** What a new revision matches of what was here before. */
  static News edited(
      AlertMapper.Row alert,
      int revision,
      Matching.Look look,
      Strategy strategy,
      RoaringBitmap gained) {
    return new News(alert, revision, look, strategy, gained, stored -> NewClass.EDITED);
  }

  /**
   * What was held against the whole result and was not remembered.
   *
   * @param missed whether it ought to have been found when it came: it is told as it would have
   *     been
   */
  static News compared(
      AlertMapper.Row alert,
      Matching.Look look,
      Strategy strategy,
      RoaringBitmap found,
      boolean missed) {
    return new News(
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

  /** Tells that the rounds that gather have more; closed where it is to be told at once. */
  public void tell(List<AlertMapper.Row> alerts) {
    if (alerts.isEmpty()) {
      return;
    }
    rounds.count(alerts.stream().map(AlertMapper.Row::id).toList());
    for (AlertMapper.Row alert : alerts) {
      if (Rhythm.of(alert.rhythm()) instanceof Rhythm.AtOnce) {
        rounds.closeAtOnce(alert.id());
      }
    }
    actions.note(
        alerts.get(0).grp(),
        "arrivals",
        alerts.stream().map(alert -> new Subject(Subject.Of.ALERT, alert.pid())).toList());
  }

  /** Answers the works that were set aside: row numbers. */
  public RoaringBitmap announce(News news) {
    return announce(List.of(news)).getOrDefault(news.alert().id(), new RoaringBitmap());
  }

  /** Of alerts of one group. Answers the works that were set aside, by alert: row numbers. */
  public Map<Integer, RoaringBitmap> announce(List<News> alerts) {
    List<News> some = alerts.stream().filter(news -> !news.isEmpty()).toList();
    Map<Integer, RoaringBitmap> aside = new HashMap<>();
    if (some.isEmpty() || putWhole(some)) {
      return aside;
    }
    for (News news : some) {
      if (some.size() == 1 || !putWhole(List.of(news))) {
        aside.put(news.alert().id(), putOneByOne(news));
      }
    }
    return aside;
  }

  private boolean putWhole(List<News> news) {
    try {
      put(news);
      return true;
    } catch (RuntimeException together) {
      LOG.debug("something breaks it; now less at a time", together);
      return false;
    }
  }

  private RoaringBitmap putOneByOne(News news) {
    RoaringBitmap aside = new RoaringBitmap();
    if (!news.again().isEmpty()) {
      put(List.of(news.onlyAgain()));
    }
    for (int id : news.found()) {
      try {
        put(List.of(news.one(id)));
      } catch (RuntimeException broken) {
        aside.add(id);
        publications.setAside(id, news.alert().id(), RecordReader.EDITION, why(broken));
      }
    }
    return aside;
  }

  private void put(List<News> news) {
    savepoint.executeWithoutResult(
        status -> {
          int group = news.get(0).alert().grp();
          Map<Integer, StoredPublication> stored =
              stored(group, RoaringBitmap.or(news.stream().map(News::found).iterator()));
          rounds.announce(group, news.stream().map(one -> foundBy(one, stored)).toList());
        });
  }

  private static Rounds.FoundBy foundBy(News news, Map<Integer, StoredPublication> stored) {
    Map<Integer, List<Explanation>> why = news.look().reasons().of(news.strategy(), news.found());
    List<Rounds.Found> found =
        Arrays.stream(news.found().toArray())
            .mapToObj(
                id -> Rounds.Found.first(id, news.classOf().apply(stored.get(id)), why.get(id)))
            .toList();
    return new Rounds.FoundBy(
        news.alert().id(),
        news.revision(),
        Stream.concat(
                found.stream(),
                news.again().stream().map(one -> Rounds.Found.again(one.work(), one.on())))
            .toList());
  }

  /** By the number that was asked for. */
  private Map<Integer, StoredPublication> stored(int group, RoaringBitmap ids) {
    Map<Integer, StoredPublication> stored =
        publications.byId(new Viewer(group), Arrays.stream(ids.toArray()).boxed().toList()).stream()
            .collect(Collectors.toMap(StoredPublication::asked, one -> one));
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
