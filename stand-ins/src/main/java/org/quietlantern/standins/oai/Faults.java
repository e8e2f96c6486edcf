package org.quietlantern.standins.oai;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.quietlantern.standins.corpus.Literature;

/**
 * What goes wrong at a source: by its calendar, so that it happens in every demo, or when told to
 * by tests.
 */
public final class Faults {
  private static final int NEVER = Integer.MAX_VALUE;

  /** Days on which it is down: a first stretch in the past, three days ahead. */
  private static final Set<LocalDate> DOWN =
      Set.of(
          Literature.TODAY.minusDays(40),
          Literature.TODAY.plusDays(20),
          Literature.TODAY.plusDays(21),
          Literature.TODAY.plusDays(22));

  private final boolean hasBadDays;
  private final AtomicInteger goodAnswers = new AtomicInteger(NEVER);
  private volatile boolean down;
  private volatile boolean repeating;
  private volatile boolean garbled;
  private volatile boolean forgetful;

  Faults(boolean hasBadDays) {
    this.hasBadDays = hasBadDays;
  }

  /** Breaks off in the middle of the answer after so many good ones, once. */
  public void breakAfter(int answers) {
    goodAnswers.set(answers);
  }

  /** Answers 503 with Retry-After until told otherwise. */
  public void down(boolean now) {
    down = now;
  }

  /** Gives every page twice. */
  public void repeating(boolean now) {
    repeating = now;
  }

  /** Answers with a page for people instead of XML. */
  public void garbled(boolean now) {
    garbled = now;
  }

  /** Knows no token that it gave. */
  public void forgetful(boolean now) {
    forgetful = now;
  }

  boolean breaksNow() {
    boolean now = goodAnswers.get() != NEVER && goodAnswers.getAndDecrement() == 0;
    if (now) {
      goodAnswers.set(NEVER);
    }
    return now;
  }

  boolean isDown(Instant at) {
    return down || (hasBadDays && DOWN.contains(at.atZone(ZoneOffset.UTC).toLocalDate()));
  }

  /** On the thirteenth of each month, too. */
  boolean isRepeating(Instant at) {
    return repeating || (hasBadDays && at.atZone(ZoneOffset.UTC).getDayOfMonth() == 13);
  }

  boolean isGarbled() {
    return garbled;
  }

  boolean isForgetful() {
    return forgetful;
  }
}
