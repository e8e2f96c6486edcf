package org.quietlantern.core.review;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * How far a group has got with a work that came in. Each work has one fate, so that numbers of them
 * add up.
 *
 * @param why of a pass its reason, of what is open what keeps it so; may be empty
 */
public record Fate(End end, String why) {
  /** Why a work is passed that a meeting passed. */
  public static final String TOGETHER = "decided together";

  public static final String RAISED = "raised";
  public static final String DISPUTED = "we disagree";
  public static final String ON_HOLD = "on hold";
  public static final String WAITS_FOR_TEXT = "waits for its text";

  /** In what it ends; {@code OPEN}: somebody has looked, and it is not decided. */
  public enum End {
    KEPT,
    PASSED,
    OPEN,
    /** Looked at, and nothing said of it. */
    SEEN,
    NOBODY
  }

  /** What a member says. */
  public record Said(Mark mark, String reason, Instant at) {}

  /** What the group came to together. */
  public record Decided(Outcome outcome, Instant at) {}

  /**
   * @param said marks in force, one of each member
   * @param decided what counts of what the group came to; what was said till then is settled by it
   */
  public static Fate of(List<Said> said, Optional<Decided> decided) {
    Optional<Decided> settled = decided.filter(one -> one.outcome().settles());
    List<Said> since =
        said.stream()
            .filter(one -> settled.isEmpty() || one.at().isAfter(settled.get().at()))
            .toList();
    Set<Mark> marks = since.stream().map(Said::mark).collect(Collectors.toSet());
    boolean kept = marks.contains(Mark.KEEP) || is(settled, Outcome.KEEP);
    boolean passed = marks.contains(Mark.PASS) || is(settled, Outcome.PASS);
    if (marks.contains(Mark.RAISE)) {
      return new Fate(End.OPEN, RAISED);
    }
    if (kept && passed) {
      return new Fate(End.OPEN, DISPUTED);
    }
    if (kept) {
      return new Fate(End.KEPT, "");
    }
    if (passed) {
      return new Fate(End.PASSED, settled.isPresent() ? TOGETHER : lastReason(since));
    }
    if (marks.contains(Mark.HOLD)) {
      return new Fate(End.OPEN, ON_HOLD);
    }
    if (marks.contains(Mark.HOLD_FOR_TEXT)) {
      return new Fate(End.OPEN, WAITS_FOR_TEXT);
    }
    return new Fate(marks.contains(Mark.SEEN) ? End.SEEN : End.NOBODY, "");
  }

  private static boolean is(Optional<Decided> settled, Outcome outcome) {
    return settled.filter(one -> one.outcome() == outcome).isPresent();
  }

  private static String lastReason(List<Said> said) {
    return said.stream()
        .filter(one -> one.mark() == Mark.PASS && !one.reason().isBlank())
        .max(Comparator.comparing(Said::at))
        .map(one -> one.reason().strip())
        .orElse("");
  }
}
