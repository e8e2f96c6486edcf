package org.quietlantern.core.vocabulary;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.NavigableMap;
import java.util.PriorityQueue;
import java.util.TreeMap;
import org.quietlantern.core.publication.Fold;
import org.quietlantern.core.vocabulary.Headings.Named;
import org.roaringbitmap.RoaringBitmap;

/**
 * Headings by the words of their names, so that looking up is comparing (rule H1). What is typed
 * may be the beginnings of words; the plural ending makes no difference.
 */
final class HeadingIndex {
  /** The worse one first, so that it can make room. */
  private static final Comparator<Ranked> WORST_FIRST =
      Comparator.comparingInt(Ranked::rank)
          .thenComparingInt(r -> r.named().heading().label().length())
          .thenComparing(r -> r.named().heading().label())
          .reversed();

  /** What kinds of name and retired headings move by, between two ways of meeting. */
  private static final int BETWEEN = 6;

  private static final int RETIRED = 3;

  private final List<List<Name>> headings = new ArrayList<>();

  /** Numbers of headings by the words of all their names. */
  private final NavigableMap<String, RoaringBitmap> byWord = new TreeMap<>();

  /** A name with its words as they are compared. */
  private record Name(Named named, String[] words) {}

  /** A lower rank is better. */
  private record Ranked(Named named, int rank) {}

  /** {@code names}: all names of one heading. */
  void add(List<Named> names) {
    int number = headings.size();
    List<Name> apart = names.stream().map(n -> new Name(n, words(n.name()))).toList();
    headings.add(apart);
    for (Name name : apart) {
      for (String word : name.words()) {
        byWord.computeIfAbsent(word, w -> new RoaringBitmap()).add(number);
      }
    }
  }

  /** Letters folded, without the ending of a plural. */
  private static String[] words(String name) {
    return Arrays.stream(name.split("[^\\p{L}\\p{M}\\p{N}]+"))
        .map(Fold::letters)
        .filter(word -> !word.isEmpty())
        .map(HeadingIndex::singular)
        .toArray(String[]::new);
  }

  private static String singular(String word) {
    return word.length() > 3 && word.endsWith("s") && !word.endsWith("ss")
        ? word.substring(0, word.length() - 1)
        : word;
  }

  /** The best first. */
  List<Named> lookUp(String typed, int most) {
    String[] sought = words(typed);
    if (sought.length == 0) {
      return List.of();
    }
    RoaringBitmap met = beginningWith(sought[0]);
    for (int i = 1; i < sought.length; i++) {
      met.and(beginningWith(sought[i]));
    }
    PriorityQueue<Ranked> best = new PriorityQueue<>(WORST_FIRST);
    for (int number : met) {
      Ranked ranked = best(headings.get(number), sought);
      if (best.size() < most) {
        best.add(ranked);
      } else if (WORST_FIRST.compare(best.element(), ranked) < 0) {
        best.remove();
        best.add(ranked);
      }
    }
    return best.stream().sorted(WORST_FIRST.reversed()).map(Ranked::named).toList();
  }

  private RoaringBitmap beginningWith(String word) {
    return RoaringBitmap.or(
        byWord.subMap(word, true, word + Character.MAX_VALUE, false).values().iterator());
  }

  /** Names stand with the best kind first: after one with all words no later one is better. */
  private static Ranked best(List<Name> names, String[] sought) {
    Name best = names.get(0);
    int bestRank = Integer.MAX_VALUE;
    for (Name name : names) {
      boolean mayBeTheSame = name.words().length == sought.length;
      if (bestRank < 2 * BETWEEN && !mayBeTheSame) {
        continue;
      }
      int rank = rank(name, sought);
      if (rank < bestRank) {
        best = name;
        bestRank = rank;
      }
    }
    return new Ranked(best.named(), bestRank);
  }

  private static int rank(Name name, String[] sought) {
    Named named = name.named();
    int retired = named.heading().fate().retired() ? RETIRED : 0;
    return how(name.words(), sought) * BETWEEN + retired + named.kind().worse();
  }

  /** The same words; all of them among others; beginning so; elsewhere; not all in this name. */
  private static int how(String[] words, String[] sought) {
    if (Arrays.equals(words, sought)) {
      return 0;
    }
    boolean whole = true;
    boolean begun = true;
    for (String each : sought) {
      boolean is = false;
      boolean begins = false;
      for (String word : words) {
        if (word.startsWith(each)) {
          begins = true;
          is |= word.length() == each.length();
        }
      }
      whole &= is;
      begun &= begins;
    }
    if (whole) {
      return 1;
    }
    if (words.length > 0 && words[0].startsWith(sought[0])) {
      return 2;
    }
    return begun ? 3 : 4;
  }
}
