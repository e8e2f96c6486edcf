package org.quietlantern.core.text;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Where a copy request stands (rule T2). */
public enum RequestState {
  /** Somebody wants it; no library has it yet. */
  ASKED,
  /** A library has it. */
  SENT,
  /** The library wants to know something first. */
  ASKED_BACK,
  DELIVERED,
  REFUSED,
  /** What was delivered is there no longer. */
  EXPIRED,
  /** Nobody wants it any more. */
  WITHDRAWN;

  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  public static Optional<RequestState> named(String word) {
    return Arrays.stream(values()).filter(state -> state.word().equals(word)).findFirst();
  }

  /** Whether something is still to come of it, so that who asks too joins it. */
  public boolean isOpen() {
    return this == ASKED || this == SENT || this == ASKED_BACK;
  }
}
