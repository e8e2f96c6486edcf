package org.quietlantern.core.review;

import java.util.Arrays;
import java.util.Collection;
import java.util.Locale;
import java.util.Optional;

/** What covers an arrival (rules V4, V6). */
public enum Covers {
  /** Any mark that lights a lamp. */
  MARK,
  /** A keep or a pass. */
  VERDICT,
  /** The same, and nobody reads what another said until as many have decided as were asked for. */
  APART;

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Covers> named(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
  }

  /** How many of the marks on an arrival count. */
  int count(Collection<Mark> said) {
    return (int)
        said.stream()
            .filter(mark -> this == MARK ? mark.lamp() == Lamp.LIT : mark.isVerdict())
            .count();
  }
}
