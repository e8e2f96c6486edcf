package org.quietlantern.server.platform.job;

/** A check that can put right what it finds. */
public interface MendingCheck extends NightlyCheck {
  /** Puts right whatever is not so. Answers how much that was; 0 when all is well. */
  int mend();
}
