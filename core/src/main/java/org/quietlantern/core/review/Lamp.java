package org.quietlantern.core.review;

import java.util.Locale;

/** A member's lamp on an arrival. */
public enum Lamp {
  UNLIT,
  LIT,
  /** Put on hold; still owed. */
  DIM,
  /** Left alone by choice: not reviewed, and not owed. */
  RESTED;

  /** Whether the member still has to look at it. */
  public boolean owes() {
    return this == UNLIT || this == DIM;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
