package org.quietlantern.core.reference;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/** What a table can show of works beside each other. */
public enum TableColumn {
  AUTHORS,
  YEAR,
  TITLE,
  PUBLISHED_IN,
  KIND,
  STATE,
  STUDY,
  TAXON,
  REGION,
  STAGE,
  SEX,
  HEADINGS,
  KEYWORDS,
  PAGES,
  REFERENCES,
  DOI,
  LINK,
  ABSTRACT,
  /** Who added it, and when. */
  ADDED,
  /** Why it was kept. */
  REASONS,
  MARKS,
  ANNOTATION;

  /** By its word. */
  public static Optional<TableColumn> named(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
  }

  /** As it heads the column. */
  public String word() {
    return this == DOI ? name() : name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  /** Whether it is something that members said, and not something of the work. */
  public boolean isSaid() {
    return compareTo(ADDED) >= 0;
  }

  /** Of a work; empty for what members said. */
  String of(Publication work, String link) {
    return switch (this) {
      case AUTHORS ->
          work.authors().stream().map(PersonName::sorted).collect(Collectors.joining("; "));
      case YEAR -> work.citedYear().map(String::valueOf).orElse("");
      case TITLE -> work.title();
      case PUBLISHED_IN -> work.where();
      case KIND -> work.kind().word();
      case STATE -> work.version().state();
      case STUDY -> lines(work.studied().kinds());
      case TAXON -> lines(work.studied().taxa());
      case REGION -> lines(work.studied().regions());
      case STAGE -> lines(work.studied().stages());
      case SEX -> lines(work.studied().sexes());
      case HEADINGS -> lines(work.headings().stream().map(HeadingUse::label).toList());
      case KEYWORDS -> lines(work.keywords());
      case PAGES -> work.pages() > 0 ? String.valueOf(work.pages()) : "";
      case REFERENCES -> work.cited().known() ? String.valueOf(work.cited().dois().size()) : "";
      case DOI -> work.doi();
      case LINK -> link;
      case ABSTRACT -> work.abstractText();
      case ADDED, REASONS, MARKS, ANNOTATION -> "";
    };
  }

  private static String lines(List<String> labels) {
    return String.join("; ", labels);
  }
}
