package org.quietlantern.standins.words;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/**
 * Made-up names of sites, of which there are ever more: the next one is new with a chance that
 * falls as their number grows, else an old one, the likelier the more often it came up. So their
 * number follows Heaps' law and their frequencies Zipf's (Pitman and Yor's process, discount 0.7).
 */
public final class RareWords {
  private static final double DISCOUNT = 0.7;
  private static final double STRENGTH = 30;
  private static final List<String> PARTS =
      Table.lines("sites.txt").stream().flatMap(l -> Arrays.stream(l.split("\\|"))).toList();
  private final Random random;
  private final Set<String> known = new HashSet<>();

  /** One place a use; drawing a place at random draws words by how often they were used. */
  private final List<String> uses = new ArrayList<>();

  public RareWords(long seed) {
    this.random = new Random(seed);
  }

  public String next() {
    double fresh = (STRENGTH + DISCOUNT * known.size()) / (STRENGTH + uses.size());
    String word = random.nextDouble() < fresh ? made() : uses.get(random.nextInt(uses.size()));
    uses.add(word);
    return word;
  }

  /** How many there are by now. */
  public int size() {
    return known.size();
  }

  private String made() {
    String word;
    do {
      word =
          part(0)
              + (random.nextInt(3) > 0 ? part(1) : "")
              + (random.nextInt(4) == 0 ? part(1) : "");
      word += (known.size() > 9000 ? part(1) + part(2) : "") + part(2);
    } while (!known.add(word));
    return word;
  }

  private String part(int which) {
    String[] parts = PARTS.get(which).strip().split(" ");
    return parts[random.nextInt(parts.length)];
  }
}
