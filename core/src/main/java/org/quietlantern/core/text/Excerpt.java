package org.quietlantern.core.text;

import java.text.BreakIterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.quietlantern.core.query.Span;

/**
 * The sentence of a text in which most of what is looked for stands.
 *
 * @param page from 0
 * @param spans where it stands in {@code text}
 */
public record Excerpt(int page, String text, List<Span> spans) {
  /** Characters; longer sentences are cut around what was found first. */
  static final int LONGEST = 320;

  private static final int BEFORE = 80;

  /** {@code lit}: where what is looked for stands in a text; empty where it stands on no page. */
  public static Optional<Excerpt> of(List<String> pages, Function<String, List<Span>> lit) {
    Excerpt best = null;
    for (int page = 0; page < pages.size(); page++) {
      String words = pages.get(page);
      List<Span> all = lit.apply(words);
      BreakIterator sentences = BreakIterator.getSentenceInstance(Locale.ROOT);
      sentences.setText(words);
      for (int next = 0; next < all.size(); ) {
        int end = sentences.following(all.get(next).start());
        int begin = sentences.previous();
        int last = next;
        while (last < all.size() && all.get(last).start() < end) {
          last++;
        }
        if (best == null || last - next > best.spans.size()) {
          best = cut(page, words, begin, end, all.subList(next, last));
        }
        next = last;
      }
    }
    return Optional.ofNullable(best);
  }

  private static Excerpt cut(int page, String words, int begin, int end, List<Span> spans) {
    boolean isLong = end - begin > LONGEST;
    int from = isLong ? Math.max(begin, spans.get(0).start() - BEFORE) : begin;
    int to = Math.min(end, from + LONGEST);
    String text = words.substring(from, to).replace('\n', ' ').stripTrailing();
    List<Span> here =
        spans.stream()
            .filter(span -> span.end() <= from + text.length())
            .map(span -> new Span(span.start() - from, span.end() - from))
            .toList();
    return new Excerpt(page, text, here);
  }
}
