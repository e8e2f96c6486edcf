package org.quietlantern.core.search;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.search.analysis.Analysis;

/** The written forms that an unquoted word meets through its stem (rule M5). */
final class WordForms {
  private static final int MOST = 8;
  private static final int SHORT = 3;
  private final Lexicon lexicon;

  WordForms(Lexicon lexicon) {
    this.lexicon = lexicon;
  }

  /** The commonest ones, commonest first. */
  List<String> of(String word) {
    List<String> stems = Analysis.STEMMED.words(word).stream().map(Analysis.Found::word).toList();
    if (stems.size() != 1) {
      return List.of();
    }
    String field = IndexFields.exact(IndexFields.ALL);
    Map<String, Integer> counts = new LinkedHashMap<>();
    String stem = stems.get(0);
    for (String form : lexicon.beginning(field, start(stem), form -> meets(form, stem))) {
      counts.put(form, lexicon.frequency(field, form));
    }
    return counts.entrySet().stream()
        .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder()))
        .limit(MOST)
        .map(Map.Entry::getKey)
        .toList();
  }

  /** Stemming changes the last letter at most; short stems may come from others (dying: die). */
  private static String start(String stem) {
    return stem.substring(0, stem.length() <= SHORT ? 1 : stem.length() - 1);
  }

  private static boolean meets(String form, String stem) {
    List<Analysis.Found> stems = Analysis.STEMMED.words(form);
    return stems.size() == 1 && stems.get(0).word().equals(stem);
  }
}
