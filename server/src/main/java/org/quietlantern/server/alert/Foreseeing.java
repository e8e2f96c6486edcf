package org.quietlantern.server.alert;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Range;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.watch.Expectation;
import org.quietlantern.core.watch.Tells;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Calendar;
import org.roaringbitmap.IntIterator;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;

/**
 * What an alert would bring, before it is set: what its search finds of the last twelve months, by
 * the month in which each work appeared. When works came here would tell less: a source that was
 * loaded whole came in a day.
 */
@Service
public class Foreseeing {
  static final int MONTHS = 12;
  private static final int TITLES = 3;
  private final Matching matching;
  private final Publications publications;
  private final Watchable watchable;
  private final Calendar calendar;

  /** A work of a month. */
  public record TitleForeseen(String id, String title) {}

  /**
   * A month.
   *
   * @param month as {@code 2026-03}
   * @param titles of those that came here last, at most three
   */
  public record MonthForeseen(String month, int count, List<TitleForeseen> titles) {}

  /**
   * What an alert would bring.
   *
   * @param found all that its search finds now
   * @param months twelve, the last is this one
   * @param yearOnly of this year and the last, without a month; they are in no month
   * @param aWeek how many a week, by those months
   * @param verdict {@code fine}, {@code much} or {@code little}
   */
  public record AlertForeseen(
      int found, List<MonthForeseen> months, int yearOnly, int aWeek, String verdict) {}

  Foreseeing(Matching matching, Publications publications, Watchable watchable, Calendar calendar) {
    this.matching = matching;
    this.publications = publications;
    this.watchable = watchable;
    this.calendar = calendar;
  }

  /**
   * Refused where the strategy cannot be watched.
   *
   * @param tells what it is to tell of that which it finds
   */
  public AlertForeseen of(Member who, Strategy strategy, Tells tells) {
    watchable.require(who.group(), strategy);
    return matching.look(
        who,
        look -> tells == Tells.CHANGES ? changes(who, look, strategy) : of(who, look, strategy));
  }

  /** By the month in which each change came here. One work may have changed several times. */
  private AlertForeseen changes(Member who, Matching.Look look, Strategy strategy) {
    LocalDate today = calendar.today(who.zoneId());
    RoaringBitmap found = look.snapshot().all(look.compile(strategy));
    YearMonth last = YearMonth.from(today);
    YearMonth first = last.minusMonths(MONTHS - 1L);
    Map<YearMonth, List<Integer>> months = new TreeMap<>();
    for (YearMonth month = first; !month.isAfter(last); month = month.plusMonths(1)) {
      months.put(month, new ArrayList<>());
    }
    publications.comeAgain(first.atDay(1).atStartOfDay(who.zoneId()).toInstant()).stream()
        .filter(change -> found.contains(change.work()))
        .forEach(
            change ->
                months
                    .getOrDefault(
                        YearMonth.from(change.at().atZone(who.zoneId())), new ArrayList<>())
                    .add(change.work()));
    Map<YearMonth, List<Integer>> named = new TreeMap<>();
    months.forEach((month, works) -> named.put(month, last(works)));
    List<MonthForeseen> shown =
        shown(who, months.keySet(), month -> months.get(month).size(), named);
    Expectation expected =
        new Expectation(shown.stream().mapToInt(MonthForeseen::count).sum(), 0, 0);
    // That nothing was retracted yet is no reason against it.
    boolean much = expected.verdict() == Expectation.Verdict.MUCH;
    return new AlertForeseen(
        found.getCardinality(), shown, 0, expected.aWeek(), much ? "much" : "fine");
  }

  private static List<Integer> last(List<Integer> works) {
    List<Integer> last =
        new ArrayList<>(works.subList(Math.max(0, works.size() - TITLES), works.size()));
    Collections.reverse(last);
    return last;
  }

  private List<MonthForeseen> shown(
      Member who,
      Collection<YearMonth> months,
      ToIntFunction<YearMonth> count,
      Map<YearMonth, List<Integer>> named) {
    Map<Integer, StoredPublication> stored =
        publications
            .byId(
                new Viewer(who.group()),
                named.values().stream().flatMap(List::stream).distinct().toList())
            .stream()
            .collect(Collectors.toMap(StoredPublication::asked, Function.identity()));
    return months.stream()
        .map(
            month ->
                new MonthForeseen(
                    month.toString(),
                    count.applyAsInt(month),
                    named.get(month).stream()
                        .filter(stored::containsKey)
                        .map(stored::get)
                        .map(one -> new TitleForeseen(one.pid(), one.publication().title()))
                        .toList()))
        .toList();
  }

  private AlertForeseen of(Member who, Matching.Look look, Strategy strategy) {
    LocalDate today = calendar.today(who.zoneId());
    RoaringBitmap found = look.snapshot().all(look.compile(strategy));
    Map<YearMonth, RoaringBitmap> months = byMonth(look, found, YearMonth.from(today), MONTHS);
    Map<YearMonth, List<Integer>> named = new TreeMap<>();
    months.forEach((month, ids) -> named.put(month, last(ids)));
    List<MonthForeseen> shown =
        shown(who, months.keySet(), month -> months.get(month).getCardinality(), named);
    int year = shown.stream().mapToInt(MonthForeseen::count).sum();
    int yearOnly =
        yearOnly(look, found, today.getYear()) + yearOnly(look, found, today.getYear() - 1);
    Expectation expected = new Expectation(year, found.getCardinality(), look.snapshot().size());
    return new AlertForeseen(
        found.getCardinality(),
        shown,
        yearOnly,
        expected.aWeek(),
        expected.verdict().name().toLowerCase(Locale.ROOT));
  }

  /**
   * The last so many months up to one, the first of them first, with what appeared in each. What a
   * group brought in itself it knows.
   */
  Map<YearMonth, RoaringBitmap> byMonth(
      Matching.Look look, RoaringBitmap found, YearMonth last, int many) {
    Map<YearMonth, RoaringBitmap> months = new TreeMap<>();
    for (int back = many - 1; back >= 0; back--) {
      YearMonth month = last.minusMonths(back);
      months.put(month, RoaringBitmap.and(found, appeared(look, month.toString())));
    }
    RoaringBitmap all = new RoaringBitmap();
    months.values().forEach(all::or);
    for (int own : publications.own(Arrays.stream(all.toArray()).boxed().toList())) {
      months.values().forEach(ids -> ids.remove(own));
    }
    return months;
  }

  private int yearOnly(Matching.Look look, RoaringBitmap found, int year) {
    RoaringBitmap rest = RoaringBitmap.and(found, appeared(look, Integer.toString(year)));
    for (int month = 1; month <= MONTHS; month++) {
      rest.andNot(appeared(look, YearMonth.of(year, month).toString()));
    }
    return rest.getCardinality();
  }

  /** {@code when}: a year or a month. */
  private static RoaringBitmap appeared(Matching.Look look, String when) {
    Limit limit = Limit.range(Property.DATE, Range.between(when, when));
    return look.snapshot()
        .all(look.compile(new Strategy(List.of(new Line.Limited("1", limit, false)))));
  }

  private static List<Integer> last(RoaringBitmap ids) {
    List<Integer> last = new ArrayList<>();
    IntIterator backwards = ids.getReverseIntIterator();
    while (backwards.hasNext() && last.size() < TITLES) {
      last.add(backwards.next());
    }
    return last;
  }
}
