package org.quietlantern.core.watch;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import org.quietlantern.core.publication.ChangeKind;

/** On what a work comes to a group: for the first time, or again (rule N3). */
public enum Occasion {
  FIRST_COMING(ChangeKind.NEW, true, true, "came"),
  RETRACTED(ChangeKind.RETRACTED, true, true, "was retracted"),
  CORRECTED(ChangeKind.CORRECTED, true, false, "was corrected"),
  /** An expression of concern was published. */
  CONCERN(ChangeKind.CONCERN, true, false, "has an expression of concern"),
  /** What was a preprint or an accepted manuscript appeared. */
  FINAL(ChangeKind.FINAL, false, true, "appeared in its final version"),
  /** A copy is open to all since. */
  OPENED(ChangeKind.OPENED, false, true, "can be read by everybody now"),
  /** No source supplies it any more. */
  WITHDRAWN(ChangeKind.WITHDRAWN, false, false, "was taken back by its source");

  private final ChangeKind change;
  private final boolean toReview;
  private final boolean once;
  private final String said;

  Occasion(ChangeKind change, boolean toReview, boolean once, String said) {
    this.change = change;
    this.toReview = toReview;
    this.once = once;
    this.said = said;
  }

  /** As it is stored and shown. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  /** What happened to the work, as the rest of a sentence that it begins. */
  public String said() {
    return said;
  }

  public static Occasion named(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst().orElseThrow();
  }

  /** Whether it is to be reviewed, with lamps of its own; else it is told, and owes nothing. */
  public boolean isToReview() {
    return toReview;
  }

  /** Words of those on which a work comes again to be reviewed. */
  public static List<String> toReviewAgain() {
    return Arrays.stream(values())
        .filter(one -> one.toReview && one != FIRST_COMING)
        .map(Occasion::word)
        .toList();
  }

  /** Words of those that are only told. */
  public static List<String> onlyTold() {
    return Arrays.stream(values()).filter(one -> !one.toReview).map(Occasion::word).toList();
  }

  /**
   * What tells this occasion of a work from others of its kind: nothing where it happens once, else
   * the number of the change that it came with.
   */
  public String key(long change) {
    return once ? "" : Long.toString(change);
  }

  /** On which a work comes again by a change, in the order in which they are declared. */
  public static List<Occasion> again(Collection<ChangeKind> kinds) {
    return Arrays.stream(values())
        .filter(one -> one != FIRST_COMING && kinds.contains(one.change))
        .toList();
  }

  /** Words of the kinds of change by which works come again. */
  public static List<String> changes() {
    return Arrays.stream(values())
        .filter(one -> one != FIRST_COMING)
        .map(one -> one.change.word())
        .toList();
  }
}
