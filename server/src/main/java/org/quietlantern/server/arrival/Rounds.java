package org.quietlantern.server.arrival;

import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntFunction;
import org.quietlantern.core.search.Explanation;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.core.watch.NewClass;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.review.OpenPoints;
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
  private final OpenPoints points;
  private final Unsealing unsealing;
  private final Reviews reviews;
  private final PublicIds ids;
  private final Calendar calendar;
  private final Json json;

  /** An open round whose moment has come, and its alert. Row numbers. */
  public record Due(int round, int alert) {}

  /** The round that gathers, by row number, and when it will close. */
  public record Gathering(int round, @Nullable Instant closes) {}

  /** A publication (row number) that came on an occasion, as what, and by which words. */
  public record Found(int publication, Coming on, String as, List<Explanation> words) {
    public static Found first(int publication, NewClass newClass, List<Explanation> words) {
      return new Found(publication, Coming.FIRST, newClass.word(), words);
    }

    public static Found again(int publication, Coming on) {
      return new Found(publication, on, on.occasion().word(), List.of());
    }

    private Reviews.Comes comes() {
      return new Reviews.Comes(publication, on);
    }
  }

  /** What an alert found, in this order, and by which revision. Row numbers. */
  public record FoundBy(int alert, int revision, List<Found> found) {}

  Rounds(
      RoundMapper mapper,
      RoundCounts counts,
      OpenPoints points,
      Unsealing unsealing,
      Reviews reviews,
      PublicIds ids,
      Calendar calendar,
      Json json) {
    this.mapper = mapper;
    this.counts = counts;
    this.points = points;
    this.unsealing = unsealing;
    this.reviews = reviews;
    this.ids = ids;
    this.calendar = calendar;
    this.json = json;
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

  /** Counts the rounds of alerts that gather anew, after all that a run found is in them. */
  public void count(Collection<Integer> alerts) {
    counts.count(mapper.gatheringOf(alerts.toArray(Integer[]::new)));
  }

  /** Closes the round of an alert that gathers, and opens one that closes when it has something. */
  public void closeAtOnce(int alert) {
    Instant now = calendar.now();
    close(mapper.gathering(alert).round(), now);
    open(alert, now, null);
  }

  /**
   * An alert of a group (row numbers) asks for more or fewer marks, or for others: all its rounds
   * are counted anew, and what was decided on apart is opened where that is due now.
   */
  public void askedOtherwise(int alert, int group) {
    unsealing.openAll(group);
    counts.count(mapper.ofAlert(alert));
  }

  /**
   * Follows the catalogue where works became one, in a transaction of its own. A mark that is made
   * meanwhile ends it with {@code ConcurrencyFailureException}; then it is repeated.
   */
  @Transactional(isolation = Isolation.REPEATABLE_READ)
  public void follow() {
    counts.follow();
    points.follow();
    unsealing.openOverdue();
  }

  /**
   * Puts what came on its occasions into the rounds that gather, of alerts of one group in this
   * order. One that another alert found before stands as <i>here since</i>. Repeating it changes
   * nothing.
   */
  public void announce(int group, List<FoundBy> alerts) {
    Instant now = calendar.now();
    List<Line> lines =
        alerts.stream()
            .flatMap(by -> by.found().stream().map(one -> new Line(by.alert(), by.revision(), one)))
            .toList();
    Map<Reviews.Comes, Integer> occasions =
        reviews.occasions(lines.stream().map(line -> line.found().comes()).distinct().toList());
    Integer[] comings = each(lines, line -> occasions.get(line.found().comes()), Integer[]::new);
    Set<Integer> first =
        new HashSet<>(
            mapper.arrive(group, Arrays.stream(comings).distinct().toArray(Integer[]::new), now));
    mapper.addFindings(
        group,
        each(lines, Line::alert, Integer[]::new),
        each(lines, Line::revision, Integer[]::new),
        comings,
        each(lines, line -> line.found().as(), String[]::new),
        each(lines, line -> json.write(line.found().words()), String[]::new),
        Arrays.stream(comings).map(one -> !first.remove(one)).toArray(Boolean[]::new),
        now);
  }

  private record Line(int alert, int revision, Found found) {}

  private static <T> T[] each(List<Line> lines, Function<Line, T> of, IntFunction<T[]> array) {
    return lines.stream().map(of).toArray(array);
  }
}
