package org.quietlantern.core.search;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Map;
import org.quietlantern.core.search.analysis.Analysis;

/** Finds the words that say most about a passage: often in it, seldom elsewhere (rule M8). */
public final class Passage {
  /** Characters of a passage that are looked at. */
  public static final int LONGEST = 20_000;

  private static final int WORDS = 8;
  private static final int SHORTEST = 3;

  /** Words that say less than this share of what the strongest says are left out. */
  private static final double LEAST = 0.25;

  private final Snapshot snapshot;

  public Passage(Snapshot snapshot) {
    this.snapshot = snapshot;
  }

  /**
   * A line to search with and to change: its strongest words, any of them; empty if none is known.
   */
  public String line(String passage) {
    return String.join(" or ", strongest(passage).values());
  }

  /** Its strongest words, stems with the words as they are written. */
  Map<String, String> strongest(String passage) {
    Map<String, String> asWritten = new LinkedHashMap<>();
    String text = passage.substring(0, Math.min(passage.length(), LONGEST));
    Map<String, Double> weights = new LinkedHashMap<>();
    for (Analysis.Found found : Analysis.STEMMED.words(text)) {
      String written =
          text.substring(found.start(), found.end()).toLowerCase(java.util.Locale.ROOT);
      boolean isWord =
          found.step() > 0 && written.matches("\\p{L}[\\p{L}-]{" + (SHORTEST - 1) + ",}");
      if (isWord) {
        asWritten.putIfAbsent(found.word(), written);
        weights.merge(found.word(), 1.0, Double::sum);
      }
    }
    weights.replaceAll((stem, often) -> often * rarity(stem));
    double most = weights.values().stream().mapToDouble(Double::doubleValue).max().orElse(0);
    Map<String, String> strongest = new LinkedHashMap<>();
    weights.entrySet().stream()
        .filter(entry -> entry.getValue() > 0 && entry.getValue() >= LEAST * most)
        .sorted(Map.Entry.<String, Double>comparingByValue(Comparator.reverseOrder()))
        .limit(WORDS)
        .forEach(entry -> strongest.put(entry.getKey(), asWritten.get(entry.getKey())));
    return strongest;
  }

  /** Nothing for a word that the catalogue does not have or that says nothing. */
  private double rarity(String stem) {
    double all = snapshot.size();
    int having = snapshot.count(IndexFields.having(IndexFields.stemmed(IndexFields.ALL), stem));
    return having == 0 || having > all / 3 ? 0 : Math.log(all / having);
  }
}
