package org.quietlantern.core.mail;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * When a letter that could not be handed over is tried again: soon at first, then ever more rarely,
 * for about two days (RFC 5321, 4.5.4.1, asks for a queue that gives up after days, not hours).
 */
public final class Patience {
  /** After so many letters that came back in a row an address is left alone. */
  public static final int RETURNS = 5;

  private static final List<Duration> PAUSES =
      List.of(
          Duration.ofMinutes(1),
          Duration.ofMinutes(5),
          Duration.ofMinutes(15),
          Duration.ofHours(1),
          Duration.ofHours(4),
          Duration.ofHours(12),
          Duration.ofHours(24));

  private Patience() {}

  /** {@code tries}: how many have failed, from 1; empty: it is given up. */
  public static Optional<Duration> after(int tries) {
    return tries > PAUSES.size() ? Optional.empty() : Optional.of(PAUSES.get(tries - 1));
  }
}
