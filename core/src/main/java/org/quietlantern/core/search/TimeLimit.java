package org.quietlantern.core.search;

import java.time.Duration;
import java.util.function.Supplier;

/**
 * How long may be searched for one question. What is asked inside of {@link #within} is given up
 * once the time is over; what is asked outside of it has all the time it needs.
 */
public final class TimeLimit {
  private static final ThreadLocal<Long> END = new ThreadLocal<>();

  private TimeLimit() {}

  /** A question that was given up. */
  public static final class Over extends RuntimeException {
    private static final long serialVersionUID = 1;
  }

  /** Throws {@link Over} where the work takes longer. */
  public static <T> T within(Duration limit, Supplier<T> work) {
    Long before = END.get();
    END.set(System.nanoTime() + limit.toNanos());
    try {
      return work.get();
    } finally {
      if (before == null) {
        END.remove();
      } else {
        END.set(before);
      }
    }
  }

  /** Called by whatever may take long, again and again. */
  static void check() {
    Long end = END.get();
    if (end != null && System.nanoTime() - end > 0) {
      throw new Over();
    }
  }
}
