package org.quietlantern.server.journal;

import org.quietlantern.core.holdings.Journal;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Range;

/** Lines that narrow to a journal, under whichever title. */
final class JournalLines {
  private JournalLines() {}

  static Line in(Journal journal) {
    return new Line.Limited(
        "journal", Limit.any(Property.JOURNAL, journal.titles().toArray(String[]::new)), false);
  }

  static Line year(int year) {
    String whole = Integer.toString(year);
    return new Line.Limited("year", Limit.range(Property.DATE, Range.between(whole, whole)), false);
  }

  static Line source(String key) {
    return new Line.Limited("source", Limit.any(Property.SOURCE, key), false);
  }
}
