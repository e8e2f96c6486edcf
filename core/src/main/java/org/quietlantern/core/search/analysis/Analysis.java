package org.quietlantern.core.search.analysis;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.LowerCaseFilter;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.Tokenizer;
import org.apache.lucene.analysis.charfilter.MappingCharFilter;
import org.apache.lucene.analysis.charfilter.NormalizeCharMap;
import org.apache.lucene.analysis.en.EnglishPossessiveFilter;
import org.apache.lucene.analysis.miscellaneous.ASCIIFoldingFilter;
import org.apache.lucene.analysis.snowball.SnowballFilter;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.analysis.tokenattributes.OffsetAttribute;
import org.apache.lucene.analysis.tokenattributes.PositionIncrementAttribute;
import org.apache.lucene.analysis.util.CharTokenizer;
import org.tartarus.snowball.ext.EnglishStemmer;

/**
 * How text becomes words: letters are folded alike in every language, kinds of apostrophe and
 * hyphen make no difference, and one English stemmer serves all text. No stop words.
 */
public final class Analysis extends Analyzer {
  /** Words as written, folded. */
  public static final Analysis EXACT = new Analysis(false);

  /** Words folded and stemmed. */
  public static final Analysis STEMMED = new Analysis(true);

  /** Between values of one field, so that no phrase runs from one into the next. */
  public static final int GAP = 1000;

  private static final NormalizeCharMap SIGNS = signs();
  private final boolean stems;

  private Analysis(boolean stems) {
    this.stems = stems;
  }

  /** A word found in a text, with its place in it and the step from the word before. */
  public record Found(String word, int start, int end, int step) {}

  /** All words of a text in order. */
  public List<Found> words(String text) {
    List<Found> found = new ArrayList<>();
    try (TokenStream stream = tokenStream("", text)) {
      CharTermAttribute term = stream.addAttribute(CharTermAttribute.class);
      OffsetAttribute offset = stream.addAttribute(OffsetAttribute.class);
      PositionIncrementAttribute step = stream.addAttribute(PositionIncrementAttribute.class);
      stream.reset();
      while (stream.incrementToken()) {
        found.add(
            new Found(
                term.toString(),
                offset.startOffset(),
                offset.endOffset(),
                step.getPositionIncrement()));
      }
      stream.end();
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return found;
  }

  /** The words of a text in order, hyphenated ones only apart. */
  public List<String> plain(String text) {
    return words(text).stream().filter(found -> found.step() > 0).map(Found::word).toList();
  }

  @Override
  protected TokenStreamComponents createComponents(String fieldName) {
    Tokenizer tokenizer = CharTokenizer.fromTokenCharPredicate(Analysis::isOfWord);
    TokenStream folded =
        new ASCIIFoldingFilter(
            new LowerCaseFilter(new HyphenFilter(new EnglishPossessiveFilter(tokenizer))));
    TokenStream words = new ApostropheFilter(folded);
    return new TokenStreamComponents(
        tokenizer, stems ? new SnowballFilter(words, new EnglishStemmer()) : words);
  }

  @Override
  protected java.io.Reader initReader(String fieldName, java.io.Reader reader) {
    return new MappingCharFilter(SIGNS, reader);
  }

  @Override
  public int getPositionIncrementGap(String fieldName) {
    return GAP;
  }

  public static boolean isOfWord(int c) {
    return Character.isLetterOrDigit(c)
        || Character.getType(c) == Character.NON_SPACING_MARK
        || c == '\''
        || c == '-';
  }

  /** Kinds of apostrophe and hyphen, one for one so that places in the text stay right. */
  private static NormalizeCharMap signs() {
    NormalizeCharMap.Builder map = new NormalizeCharMap.Builder();
    "’‘ʼ＇`´".chars().forEach(c -> map.add(Character.toString(c), "'"));
    "\u2010\u2011\u00AD\uFE63\uFF0D".chars().forEach(c -> map.add(Character.toString(c), "-"));
    return map.build();
  }
}
