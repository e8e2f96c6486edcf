package org.quietlantern.core.citation.check;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;

/** What of a work a group can read differently than it is supplied, as one line of text. */
public enum CitedField {
  TITLE("title"),
  AUTHORS("authors"),
  JOURNAL("journal or book"),
  PUBLISHER("publisher"),
  YEAR("date"),
  VOLUME("volume"),
  ISSUE("issue"),
  PAGES("pages"),
  DOI("DOI");

  private static final Pattern PAGE_RANGE = Pattern.compile("([^–-]+?)\\s*[–-]\\s*(.+)");
  private final String words;

  CitedField(String words) {
    this.words = words;
  }

  /** As people are told of it. */
  public String words() {
    return words;
  }

  /** As programs name it. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<CitedField> named(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
  }

  /** What a work says; empty for nothing. Authors as {@link AuthorsLine} writes them. */
  public String of(Publication work) {
    Host host = work.host();
    return switch (this) {
      case TITLE -> work.title();
      case AUTHORS -> AuthorsLine.write(work.contributors());
      case JOURNAL -> host.title();
      case PUBLISHER -> work.publisher();
      case YEAR -> work.issued().map(PartialDate::toString).orElse("");
      case VOLUME -> host.volume();
      case ISSUE -> host.issue();
      case PAGES -> host.pages("–");
      case DOI -> work.doi();
    };
  }

  /** Why a text cannot stand here, as a sentence; empty where it can. */
  public String refused(String text) {
    if (this == TITLE && text.isBlank()) {
      return "A work has a title.";
    }
    if (this == YEAR && !text.isEmpty() && PartialDate.read(text).isEmpty()) {
      return "A date is a year, a month or a day: 2026, 2026-11 or 2026-11-24.";
    }
    return "";
  }

  /** The same work with something else here; what is refused changes nothing. */
  public Publication with(Publication work, String text) {
    if (!refused(text).isEmpty()) {
      return work;
    }
    Host host = work.host();
    Other other = new Other(work);
    return switch (this) {
      case TITLE -> other.title(text);
      case AUTHORS -> other.contributors(AuthorsLine.read(text, work.contributors()));
      case JOURNAL ->
          other.host(
              new Host(
                  text,
                  host.issn(),
                  host.volume(),
                  host.issue(),
                  host.firstPage(),
                  host.lastPage()));
      case PUBLISHER -> other.publisher(text);
      case YEAR -> other.issued(PartialDate.read(text));
      case VOLUME ->
          other.host(
              new Host(
                  host.title(),
                  host.issn(),
                  text,
                  host.issue(),
                  host.firstPage(),
                  host.lastPage()));
      case ISSUE ->
          other.host(
              new Host(
                  host.title(),
                  host.issn(),
                  host.volume(),
                  text,
                  host.firstPage(),
                  host.lastPage()));
      case PAGES -> other.host(withPages(host, text));
      case DOI -> other.doi(text);
    };
  }

  private static Host withPages(Host host, String text) {
    Matcher range = PAGE_RANGE.matcher(text);
    boolean has = range.matches();
    return new Host(
        host.title(),
        host.issn(),
        host.volume(),
        host.issue(),
        has ? range.group(1) : text,
        has ? range.group(2) : "");
  }
}
