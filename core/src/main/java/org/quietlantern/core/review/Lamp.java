package org.quietlantern.core.review;

import java.util.Locale;
import java.util.Optional;

/** A member's lamp on an arrival. */
public enum Lamp {
  UNLIT,
  LIT,
  /** Put on hold; still owed. */
  DIM,
  /** Left alone by choice: not reviewed, and not owed. */
  RESTED;

  /** Of whoever says this. */
  public static Lamp of(Optional<Mark> said) {
    return said.map(Mark::lamp).orElse(UNLIT);
  }

  /** Whether the member still has to look at it. */
  public boolean owes() {
    return this == UNLIT || this == DIM;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
