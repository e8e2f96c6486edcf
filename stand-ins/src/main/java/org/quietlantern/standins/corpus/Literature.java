package org.quietlantern.standins.corpus;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A made-up literature on outdoor light at night, the same for the same seed. See docs/corpus.md.
 *
 * @param works in the order of their dates, then what was published about some of them
 * @param notices what was published about a work, by the number of that work
 */
public record Literature(long seed, List<Work> works, Map<Integer, Work> notices) {
  /** Up to this day it is past. */
  public static final LocalDate TODAY = LocalDate.of(2026, 11, 17);

  /** Its sources began to supply on this day; what is older they supplied at once. */
  public static final LocalDate OPENING = TODAY.minusDays(1095);

  /** The seed of the demo and of tests. */
  public static final long SEED = 1887;

  public Literature {
    works = List.copyOf(works);
    notices = Map.copyOf(notices);
  }

  public static Literature of(long seed, Extent extent) {
    Works draw = new Works(seed);
    List<Work> works = new ArrayList<>();
    dates(new Random(seed), extent).forEach(date -> works.add(draw.next(date)));
    List<Work> notices = Notices.about(seed, works, TODAY.plusDays(extent.daysAhead()));
    works.addAll(notices);
    return new Literature(
        seed,
        works,
        notices.stream()
            .collect(Collectors.toMap(n -> n.about().orElseThrow(), Function.identity())));
  }

  private static List<LocalDate> dates(Random random, Extent extent) {
    List<LocalDate> dates = new ArrayList<>();
    for (int i = 0; i < extent.past(); i++) {
      dates.add(
          random.nextInt(100) < 24
              ? OPENING.minusDays((long) (11_000 * Math.pow(random.nextDouble(), 1.8)))
              : OPENING.plusDays(random.nextInt(1095)));
    }
    for (int day = 1; day <= extent.daysAhead(); day++) {
      LocalDate date = TODAY.plusDays(day);
      int many = many(random, date, extent.perDay());
      for (int i = 0; i < many; i++) {
        dates.add(date);
      }
    }
    dates.sort(null);
    return dates;
  }

  /** Nothing on Sundays, much when issues come out. */
  private static int many(Random random, LocalDate date, double perDay) {
    if (date.getDayOfWeek() == DayOfWeek.SUNDAY) {
      return 0;
    }
    boolean issues = date.getDayOfMonth() == 1 || date.getDayOfMonth() == 15;
    double mean = perDay * (issues ? 4 : 1);
    return (int) Math.round(mean * (0.3 + 1.4 * random.nextDouble()));
  }

  /** A generator for what is said of a work for one purpose; each purpose has a number. */
  public Random random(Work work, int purpose) {
    return Works.random(seed, work.number(), purpose);
  }

  public Work work(int number) {
    return works.get(number - 1);
  }

  /** What was published about a work: a correction, a retraction. */
  public Optional<Work> noticeOf(Work work) {
    return Optional.ofNullable(notices.get(work.number()));
  }
}
