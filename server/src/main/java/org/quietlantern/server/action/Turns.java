package org.quietlantern.server.action;

import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.quietlantern.server.platform.Refusal;

/**
 * Commands of one group are carried out one after the other. Whoever waits here holds nothing:
 * those who waited in the database each held one of its few connections, and all groups stood
 * still.
 */
final class Turns {
  /** More of one group than this come from no hands. */
  private static final int MOST_WAITING = 40;

  private final Map<Integer, Semaphore> byGroup = new ConcurrentHashMap<>();
  private final Duration longest;

  Turns(Duration longest) {
    this.longest = longest;
  }

  /** Does the work when it is the group's turn; 503 if that does not come. */
  <T> T take(int group, Supplier<T> work) {
    Semaphore turn = byGroup.computeIfAbsent(group, g -> new Semaphore(1, true));
    if (turn.getQueueLength() >= MOST_WAITING || !acquire(turn)) {
      throw Refusal.busy(
          "Other changes of the group are still being made; this one was not. Try again in a moment.");
    }
    try {
      return work.get();
    } finally {
      turn.release();
    }
  }

  private boolean acquire(Semaphore turn) {
    try {
      return turn.tryAcquire(longest.toMillis(), TimeUnit.MILLISECONDS);
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("stopped while waiting for a turn", stop);
    }
  }
}
