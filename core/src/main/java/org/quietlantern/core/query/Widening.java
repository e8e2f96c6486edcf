package org.quietlantern.core.query;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** A way to let a line find more; each is off until somebody asks for it (rule M6). */
public enum Widening {
  /** Irregular forms and spelling variants of its words. */
  VARIANTS,
  /** Other names of a heading. */
  NAMES,
  /** Headings below a heading. */
  NARROWER,
  /** Headings beside a heading. */
  RELATED,
  /** Inside the text of the publication. */
  TEXT;

  /** As a relation modifier in CQL; those about headings are told from modifiers of a heading. */
  public String modifier() {
    return this == VARIANTS ? word() : "widen." + word();
  }

  static Optional<Widening> ofModifier(String modifier) {
    return Arrays.stream(values())
        .filter(widening -> widening.modifier().equals(modifier))
        .findFirst();
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Throws {@link IllegalArgumentException} for a word that names none. */
  public static Widening of(String word) {
    for (Widening widening : values()) {
      if (widening.word().equals(word)) {
        return widening;
      }
    }
    throw new IllegalArgumentException("unknown widening: " + word);
  }
}
