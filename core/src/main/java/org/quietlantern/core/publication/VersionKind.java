package org.quietlantern.core.publication;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Which form of a work it is (the terms of NISO RP-8 boiled down to the three that matter here).
 */
public enum VersionKind {
  PREPRINT,
  ACCEPTED,
  FINAL;

  /** Where nothing but its kind tells. */
  public static VersionKind of(Kind kind) {
    return kind == Kind.PREPRINT ? PREPRINT : FINAL;
  }

  /** As a property of the whole work: its latest form. */
  public String state() {
    return this == PREPRINT ? "preprint only" : word();
  }

  /** By its word. */
  public static Optional<VersionKind> named(String word) {
    return Arrays.stream(values()).filter(version -> version.word().equals(word)).findFirst();
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
