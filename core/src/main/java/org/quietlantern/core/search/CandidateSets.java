package org.quietlantern.core.search;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.roaringbitmap.RoaringBitmap;

/**
 * Candidates by what is seen: who sees the same of an index asks it the same question once. For
 * several threads, as long as the snapshots are open.
 */
public final class CandidateSets {
  private final Map<Asked, Candidates> sets = new ConcurrentHashMap<>();

  /** States are told apart by what they are, not by what they hold. */
  private record Asked(IndexState state, RoaringBitmap publications) {}

  /** {@code publications}: row numbers; not to be changed afterwards. */
  public Candidates of(Snapshot snapshot, RoaringBitmap publications) {
    return sets.computeIfAbsent(
        new Asked(snapshot.state(), publications),
        asked -> new Candidates(asked.state(), asked.publications()));
  }
}
