package org.quietlantern.core.citation.csl;

import java.util.List;

/**
 * A date, or a range of two.
 *
 * @param parts one or two; none for a literal one
 * @param circa whether it is uncertain
 * @param literal as it shall be printed; empty for a date that is known by its parts
 */
public record ItemDate(List<Parts> parts, boolean circa, String literal) {
  /**
   * {@code month} 0: none, 13 to 24: seasons, again and again from spring on; what is no month and
   * no season is none. {@code day} 0: none; years BC are negative.
   */
  public record Parts(int year, int month, int day) {
    private static final int LAST_SEASON = 24;

    public Parts {
      if (month < 1 || month > LAST_SEASON) {
        month = 0;
        day = 0;
      }
    }

    boolean isSeason() {
      return month > 12;
    }

    /** 1 to 4. */
    int season() {
      return (month - 1) % 4 + 1;
    }
  }

  public ItemDate {
    parts = List.copyOf(parts);
  }

  /** The end of an open range is year 0. */
  boolean isRange() {
    return parts.size() > 1;
  }

  Parts from() {
    return parts.get(0);
  }
}
