package org.quietlantern.core.vocabulary;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Labels under labels; one may lie under several. Two parents or a circle do no harm (rule H2):
 * everything is met once.
 */
public final class Tree {
  public static final Tree NONE = new Tree(Map.of());

  private final Map<String, List<String>> broader;
  private final Map<String, List<String>> narrower = new HashMap<>();

  /** Each label with those right above it. */
  public Tree(Map<String, List<String>> broader) {
    Map<String, List<String>> copy = new LinkedHashMap<>();
    broader.forEach((label, above) -> copy.put(label, List.copyOf(above)));
    this.broader = copy;
    copy.forEach(
        (label, above) ->
            above.forEach(a -> narrower.computeIfAbsent(a, n -> new ArrayList<>()).add(label)));
  }

  /** A label and everything below it. A label that is not in the tree stands alone. */
  public Set<String> below(String label) {
    return reach(label, narrower);
  }

  /** A label and everything above it. */
  public Set<String> above(String label) {
    return reach(label, broader);
  }

  /** Right above it. */
  public List<String> parents(String label) {
    return broader.getOrDefault(label, List.of());
  }

  private static Set<String> reach(String label, Map<String, List<String>> next) {
    Set<String> met = new LinkedHashSet<>();
    Deque<String> waiting = new ArrayDeque<>(List.of(label));
    while (!waiting.isEmpty()) {
      String now = waiting.remove();
      if (met.add(now)) {
        waiting.addAll(next.getOrDefault(now, List.of()));
      }
    }
    return met;
  }
}
