package org.quietlantern.core.search;

import java.util.List;

/**
 * Two strategies beside each other in one state of the catalogue (rule M1): what the second finds
 * and the first does not, the other way round, and how much both find.
 */
public record Comparison(Part gained, Part lost, int common) {

  /**
   * One side of it.
   *
   * @param count how many, exactly
   * @param newest public ids of those that came here last, the newest first
   */
  public record Part(int count, List<String> newest) {
    public Part {
      newest = List.copyOf(newest);
    }
  }

  /** {@code named}: how many of each side are named. */
  public static Comparison of(
      Snapshot snapshot, Compiled.Ready first, Compiled.Ready second, int named) {
    DocSet before = snapshot.state().sets().of(first.query());
    DocSet after = snapshot.state().sets().of(second.query());
    return new Comparison(
        part(snapshot, after.andNot(before), named),
        part(snapshot, before.andNot(after), named),
        after.countIn(before));
  }

  private static Part part(Snapshot snapshot, DocSet set, int named) {
    return new Part(set.count(), named == 0 ? List.of() : snapshot.newest(set, named));
  }
}
