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
}
