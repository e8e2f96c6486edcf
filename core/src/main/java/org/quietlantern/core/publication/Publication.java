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
 * @param date of the earliest appearance of any version
 * @param issued when that version appeared whose place ({@code host}) stands here; this year is
 *     cited
 * @param identifiers numbers besides the DOI
 * @param contributors everybody who took part, in the order of the source; the authors among them
 * @param copies where sources say that it can be met, the best version first
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
    Cited cited,
    Optional<PartialDate> issued,
    List<Identifier> identifiers,
    List<Contributor> contributors,
    List<Copy> copies) {
  public Publication {
    copies = copies == null ? List.of() : List.copyOf(copies);
    // Values that were stored by an earlier reader of records lack what that did not read.
    issued = issued == null || issued.isEmpty() ? date : issued;
    identifiers = identifiers == null ? List.of() : List.copyOf(identifiers);
    contributors =
        contributors == null || contributors.isEmpty()
            ? authors.stream().map(Contributor::author).toList()
            : List.copyOf(contributors);
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

  /** One version of which nothing more is known. */
  public Publication(
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
    this(
        title,
        originalTitle,
        kind,
        version,
        authors,
        date,
        host,
        publisher,
        language,
        abstractText,
        headings,
        keywords,
        doi,
        relations,
        pages,
        open,
        studied,
        figures,
        cited,
        date,
        List.of(),
        List.of(),
        List.of());
  }

  /** The year to cite: of the version whose volume and pages stand here. */
  public Optional<Integer> citedYear() {
    return issued.map(PartialDate::year);
  }

  /** The journal or book around it, else its publisher; empty if neither is known. */
  public String where() {
    return host.isKnown() ? host.title() : publisher;
  }

  /** Its ISBNs, of thirteen digits each, in the order of the source. */
  public List<String> isbns() {
    return identifiers.stream()
        .filter(one -> one.scheme().equals(Identifier.ISBN))
        .map(Identifier::value)
        .toList();
  }

  /** Year of its earliest known appearance. */
  public Optional<Integer> year() {
    return date.map(PartialDate::year);
  }
}
