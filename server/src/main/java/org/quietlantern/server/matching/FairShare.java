package org.quietlantern.server.matching;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.quietlantern.server.platform.Presence;
import org.quietlantern.server.platform.Refusal;

/**
 * Lets so many searches work at once as there is room for, and nobody take it all: a member and a
 * group have a bound of their own, and whoever has the least at work comes next, in the order of
 * coming. One member's twenty long searches keep nobody else waiting.
 */
final class FairShare {
  private static final int OF_A_MEMBER = 2;

  /** Milliseconds between two looks whether somebody still waits. */
  private static final int LOOK_EVERY = 100;

  private final int places;
  private final int ofGroup;
  private final Duration longest;
  private final List<Waiting> queue = new ArrayList<>();
  private final Map<Integer, Integer> byMember = new HashMap<>();
  private final Map<Integer, Integer> byGroup = new HashMap<>();
  private int working;

  private record Waiting(int member, int group, CountDownLatch turn) {}

  /**
   * @param processors more at once than these share them
   * @param longest how long one waits for its turn at most
   */
  FairShare(int processors, Duration longest) {
    this.places = Math.max(2, processors) + OF_A_MEMBER;
    this.ofGroup = places - 1;
    this.longest = longest;
  }

  /** Does the work when it is its turn; 503 if that does not come, nothing if nobody waits. */
  <T> T take(int member, int group, Supplier<T> work) {
    Waiting me = new Waiting(member, group, new CountDownLatch(1));
    synchronized (this) {
      queue.add(me);
      next();
    }
    try {
      if (!comes(me.turn()) && !begins(me)) {
        throw Presence.left()
            ? Refusal.left()
            : Refusal.busy(
                "Too many searches are at work; this one waited %d seconds for its turn. Try again in a moment."
                    .formatted(longest.toSeconds()));
      }
    } catch (InterruptedException stop) {
      leave(me);
      Thread.currentThread().interrupt();
      throw new IllegalStateException("stopped while waiting for a turn", stop);
    }
    try {
      return work.get();
    } finally {
      done(me);
    }
  }

  /** Whether the turn comes while somebody waits for it, and soon enough. */
  private boolean comes(CountDownLatch turn) throws InterruptedException {
    long end = System.nanoTime() + longest.toNanos();
    while (System.nanoTime() - end < 0 && !Presence.left()) {
      if (turn.await(LOOK_EVERY, TimeUnit.MILLISECONDS)) {
        return true;
      }
    }
    return false;
  }

  /**
   * Whether its turn came in the very moment that it gave up; it is not in the queue after this.
   */
  private synchronized boolean begins(Waiting me) {
    return !queue.remove(me);
  }

  private synchronized void leave(Waiting me) {
    if (!queue.remove(me)) {
      done(me);
    }
  }

  private synchronized void done(Waiting me) {
    working--;
    byMember.merge(me.member(), -1, FairShare::orNone);
    byGroup.merge(me.group(), -1, FairShare::orNone);
    next();
  }

  private static Integer orNone(int now, int change) {
    return now + change == 0 ? null : Integer.valueOf(now + change);
  }

  private synchronized void next() {
    while (working < places) {
      Waiting first =
          queue.stream()
              .filter(w -> of(byMember, w.member()) < OF_A_MEMBER)
              .filter(w -> of(byGroup, w.group()) < ofGroup)
              .min(
                  Comparator.<Waiting>comparingInt(w -> of(byMember, w.member()))
                      .thenComparingInt(w -> of(byGroup, w.group())))
              .orElse(null);
      if (first == null) {
        return;
      }
      queue.remove(first);
      working++;
      byMember.merge(first.member(), 1, Integer::sum);
      byGroup.merge(first.group(), 1, Integer::sum);
      first.turn().countDown();
    }
  }

  private static int of(Map<Integer, Integer> counts, int whose) {
    return counts.getOrDefault(whose, 0);
  }

  synchronized int waiting() {
    return queue.size();
  }

  /** How many of one member's searches wait for their turn. */
  synchronized int waitingOf(int member) {
    return (int) queue.stream().filter(waiting -> waiting.member() == member).count();
  }
}
