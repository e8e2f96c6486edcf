package org.quietlantern.core.review;

import java.util.Collection;
import java.util.List;

/**
 * Works on which members decide apart (rule V6): until as many have decided as were asked for,
 * nobody reads what another said. Then all of it is opened.
 */
public final class Apart {
  /** With fewer readers there is nobody from whom anything would have to be kept. */
  private static final int FEWEST = 2;

  private Apart() {}

  /**
   * Whether it makes a difference, where so many are asked and there are so many members who may
   * mark.
   */
  public static boolean isKept(int asked, int members) {
    return Math.min(asked, members) >= FEWEST;
  }

  /**
   * What an event says of a mark that others must not read: that somebody has reviewed the work, or
   * holds it. Others are told the first only.
   */
  public static Mark told(Mark said) {
    return switch (said.lamp()) {
      case LIT -> Mark.SEEN;
      case DIM -> Mark.HOLD;
      case RESTED, UNLIT -> said;
    };
  }

  /**
   * Whether it is time to open.
   *
   * @param said the marks in force, one of each member
   * @param asked how many shall decide; never more than there are members
   */
  public static boolean isOver(Collection<Mark> said, int asked, int members) {
    return said.stream().filter(Apart::isIn).count() >= Math.min(asked, members);
  }

  /** A verdict as it stood when it was opened; {@code apart}: said before others were read. */
  public record Verdict(int member, Mark mark, boolean apart) {}

  /** What a work tells of how far readers agree. */
  public enum Tells {
    /** Exactly as many as were asked for decided, each apart. */
    COUNTS,
    /** Somebody had decided where others could read it. */
    IN_THE_OPEN,
    /** Others than were asked for: somebody brought it to the group instead, or more decided. */
    NOT_SO_MANY
  }

  /**
   * @param said as it stood at the opening, one of each member, also what is no verdict
   * @param asked how many had to decide
   */
  public static Tells tells(Collection<Verdict> said, int asked) {
    List<Verdict> verdicts = said.stream().filter(one -> one.mark().isVerdict()).toList();
    if (verdicts.stream().anyMatch(one -> !one.apart())) {
      return Tells.IN_THE_OPEN;
    }
    return verdicts.size() == asked ? Tells.COUNTS : Tells.NOT_SO_MANY;
  }

  /** Whoever brings a work to the group has said what they have to say, too. */
  private static boolean isIn(Mark said) {
    return said.isVerdict() || said == Mark.RAISE;
  }
}
