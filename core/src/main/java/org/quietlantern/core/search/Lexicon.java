package org.quietlantern.core.search;

import static org.apache.lucene.search.DocIdSetIterator.NO_MORE_DOCS;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.PostingsEnum;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.PhraseQuery;
import org.apache.lucene.util.Bits;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.StringHelper;
import org.quietlantern.core.query.Field;

/** The words that the catalogue has, in one state of the index; what was asked before is kept. */
final class Lexicon {
  private static final int KEPT = 20_000;
  private static final int CUTS_KEPT = 500;
  private final IndexReader reader;
  private final Cache<Term, Integer> frequencies = Caffeine.newBuilder().maximumSize(KEPT).build();
  private final Cache<Term, List<String>> covered =
      Caffeine.newBuilder().maximumSize(CUTS_KEPT).build();

  Lexicon(IndexReader reader) {
    this.reader = reader;
  }

  boolean knows(String field, String word) {
    return frequency(field, word) > 0;
  }

  /** In how many documents a word is, those that are gone but not swept away yet included. */
  int frequency(String field, String word) {
    return frequencies.get(new Term(field, word), this::frequency);
  }

  private int frequency(Term term) {
    try {
      return reader.docFreq(term);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Works that a publication cites, as hashes of their DOIs; by its DOI or public id. */
  List<String> citedBy(String name) {
    List<String> works = new ArrayList<>();
    try {
      for (LeafReaderContext leaf : reader.leaves()) {
        for (String field : List.of(Field.DOI.word(), IndexFields.PUBLIC_ID)) {
          PostingsEnum docs = leaf.reader().postings(new Term(field, name), PostingsEnum.NONE);
          SortedNumericDocValues cites = leaf.reader().getSortedNumericDocValues(IndexFields.CITES);
          Bits live = leaf.reader().getLiveDocs();
          int doc = docs == null || cites == null ? NO_MORE_DOCS : docs.nextDoc();
          while (doc != NO_MORE_DOCS) {
            if ((live == null || live.get(doc)) && cites.advanceExact(doc)) {
              for (int i = cites.docValueCount(); i > 0; i--) {
                works.add(IndexFields.hashed(cites.nextValue()));
              }
            }
            doc = docs.nextDoc();
          }
        }
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return works;
  }

  /** Whether two words stand next to each other somewhere in the default fields. */
  boolean hasPhrase(String left, String right) {
    try {
      PhraseQuery pair = new PhraseQuery(IndexFields.exact(IndexFields.ALL), left, right);
      return new IndexSearcher(reader).search(pair, 1).scoreDocs.length > 0;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Words of a field that begin so and pass a test, in order. */
  List<String> beginning(String field, String start, Predicate<String> test) {
    List<String> words = new ArrayList<>();
    try {
      Terms terms = MultiTerms.getTerms(reader, field);
      if (terms == null) {
        return words;
      }
      TermsEnum all = terms.iterator();
      BytesRef prefix = new BytesRef(start);
      if (all.seekCeil(prefix) == TermsEnum.SeekStatus.END) {
        return words;
      }
      for (BytesRef word = all.term();
          word != null && StringHelper.startsWith(word, prefix);
          word = all.next()) {
        String text = word.utf8ToString();
        if (test.test(text)) {
          words.add(text);
        }
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return words;
  }

  /**
   * All words of a field that a folded cut word covers, in order. {@code *} is any ending, {@code
   * ?} one letter.
   */
  List<String> covered(String field, String cut) {
    return covered.get(new Term(field, cut), asked -> find(field, cut));
  }

  private List<String> find(String field, String cut) {
    Pattern pattern = Pattern.compile(asRegex(cut));
    return List.copyOf(
        beginning(
            field, cut.substring(0, firstOpen(cut)), word -> pattern.matcher(word).matches()));
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
