package org.quietlantern.core.watch;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import org.quietlantern.core.publication.PartialDate;

/** In which way a first coming is new. */
public enum NewClass {
  /** Appeared not long before it came here, or is still to appear. */
  PUBLISHED,
  /** Older when it came here. */
  LATE,
  UNDATED,
  /** Was here already; its record changed. */
  NOW_MATCHING,
  /** Was here already; headings, holdings or the like changed. */
  WIDENED,
  /** A new revision of the search matches it. */
  EDITED;

  private static final int MONTHS = 12;

  /**
   * @param came the day it came here, on the calendar of the group
   * @param wasHere whether it was in the catalogue before the changes that the alert looked at
   */
  public static NewClass of(Optional<PartialDate> published, LocalDate came, boolean wasHere) {
    if (wasHere) {
      return NOW_MATCHING;
    }
    if (published.isEmpty()) {
      return UNDATED;
    }
    PartialDate date = published.get();
    boolean recent =
        date.onlyYear()
            ? date.year() >= came.getYear() - 1
            : !date.earliest().isBefore(came.minusMonths(MONTHS));
    return recent ? PUBLISHED : LATE;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
