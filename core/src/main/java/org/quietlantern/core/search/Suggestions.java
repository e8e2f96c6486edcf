package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.StringHelper;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.search.analysis.Analysis;

/**
 * Headings, keywords, authors and journals that begin, at any of their words, with what is being
 * typed.
 */
public final class Suggestions {
  /** Letters before anything is suggested. */
  static final int SHORTEST = 2;

  private static final int MOST_KEYS = 12;
  private static final int MOST_LOOKED_AT = 20_000;
  private static final char END = '\u0001';
  private final Snapshot snapshot;

  /** A value that fits, and how many publications have it, exactly. */
  public record Suggestion(Property property, String value, int count) {}

  public Suggestions(Snapshot snapshot) {
    this.snapshot = snapshot;
  }

  /** The ones that most publications have, most first; none for fewer than two letters. */
  public List<Suggestion> of(Property property, String typed, int most) {
    String start = folded(typed);
    if (start.length() < SHORTEST) {
      return List.of();
    }
    try {
      return fitting(IndexFields.suggested(property), start).entrySet().stream()
          .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder()))
          .limit(most)
          .map(e -> new Suggestion(property, e.getKey(), exactly(property, start, e.getKey())))
          .filter(suggestion -> suggestion.count() > 0)
          .sorted(Comparator.comparingInt(Suggestion::count).reversed())
          .toList();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** How many publications have a value, exactly. */
  public int count(Property property, String value) {
    return exactly(property, "", value);
  }

  private Map<String, Integer> fitting(String field, String start) throws IOException {
    Map<String, Integer> fitting = new LinkedHashMap<>();
    Terms terms = MultiTerms.getTerms(snapshot.reader(), field);
    if (terms == null) {
      return fitting;
    }
    TermsEnum all = terms.iterator();
    BytesRef prefix = new BytesRef(start);
    if (all.seekCeil(prefix) == TermsEnum.SeekStatus.END) {
      return fitting;
    }
    int looked = 0;
    for (BytesRef key = all.term();
        key != null && StringHelper.startsWith(key, prefix) && looked < MOST_LOOKED_AT;
        key = all.next()) {
      String text = key.utf8ToString();
      fitting.merge(text.substring(text.indexOf(END) + 1), all.docFreq(), Math::max);
      looked++;
    }
    return fitting;
  }

  /** Documents that are gone do not count. */
  private int exactly(Property property, String start, String value) {
    String key =
        keys(value).stream()
            .filter(k -> k.startsWith(start))
            .findFirst()
            .orElse(keys(value).get(0));
    return snapshot.count(IndexFields.having(IndexFields.suggested(property), key));
  }

  /** What a value is found by: its folded words from each word on, with the value behind. */
  static List<String> keys(String value) {
    List<String> keys = new ArrayList<>();
    String folded = folded(value);
    int from = 0;
    while (from >= 0 && keys.size() < MOST_KEYS) {
      keys.add(folded.substring(from) + END + value);
      int space = folded.indexOf(' ', from);
      from = space < 0 ? -1 : space + 1;
    }
    return keys.stream().filter(key -> key.length() < 1000 && key.charAt(0) != END).toList();
  }

  static String folded(String text) {
    return String.join(" ", Analysis.EXACT.plain(text));
  }
}
