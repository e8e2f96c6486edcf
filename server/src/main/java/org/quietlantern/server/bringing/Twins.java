package org.quietlantern.server.bringing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SameWork;

/** Finds entries that are the same work as one before them. */
final class Twins {
  /** Entries with one key that the next ones are compared with; they are seldom more than two. */
  private static final int MOST = 20;

  private final Map<String, List<Earlier>> byKey = new HashMap<>();

  /** An entry before. */
  record Earlier(int n, String identifier, Publication work) {}

  void remember(Earlier entry) {
    for (String key : SameWork.keys(entry.work())) {
      List<Earlier> others = byKey.computeIfAbsent(key, k -> new ArrayList<>());
      if (others.size() < MOST) {
        others.add(entry);
      }
    }
  }

  /** The first of those before that is the same work. */
  Optional<Earlier> of(Publication work, String identifier) {
    return SameWork.keys(work).stream()
        .flatMap(key -> byKey.getOrDefault(key, List.of()).stream())
        .filter(
            other ->
                other.identifier().equals(identifier)
                    || SameWork.compare(other.work(), work) == SameWork.Likeness.SAME)
        .findFirst();
  }
}
