package org.quietlantern.server.platform.job;

/**
 * Holds something against what it ought to be: what is derived, against what it is derived from.
 * Run once a calendar day, and when a steward asks.
 */
public interface NightlyCheck {
  /** What is checked, as a person reads it. */
  String what();

  /** How much is not so. Changes nothing. */
  int look();

  /** Puts right whatever is not so. Answers how much that was; 0 when all is well. */
  int mend();

  /** Whether it can put anything right; what cannot is only told. */
  default boolean mends() {
    return true;
  }
}
