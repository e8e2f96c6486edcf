package org.quietlantern.core.search;

import java.util.List;
import java.util.stream.Collectors;
import org.quietlantern.core.search.analysis.Analysis;

/** Titles in alphabetical order. */
final class TitleOrder {
  private static final List<String> ARTICLES = List.of("the", "a", "an");

  private TitleOrder() {}

  /** Folded words without a leading article; at most 200 characters. */
  static String sortKey(String title) {
    List<String> words = Analysis.EXACT.plain(title);
    boolean skips = words.size() > 1 && ARTICLES.contains(words.get(0));
    String key = words.stream().skip(skips ? 1 : 0).collect(Collectors.joining(" "));
    return key.length() > 200 ? key.substring(0, 200) : key;
  }
}
