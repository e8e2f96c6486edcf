package org.quietlantern.core.search;

import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Locale;
import org.apache.lucene.index.LeafReaderContext;
import org.quietlantern.core.query.Property;

/** The bars of properties that are chosen from one end to the other: times and lengths. */
final class RangeBars {
  /** Bars are numbered below this. */
  static final int NUMBERS = 13 * 10_000;

  /** The months of a year, and before them what has the year only. */
  private static final int PARTS = 13;

  private static final int[] PAGES = {1, 5, 10, 15, 20, 30, 50, 100, 200, 500};
  private static final int LONGEST_MONTH = 31;
  private final Property property;
  private final boolean months;
  private final PropertyColumns columns;
  private final SearchContext circumstances;

  RangeBars(Breakdown.Asked asked, PropertyColumns columns, SearchContext circumstances) {
    this.property = asked.property();
    this.months = asked.months() && property == Property.DATE;
    this.columns = columns;
    this.circumstances = circumstances;
  }

  /** The bar of each document of a segment; {@link Columns#NOTHING} for none. */
  int[] numbers(LeafReaderContext leaf) throws IOException {
    return switch (property) {
      case DATE -> months ? months(leaf) : years(leaf);
      case PAGES -> columns.bars(leaf, "bars pages", IndexFields.PAGES, RangeBars::place);
      default -> came(leaf);
    };
  }

  private int[] years(LeafReaderContext leaf) throws IOException {
    return columns.bars(
        leaf, "bars year", IndexFields.PUBLISHED, day -> LocalDate.ofEpochDay(day).getYear());
  }

  private int[] came(LeafReaderContext leaf) throws IOException {
    return columns.bars(
        leaf,
        "bars came " + circumstances.zone(),
        IndexFields.CAME,
        seconds ->
            month(Instant.ofEpochSecond(seconds).atZone(circumstances.zone()).toLocalDate()));
  }

  /** What has only a year has a bar of its own before those of the months (rule L6). */
  private int[] months(LeafReaderContext leaf) throws IOException {
    int[] latest = columns.numbers(leaf, IndexFields.PUBLISHED_LAST);
    int[] first = columns.numbers(leaf, IndexFields.PUBLISHED);
    int[] bars = new int[first.length];
    for (int doc = 0; doc < bars.length; doc++) {
      boolean hasMonth = latest[doc] - first[doc] < LONGEST_MONTH;
      bars[doc] =
          first[doc] == Columns.NOTHING
              ? Columns.NOTHING
              : part(LocalDate.ofEpochDay(first[doc]), hasMonth);
    }
    return bars;
  }

  private static int part(LocalDate day, boolean hasMonth) {
    return day.getYear() * PARTS + (hasMonth ? day.getMonthValue() : 0);
  }

  private static int month(LocalDate day) {
    return day.getYear() * 12 + day.getMonthValue() - 1;
  }

  private static int place(int pages) {
    int at = 0;
    while (at + 1 < PAGES.length && PAGES[at + 1] <= pages) {
      at++;
    }
    return at;
  }

  /** The value of a bar: a year, a month, or pages from and to. */
  String name(int number) {
    if (property == Property.PAGES) {
      return number + 1 < PAGES.length
          ? PAGES[number] + "-" + (PAGES[number + 1] - 1)
          : PAGES[number] + "-";
    }
    if (months) {
      String year = String.format(Locale.ROOT, "%04d", number / PARTS);
      int month = number % PARTS;
      return month == 0 ? year : year + String.format(Locale.ROOT, "-%02d", month);
    }
    return property == Property.CAME
        ? String.format(Locale.ROOT, "%04d-%02d", number / 12, number % 12 + 1)
        : String.format(Locale.ROOT, "%04d", number);
  }
}
