package org.quietlantern.standins.corpus;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;

/**
 * Who cites whom. A topic has an urn of numbers; being cited puts a number in once more, so that
 * few are cited much and most hardly. Urns are bounded, so that a million works fit.
 */
final class Citations {
  private static final int URN = 3000;

  /** As if it had been cited so often when it appears. */
  private static final int START = 4;

  private final Map<String, List<Integer>> urns = new HashMap<>();

  /** Earlier works that a new one cites, in the order of their numbers. */
  List<Integer> of(Random random, List<String> topics, int wanted) {
    TreeSet<Integer> cited = new TreeSet<>();
    for (int i = 0; i < wanted; i++) {
      List<Integer> urn = urns.get(Studies.pick(random, topics));
      if (urn != null) {
        cited.add(Studies.pick(random, urn));
      }
    }
    for (int number : cited) {
      topics.forEach(topic -> put(random, topic, number));
    }
    return List.copyOf(cited);
  }

  /** From now on the work can be cited. */
  void appeared(Random random, List<String> topics, int number) {
    for (int i = 0; i < START; i++) {
      topics.forEach(topic -> put(random, topic, number));
    }
  }

  private void put(Random random, String topic, int number) {
    List<Integer> urn = urns.computeIfAbsent(topic, t -> new ArrayList<>());
    if (urn.size() < URN) {
      urn.add(number);
    } else {
      urn.set(random.nextInt(URN), number);
    }
  }
}
