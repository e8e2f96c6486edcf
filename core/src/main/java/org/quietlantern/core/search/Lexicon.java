package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.StringHelper;

/** The words that the catalogue has. */
final class Lexicon {
  private final IndexReader reader;

  Lexicon(IndexReader reader) {
    this.reader = reader;
  }

  boolean knows(String field, String word) {
    try {
      return reader.docFreq(new Term(field, word)) > 0;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /**
   * All words of a field that a folded cut word covers, in order. {@code *} is any ending, {@code
   * ?} one letter.
   */
  List<String> covered(String field, String cut) {
    int open = firstOpen(cut);
    BytesRef start = new BytesRef(cut.substring(0, open));
    Pattern pattern = Pattern.compile(asRegex(cut));
    List<String> words = new ArrayList<>();
    try {
      Terms terms = MultiTerms.getTerms(reader, field);
      if (terms == null) {
        return words;
      }
      TermsEnum all = terms.iterator();
      if (all.seekCeil(start) == TermsEnum.SeekStatus.END) {
        return words;
      }
      for (BytesRef word = all.term();
          word != null && StringHelper.startsWith(word, start);
          word = all.next()) {
        String text = word.utf8ToString();
        if (pattern.matcher(text).matches()) {
          words.add(text);
        }
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return words;
  }

  private static int firstOpen(String cut) {
    int at = 0;
    while (at < cut.length() && cut.charAt(at) != '*' && cut.charAt(at) != '?') {
      at++;
    }
    return at;
  }

  /** The cut word as a pattern over folded words. */
  static String asRegex(String cut) {
    StringBuilder regex = new StringBuilder();
    for (int i = 0; i < cut.length(); i++) {
      char c = cut.charAt(i);
      regex.append(c == '*' ? ".*" : c == '?' ? "." : Pattern.quote(Character.toString(c)));
    }
    return regex.toString();
  }
}
