package org.quietlantern.core.publication;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A date as sources give it: a year, a month or a day (W3CDTF, the date levels). {@code month} and
 * {@code day} are 0 where unknown.
 */
public record PartialDate(int year, int month, int day) {
  private static final Pattern FORM = Pattern.compile("(\\d{4})(?:-(\\d\\d)(?:-(\\d\\d))?)?");

  /** Letters of a date that end behind its month, and behind its year. */
  private static final int MONTH = "2026-11".length();

  private static final int YEAR = "2026".length();

  public PartialDate {
    if (year < 1 || year > 9999 || (month == 0 && day != 0)) {
      throw new IllegalArgumentException("bad date " + year + "-" + month + "-" + day);
    }
    if (day != 0) {
      LocalDate.of(year, month, day);
    } else if (month != 0) {
      YearMonth.of(year, month);
    }
  }

  /** Reads {@code 2026}, {@code 2026-11} or {@code 2026-11-24}; anything else is no date. */
  public static Optional<PartialDate> read(String text) {
    Matcher form = FORM.matcher(text.strip());
    if (!form.matches()) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          new PartialDate(
              Integer.parseInt(form.group(1)), part(form.group(2)), part(form.group(3))));
    } catch (IllegalArgumentException | java.time.DateTimeException noSuchDay) {
      return Optional.empty();
    }
  }

  private static int part(String digits) {
    return digits == null ? 0 : Integer.parseInt(digits);
  }

  /** The first day that it can mean. */
  public LocalDate earliest() {
    return LocalDate.of(year, Math.max(month, 1), Math.max(day, 1));
  }

  /** The last day that it can mean. */
  public LocalDate latest() {
    return day > 0 ? earliest() : YearMonth.of(year, month > 0 ? month : 12).atEndOfMonth();
  }

  public boolean onlyYear() {
    return month == 0;
  }

  /** As read: as many parts as are known. */
  @Override
  public String toString() {
    String whole = earliest().toString();
    return whole.substring(0, day > 0 ? whole.length() : month > 0 ? MONTH : YEAR);
  }
}
