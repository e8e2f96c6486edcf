package org.quietlantern.core.publication;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What is known of a work, one value per field. Text that is not known is empty.
 *
 * @param originalTitle in the language of the work, where {@code title} is a translation
 * @param pages how long it is, 0 if unknown
 * @param language as ISO 639-1, empty if unknown
 * @param open whether a copy is open to all
 * @param figures whether it has any, where a source says so
 */
public record Publication(
    String title,
    String originalTitle,
    Kind kind,
    VersionKind version,
    List<PersonName> authors,
    Optional<PartialDate> date,
    Host host,
    String publisher,
    String language,
    String abstractText,
    List<HeadingUse> headings,
    List<String> keywords,
    String doi,
    Relations relations,
    int pages,
    boolean open,
    Studied studied,
    Optional<Boolean> figures,
    Cited cited) {
  public Publication {
    authors = List.copyOf(authors);
    headings = List.copyOf(headings);
    keywords = List.copyOf(keywords);
    Objects.requireNonNull(kind);
    Objects.requireNonNull(studied);
    Objects.requireNonNull(cited);
    if (title.isBlank()) {
      throw new IllegalArgumentException("a publication without a title");
    }
    if (pages < 0) {
      throw new IllegalArgumentException("a negative number of pages: " + pages);
    }
  }

  /** The journal or book around it, else its publisher; empty if neither is known. */
  public String where() {
    return host.isKnown() ? host.title() : publisher;
  }

  /** Year of its earliest known appearance. */
  public Optional<Integer> year() {
    return date.map(PartialDate::year);
  }
}
