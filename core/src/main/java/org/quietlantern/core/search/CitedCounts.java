package org.quietlantern.core.search;

import java.util.Collection;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** How often works are cited by others of the same state of the catalogue. */
public final class CitedCounts {
  private CitedCounts() {}

  /** By DOI; works without one are cited by nobody that is known. */
  public static Map<String, Integer> of(Snapshot snapshot, Collection<String> dois) {
    Map<String, Integer> counts = new HashMap<>();
    for (String doi : dois) {
      if (!doi.isEmpty()) {
        String cited = doi.toLowerCase(Locale.ROOT);
        counts.put(doi, snapshot.count(IndexFields.having(IndexFields.CITES, cited)));
      }
    }
    return counts;
  }
}
