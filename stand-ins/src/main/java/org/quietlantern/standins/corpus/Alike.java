package org.quietlantern.standins.corpus;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** How much of their wording texts share: runs of six words that stand in more than one. */
public final class Alike {
  private static final int RUN = 6;

  private Alike() {}

  /** In how many texts each run stands. */
  public static Map<String, Integer> runs(List<String> texts) {
    Map<String, Integer> texted = new HashMap<>();
    for (String text : texts) {
      Set<String> own = new HashSet<>(runs(text));
      own.forEach(run -> texted.merge(run, 1, Integer::sum));
    }
    return texted;
  }

  /** Of all places in the texts where a run begins, the share whose run stands elsewhere too. */
  public static double share(List<String> texts) {
    Map<String, Integer> texted = runs(texts);
    long all = 0;
    long shared = 0;
    for (String text : texts) {
      for (String run : runs(text)) {
        all++;
        shared += texted.get(run) > 1 ? 1 : 0;
      }
    }
    return all == 0 ? 0 : (double) shared / all;
  }

  private static List<String> runs(String text) {
    String[] words = text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+");
    List<String> runs = new java.util.ArrayList<>();
    for (int i = 0; i + RUN <= words.length; i++) {
      runs.add(String.join(" ", java.util.Arrays.copyOfRange(words, i, i + RUN)));
    }
    return runs;
  }
}
