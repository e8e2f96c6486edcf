package org.quietlantern.core.watch;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What came of all that an alert brought.
 *
 * @param arrivals works that it brought, each once
 * @param kept by anybody; {@code passed}: by somebody, and kept by nobody; {@code unseen}: nobody
 *     has said anything
 * @param words by which they came, the most bringing first; a work that came by several counts for
 *     each
 */
public record Yield(int arrivals, int kept, int passed, int unseen, List<OfWord> words) {
  /** Fewer say nothing of a word. */
  private static final int ENOUGH = 10;

  /** A word is poor where not more than one in so many was kept. */
  private static final int POOR = 20;

  /** A word as typed in a line. */
  public record Word(String line, String typed) {}

  /** A work that came, by which words, and what was said of it. */
  public record Came(int publication, Set<Word> by, boolean kept, boolean passed, boolean seen) {}

  /** What came of the works that a word brought. */
  public record OfWord(Word word, int brought, int kept) {
    /** Whether it brought enough to say that hardly anything of it is kept. */
    public boolean isPoor() {
      return brought >= ENOUGH && kept * POOR <= brought;
    }
  }

  public Yield {
    words = List.copyOf(words);
  }

  public static Yield of(List<Came> all) {
    Map<Word, int[]> words = new LinkedHashMap<>();
    for (Came one : all) {
      for (Word word : one.by()) {
        int[] counts = words.computeIfAbsent(word, none -> new int[2]);
        counts[0]++;
        counts[1] += one.kept() ? 1 : 0;
      }
    }
    return new Yield(
        all.size(),
        (int) all.stream().filter(Came::kept).count(),
        (int) all.stream().filter(one -> one.passed() && !one.kept()).count(),
        (int) all.stream().filter(one -> !one.seen()).count(),
        words.entrySet().stream()
            .map(word -> new OfWord(word.getKey(), word.getValue()[0], word.getValue()[1]))
            .sorted(
                Comparator.comparingInt(OfWord::brought)
                    .reversed()
                    .thenComparing(of -> of.word().line())
                    .thenComparing(of -> of.word().typed()))
            .toList());
  }
}
