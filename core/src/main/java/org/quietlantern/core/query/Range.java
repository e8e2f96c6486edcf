package org.quietlantern.core.query;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.regex.Pattern;

/**
 * From one end to the other, both in; an empty end is open.
 *
 * @param from a year or a month for dates (2016, 2016-03), pages, or a day for coming here
 * @param last years before this one, in place of both ends, rolling with the calendar; 0 if none
 */
public record Range(String from, String to, int last) {
  public static final Range NONE = new Range("", "", 0);

  /** Years that may be asked for at once. */
  public static final int MOST_YEARS = 500;

  private static final Pattern YEAR = Pattern.compile("\\d{4}");

  public Range {
    if (last < 0 || last > MOST_YEARS) {
      throw new IllegalArgumentException(
          "the last " + last + " years; between 1 and " + MOST_YEARS + " can be asked for");
    }
    if (last > 0 && !(from.isEmpty() && to.isEmpty())) {
      throw new IllegalArgumentException("either the last years, or a beginning and an end");
    }
  }

  public static Range between(String from, String to) {
    return new Range(from, to, 0);
  }

  public static Range lastYears(int years) {
    return new Range("", "", years);
  }

  public boolean isSet() {
    return last > 0 || !from.isEmpty() || !to.isEmpty();
  }

  /** With its ends the right way round. */
  public Range ordered(Property property) {
    boolean both = !from.isEmpty() && !to.isEmpty();
    return both && first(property, from) > last(property, to) ? new Range(to, from, 0) : this;
  }

  /** The present dates of a rolling range: this year and so many before it; else as it is. */
  public Range on(LocalDate today) {
    return last == 0
        ? this
        : between(Integer.toString(today.getYear() - last), Integer.toString(today.getYear()));
  }

  /** The least value of an end: months since year 0, pages, or days since 1970. */
  public static long first(Property property, String end) {
    return end.isEmpty() ? Long.MIN_VALUE : number(property, end, 1);
  }

  /** The greatest value of an end. */
  public static long last(Property property, String end) {
    return end.isEmpty() ? Long.MAX_VALUE : number(property, end, 12);
  }

  private static long number(Property property, String end, int month) {
    try {
      return switch (property) {
        case DATE -> months(end, month);
        case CAME -> LocalDate.parse(end).toEpochDay();
        default -> Integer.parseUnsignedInt(end);
      };
    } catch (java.time.DateTimeException | NumberFormatException unreadable) {
      throw new IllegalArgumentException(
          "“" + end + "” cannot be read as " + expected(property), unreadable);
    }
  }

  private static long months(String end, int month) {
    YearMonth read =
        YEAR.matcher(end).matches()
            ? YearMonth.of(Integer.parseInt(end), month)
            : YearMonth.parse(end);
    return read.getYear() * 12L + read.getMonthValue() - 1;
  }

  private static String expected(Property property) {
    return switch (property) {
      case DATE -> "a year (2016) or a month (2016-03)";
      case CAME -> "a day (2026-11-25)";
      default -> "a number of pages";
    };
  }

  /** Refuses ends that cannot be read. */
  void check(Property property) {
    first(property, from);
    last(property, to);
    if (last > 0 && property != Property.DATE) {
      throw new IllegalArgumentException("only dates can roll with the calendar");
    }
  }
}
