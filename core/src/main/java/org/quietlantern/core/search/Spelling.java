package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Stream;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.spell.DirectSpellChecker;
import org.quietlantern.core.search.analysis.Analysis;

/** Words of the catalogue that look like one that it does not have. */
final class Spelling {
  private static final int MOST = 4;
  private final IndexReader reader;

  Spelling(IndexReader reader) {
    this.reader = reader;
  }

  /** Likest first. */
  List<String> like(String typed) {
    List<Analysis.Found> words = Analysis.EXACT.words(typed);
    if (words.size() != 1) {
      return List.of();
    }
    Term term = new Term(IndexFields.exact(IndexFields.ALL), words.get(0).word());
    DirectSpellChecker checker = new DirectSpellChecker();
    checker.setMinQueryLength(3);
    try {
      return Stream.of(checker.suggestSimilar(term, MOST, reader))
          .map(found -> found.string)
          .toList();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
