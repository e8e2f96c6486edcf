package org.quietlantern.core.review;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a group's meeting came to on a work. */
public enum Outcome {
  KEEP,
  PASS,
  /** Talked about, and left for another time. */
  OPEN;

  /** Whether it settles what was raised and what members disagree on. */
  public boolean settles() {
    return this != OPEN;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Outcome> named(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
  }
}
