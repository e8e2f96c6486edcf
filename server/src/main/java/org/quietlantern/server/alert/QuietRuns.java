package org.quietlantern.server.alert;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.job.Spread;
import org.quietlantern.server.review.Reviews;
import org.roaringbitmap.RoaringBitmap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Runs of alerts that find nothing, which most do most times: looked at without a lock, many
 * together, and noted in one transaction where the alert is still what it was. Whatever found
 * something, or was changed meanwhile, is left to {@link AlertRun}.
 */
@Component
class QuietRuns {
  private static final Logger LOG = LoggerFactory.getLogger(QuietRuns.class);
  private static final int AT_ONCE = 500;
  private final AlertMapper mapper;
  private final Harvests harvests;
  private final Reviews reviews;
  private final Calendar calendar;
  private final Checkpoint checkpoint;
  private final TransactionTemplate transaction;

  /** What runs that are noted together have in common. */
  private record Since(long number, Instant ran) {}

  QuietRuns(
      AlertMapper mapper,
      Harvests harvests,
      Reviews reviews,
      Calendar calendar,
      Checkpoint checkpoint,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.harvests = harvests;
    this.reviews = reviews;
    this.calendar = calendar;
    this.checkpoint = checkpoint;
    this.transaction = transaction;
  }

  /**
   * Answers those that are still to be run, in their order; the works that they found are ready.
   */
  List<AlertMapper.Behind> pass(List<AlertMapper.Behind> alerts, RunState state) {
    Set<Integer> passed = new HashSet<>();
    Set<Integer> found = ConcurrentHashMap.newKeySet();
    for (int at = 0; at < alerts.size(); at += AT_ONCE) {
      Integer[] some =
          numbers(
              alerts.subList(at, Math.min(alerts.size(), at + AT_ONCE)), AlertMapper.Behind::id);
      Map<Since, List<AlertMapper.Row>> quiet =
          Spread.filter(mapper.well(some), alert -> isQuiet(alert, state, found)).stream()
              .collect(Collectors.groupingBy(alert -> new Since(alert.number(), alert.ran())));
      quiet.forEach((since, those) -> passed.addAll(note(since, those, state.upTo())));
    }
    // Groups share these: whoever made one would keep the others waiting to the end of their run.
    List<Integer> works = List.copyOf(found);
    for (int at = 0; at < works.size(); at += AT_ONCE) {
      reviews.firstComings(works.subList(at, Math.min(works.size(), at + AT_ONCE)));
    }
    return alerts.stream().filter(alert -> !passed.contains(alert.id())).toList();
  }

  private static boolean isQuiet(AlertMapper.Row alert, RunState state, Set<Integer> found) {
    try {
      // A work that it knows as a part of another is no news, and has to be remembered.
      RoaringBitmap works = state.toRunFor(alert);
      works.forEach((int work) -> found.add(work));
      return works.isEmpty();
    } catch (RuntimeException failed) {
      LOG.debug("alert {} fails, and is told so when it is run by itself", alert.id(), failed);
      return false;
    }
  }

  private List<Integer> note(Since since, List<AlertMapper.Row> quiet, long upTo) {
    Integer[] sources = harvests.endedSince(since.ran()).toArray(Integer[]::new);
    Instant now = calendar.now();
    return transaction.execute(
        status -> {
          List<Integer> noted =
              mapper.passed(
                  numbers(quiet, AlertMapper.Row::id),
                  numbers(quiet, AlertMapper.Row::version),
                  since.number(),
                  upTo,
                  sources.length == 0 ? null : now);
          checkpoint.pass("alerts: quiet, not noted");
          if (sources.length > 0) {
            mapper.addEmptyRuns(noted.toArray(Integer[]::new), since.number(), upTo, sources, now);
          }
          return noted;
        });
  }

  private static <T> Integer[] numbers(List<T> of, Function<T, Integer> number) {
    return of.stream().map(number).toArray(Integer[]::new);
  }
}
