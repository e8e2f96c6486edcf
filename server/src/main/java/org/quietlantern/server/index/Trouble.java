package org.quietlantern.server.index;

import java.time.Instant;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Since when the index stands still; said once, and tried again at growing intervals. */
final class Trouble {
  private static final Logger LOG = LoggerFactory.getLogger(Trouble.class);
  private static final int LONGEST_PAUSE = 60;
  private Instant since;
  private int pause;
  private int waited;

  /** Again and again while it lasts. */
  synchronized void begins(Instant now, RuntimeException why) {
    if (since == null) {
      since = now;
      LOG.error("the index cannot be brought up to date; it stands still and is tried again", why);
    }
    pause = Math.min(LONGEST_PAUSE, Math.max(1, pause * 2));
    waited = 0;
  }

  synchronized void ends() {
    if (since != null) {
      LOG.warn("the index is up to date again; it stood still since {}", since);
    }
    since = null;
    pause = 0;
  }

  synchronized boolean isThere() {
    return since != null;
  }

  synchronized Optional<Instant> since() {
    return Optional.ofNullable(since);
  }

  /** Asked once a second. */
  synchronized boolean mayTry() {
    return ++waited > pause;
  }
}
