package org.quietlantern.core.publication;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

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
  LETTER,
  /** About another publication: a correction, a retraction. */
  NOTICE;

  private static final Set<String> NOTICES =
      Set.of("correction", "erratum", "retraction", "expression of concern");

  /** As people read and type it. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  public static Optional<Kind> named(String word) {
    String wanted = word.strip().toLowerCase(Locale.ROOT);
    return NOTICES.contains(wanted)
        ? Optional.of(NOTICE)
        : Arrays.stream(values()).filter(k -> k.word().equals(wanted)).findFirst();
  }
}
