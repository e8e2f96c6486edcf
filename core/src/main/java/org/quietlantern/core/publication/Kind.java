package org.quietlantern.core.publication;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What sort of publication it is. */
public enum Kind {
  ARTICLE,
  REVIEW,
  PREPRINT,
  BOOK,
  CHAPTER,
  THESIS,
  REPORT,
  CONFERENCE_PAPER,
  DATASET,
  EDITORIAL,
  LETTER;

  /** As people read and type it. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  public static Optional<Kind> named(String word) {
    return Arrays.stream(values()).filter(k -> k.word().equalsIgnoreCase(word.strip())).findFirst();
  }
}
