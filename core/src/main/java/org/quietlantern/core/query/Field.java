package org.quietlantern.core.query;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** A part of a publication that can be searched by name. */
public enum Field {
  TITLE,
  ABSTRACT,
  AUTHOR,
  HEADING,
  KEYWORD,
  JOURNAL,
  YEAR,
  LANGUAGE,
  KIND,
  DOI,
  /** DOI of a work that it cites. */
  CITES,
  /** DOI or public id of a publication that cites it. */
  CITEDBY,
  /** Public id. */
  ID,
  /** Words written in capitals throughout, in title, abstract or keywords. */
  CAPITALS,
  /** Words inside the texts that the group may read. */
  TEXT;

  /** As it is typed before a colon. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Field> named(String word) {
    return Arrays.stream(values()).filter(f -> f.word().equalsIgnoreCase(word)).findFirst();
  }

  /** All names, for a message. */
  public static String list() {
    return Arrays.stream(values()).map(Field::word).collect(Collectors.joining(", "));
  }
}
