package org.quietlantern.core.search.analysis;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import org.apache.lucene.analysis.TokenFilter;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.analysis.tokenattributes.OffsetAttribute;
import org.apache.lucene.analysis.tokenattributes.PositionIncrementAttribute;

/**
 * Makes a hyphenated word findable hyphenated, apart and joined: its parts at positions of their
 * own, and the joined form beside the first and the last of them, so that phrases go through it
 * from both sides.
 */
final class HyphenFilter extends TokenFilter {
  private final CharTermAttribute term = addAttribute(CharTermAttribute.class);
  private final OffsetAttribute offset = addAttribute(OffsetAttribute.class);
  private final PositionIncrementAttribute step = addAttribute(PositionIncrementAttribute.class);
  private final Deque<Piece> waiting = new ArrayDeque<>();

  private record Piece(String text, int start, int end, int step) {}

  HyphenFilter(TokenStream input) {
    super(input);
  }

  @Override
  public boolean incrementToken() throws IOException {
    while (waiting.isEmpty()) {
      if (!input.incrementToken()) {
        return false;
      }
      cut(term.toString(), offset.startOffset());
    }
    Piece piece = waiting.remove();
    clearAttributes();
    term.append(piece.text);
    offset.setOffset(piece.start, piece.end);
    step.setPositionIncrement(piece.step);
    return true;
  }

  private void cut(String word, int start) {
    int from = 0;
    while (from < word.length()) {
      int hyphen = word.indexOf('-', from);
      int to = hyphen < 0 ? word.length() : hyphen;
      if (to > from) {
        waiting.add(new Piece(word.substring(from, to), start + from, start + to, 1));
      }
      from = to + 1;
    }
    if (waiting.size() > 1) {
      join(word.replace("-", ""), start, start + word.length());
    }
  }

  /** Offsets may not go back inside a stream, so the second copy keeps those of the last part. */
  private void join(String joined, int start, int end) {
    Piece first = waiting.remove();
    Piece last = waiting.getLast();
    waiting.addFirst(new Piece(joined, start, end, 0));
    waiting.addFirst(new Piece(first.text, start, first.end, 1));
    waiting.addLast(new Piece(joined, last.start, end, 0));
  }

  @Override
  public void reset() throws IOException {
    super.reset();
    waiting.clear();
  }
}
