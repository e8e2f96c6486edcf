package org.quietlantern.core.search.analysis;

import java.io.IOException;
import org.apache.lucene.analysis.TokenFilter;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;

/** Takes apostrophes out of words, and words that were nothing else out of the stream. */
final class ApostropheFilter extends TokenFilter {
  private final CharTermAttribute term = addAttribute(CharTermAttribute.class);

  ApostropheFilter(TokenStream input) {
    super(input);
  }

  @Override
  public boolean incrementToken() throws IOException {
    while (input.incrementToken()) {
      String word = term.toString();
      if (word.indexOf('\'') >= 0) {
        term.setEmpty().append(word.replace("'", ""));
      }
      if (term.length() > 0) {
        return true;
      }
    }
    return false;
  }
}
