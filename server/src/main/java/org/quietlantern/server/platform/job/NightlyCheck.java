package org.quietlantern.server.platform.job;

/** Holds something derived against what it is derived from; run once a calendar day. */
public interface NightlyCheck {
  /** What is checked, as a person reads it. */
  String what();

  /** Puts right whatever was not so. Answers how much that was; 0 when all is well. */
  int mend();
}
