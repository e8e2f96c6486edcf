package org.quietlantern.server.arrival;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.search.Explanation;
import org.quietlantern.core.watch.NewClass;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What alerts gather: opened, filled and closed in the transactions of those who watch. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class Rounds {
  private final RoundMapper mapper;
  private final RoundCounts counts;
  private final Reviews reviews;
  private final PublicIds ids;
  private final Calendar calendar;
  private final Json json;

  /** An open round whose moment has come, and its alert. Row numbers. */
  public record Due(int round, int alert) {}

  /** The round that gathers, by row number, and when it will close. */
  public record Gathering(int round, @Nullable Instant closes) {}

  /** The alert that found something, by row numbers. */
  public record Finder(int group, int alert, int revision) {}

  Rounds(
      RoundMapper mapper,
      RoundCounts counts,
      Reviews reviews,
      PublicIds ids,
      Calendar calendar,
      Json json) {
    this.mapper = mapper;
    this.counts = counts;
    this.reviews = reviews;
    this.ids = ids;
    this.calendar = calendar;
    this.json = json;
  }

  /** The open round of an alert; every alert that watches has one. */
  public int openRound(int alert) {
    return Optional.ofNullable(mapper.openRound(alert)).orElseThrow();
  }

  /** The round of an alert that gathers; null for one that ended. */
  public @Nullable Gathering gathering(int alert) {
    return mapper.gathering(alert);
  }

  /** Lets a round gather as it did, also where it was closed meanwhile. */
  public void goOn(Gathering gathering) {
    mapper.forgetSources(gathering.round());
    mapper.goOn(gathering);
  }

  /** {@code closes} null: as soon as something was found. */
  public int open(int alert, Instant opens, @Nullable Instant closes) {
    return mapper.open(ids.next(), alert, opens, closes);
  }

  /** Whether somebody marked what an alert found, since it did. */
  public boolean isMarked(int alert) {
    return mapper.isMarked(alert);
  }

  /** What an alert found is found by it no more; what others found, too, stays. */
  public void takeBack(int alert) {
    mapper.takeBack(alert);
  }

  /** Gives the round that gathers another moment to close. */
  public void reschedule(int alert, @Nullable Instant closes) {
    mapper.reschedule(alert, closes);
  }

  @Transactional(readOnly = true)
  public List<Due> due(Instant now) {
    return mapper.due(now).stream().map(d -> new Due(d.id(), d.alert())).toList();
  }

  /** Fixes what is in a round. False if somebody else closed it. */
  public boolean close(int round, Instant now) {
    boolean closed = mapper.close(round, now) > 0;
    if (closed) {
      mapper.noteSources(round);
    }
    return closed;
  }

  /** Counts a round anew, after all that a run found is in it. */
  public void count(int round) {
    counts.count(List.of(round));
  }

  /** Counts all rounds of an alert anew, when it asks for more or fewer lamps. */
  public void countAll(int alert) {
    counts.count(mapper.ofAlert(alert));
  }

  /**
   * Follows the catalogue where works became one, in a transaction of its own. A mark that is made
   * meanwhile ends it with {@code ConcurrencyFailureException}; then it is repeated.
   */
  @Transactional(isolation = Isolation.REPEATABLE_READ)
  public void follow() {
    counts.follow();
  }

  /** A publication (row number) that came, as what, and by which words. */
  public record Found(int publication, NewClass newClass, List<Explanation> words) {}

  /**
   * Puts the first comings of publications into a round, in this order. One that another alert
   * found before stands in it as <i>here since</i>. Repeating it changes nothing.
   */
  public void announce(Finder finder, int round, List<Found> found) {
    Instant now = calendar.now();
    Map<Integer, Integer> occasions =
        reviews.firstComings(found.stream().map(Found::publication).toList());
    Integer[] comings =
        found.stream().map(one -> occasions.get(one.publication())).toArray(Integer[]::new);
    Set<Integer> made = Set.copyOf(mapper.arrive(finder.group(), comings, now));
    mapper.addFindings(
        finder,
        round,
        comings,
        found.stream().map(one -> one.newClass().word()).toArray(String[]::new),
        found.stream().map(one -> json.write(one.words())).toArray(String[]::new),
        Arrays.stream(comings).map(one -> !made.contains(one)).toArray(Boolean[]::new),
        now);
  }
}
