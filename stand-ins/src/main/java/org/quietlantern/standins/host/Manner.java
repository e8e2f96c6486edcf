package org.quietlantern.standins.host;

import org.quietlantern.standins.corpus.Work;

/** How the place behaves where a text should be; nearly all just have it. */
enum Manner {
  HAS_IT,
  /** 410. */
  DEAD,
  /** Is elsewhere now, for good. */
  MOVED,
  /** A few bytes a second. */
  SLOW,
  /** Only the abstract, however it is asked for. */
  ABSTRACT,
  /** The text of another work. */
  OTHER_WORK,
  /** A page about the file instead of the file. */
  PAGE;

  private static final int ROUND = 61;

  static Manner of(Work work) {
    return switch (work.number() % ROUND) {
      case 7 -> DEAD;
      case 13 -> MOVED;
      case 19 -> SLOW;
      case 29 -> ABSTRACT;
      case 37 -> OTHER_WORK;
      case 43 -> PAGE;
      default -> HAS_IT;
    };
  }
}
