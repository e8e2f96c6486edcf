package org.quietlantern.standins.corpus;

import java.time.LocalDate;
import java.util.List;

/**
 * A made-up publication. {@code date} is to the day; {@code journal} is null for a thesis or
 * report.
 */
public record Work(
    int number,
    String kind,
    String title,
    List<Author> authors,
    Journal journal,
    int volume,
    int issue,
    int firstPage,
    int pages,
    LocalDate date,
    String language,
    String abstractText,
    List<Topic> topics,
    List<String> keywords,
    boolean open) {
  public Work {
    authors = List.copyOf(authors);
    topics = List.copyOf(topics);
    keywords = List.copyOf(keywords);
  }

  /** A made-up person. */
  public record Author(String given, String family) {}

  /** A made-up journal. */
  public record Journal(String title, String issn, String letters, String publisher) {}

  /** A subject heading; {@code central} where the work is mainly about it. */
  public record Topic(String label, boolean central) {
    /** A name for it that stays the same. */
    public String uri() {
      return "urn:quietlantern:heading:"
          + label.toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z]+", "-");
    }
  }

  public String doi() {
    String letters = journal == null ? "th" : journal.letters();
    return "10.5555/%s.%d.%05d".formatted(letters, date.getYear(), number);
  }

  /** The same work with another title. */
  Work titled(String other) {
    return new Work(
        number,
        kind,
        other,
        authors,
        journal,
        volume,
        issue,
        firstPage,
        pages,
        date,
        language,
        abstractText,
        topics,
        keywords,
        open);
  }
}
