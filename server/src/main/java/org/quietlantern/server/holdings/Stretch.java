package org.quietlantern.server.holdings;

import java.time.LocalDate;
import java.time.Period;
import org.quietlantern.core.holdings.Coverage;
import org.quietlantern.server.platform.Nullable;

/**
 * One stretch of a title that a group may read; open ends are left out.
 *
 * @param embargo what of it cannot be read, in words; empty for none
 * @param free readable by anybody
 */
public record Stretch(@Nullable String from, @Nullable String to, String embargo, boolean free) {

  public static Stretch of(Coverage coverage) {
    String embargo =
        (coverage.wall().isZero() ? "" : "not the last " + spoken(coverage.wall()))
            + (coverage.window().isZero() ? "" : "only the last " + spoken(coverage.window()));
    return new Stretch(
        coverage.from().equals(LocalDate.MIN) ? null : coverage.from().toString(),
        coverage.to().equals(LocalDate.MAX) ? null : coverage.to().toString(),
        embargo,
        coverage.free());
  }

  private static String spoken(Period period) {
    return period.getYears() > 0
        ? period.getYears() + " years"
        : period.getMonths() > 0 ? period.getMonths() + " months" : period.getDays() + " days";
  }
}
