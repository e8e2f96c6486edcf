package org.quietlantern.server.platform.job;

import java.time.Duration;

/**
 * Work that falls due by itself. May be killed anywhere and run again, and may run in any process;
 * one run of a job at a time.
 */
public interface Job {
  /** Unique, and kept from version to version. */
  String name();

  /** In system time, from the end of one run to the start of the next. */
  Duration every();

  void run();
}
