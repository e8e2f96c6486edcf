package org.quietlantern.core.annotation;

import com.github.difflib.DiffUtils;
import com.github.difflib.algorithm.myers.MeyersDiffWithLinearSpace;
import com.github.difflib.patch.AbstractDelta;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * Other words for a part of a text.
 *
 * @param words that would stand there; may be empty
 */
public record OtherWords(Part part, String words) {
  /** More than that many are no suggestions but another text. */
  private static final int MOST = 30;

  /** Words that stay between two changes that belong together. */
  private static final int FEW = 3;

  private static final Pattern WORD = Pattern.compile("\\S+\\s*|\\s+");

  /**
   * What of a text reads otherwise in another one, from the first to the last, word by word; the
   * whole where that is too much.
   *
   * @param text not empty
   */
  public static List<OtherWords> between(String text, String other) {
    if (text.equals(other)) {
      return List.of();
    }
    List<String> words = words(text);
    int[] begins = begins(words);
    List<OtherWords> found =
        spans(words, words(other)).stream()
            .map(span -> span.narrowed(words).beside(words))
            .map(span -> trimmed(text, begins[span.from()], begins[span.to()], span.instead()))
            .toList();
    return found.size() > MOST
        ? List.of(new OtherWords(Part.of(text, 0, text.length()), other))
        : found;
  }

  /** Words from one up to another, which is not among them, and what stands there instead. */
  private record Span(int from, int to, String instead) {
    /** Without words that both sides begin or end with. */
    Span narrowed(List<String> words) {
      List<String> those = words.subList(from, to);
      List<String> others = words(instead);
      int most = Math.min(those.size(), others.size());
      int first = 0;
      while (first < most && those.get(first).equals(others.get(first))) {
        first++;
      }
      int last = 0;
      while (last < most - first
          && those.get(those.size() - 1 - last).equals(others.get(others.size() - 1 - last))) {
        last++;
      }
      return new Span(
          from + first, to - last, String.join("", others.subList(first, others.size() - last)));
    }

    /** What only comes in stands with the word before it, or with the first. */
    Span beside(List<String> words) {
      if (from < to) {
        return this;
      }
      return from > 0
          ? new Span(from - 1, to, words.get(from - 1) + instead)
          : new Span(from, to + 1, instead + words.get(to));
    }
  }

  /** Those between which only few words stay are one: half of such a change says nothing. */
  private static List<Span> spans(List<String> words, List<String> others) {
    List<Span> spans = new ArrayList<>();
    for (AbstractDelta<String> delta :
        DiffUtils.diff(words, others, new MeyersDiffWithLinearSpace<>(), null).getDeltas()) {
      int from = delta.getSource().getPosition();
      int to = from + delta.getSource().size();
      String instead = String.join("", delta.getTarget().getLines());
      Span last = spans.isEmpty() ? null : spans.get(spans.size() - 1);
      if (last != null && from - last.to() <= FEW) {
        String between = String.join("", words.subList(last.to(), from));
        spans.set(spans.size() - 1, new Span(last.from(), to, last.instead() + between + instead));
      } else {
        spans.add(new Span(from, to, instead));
      }
    }
    return spans;
  }

  private static List<String> words(String text) {
    return WORD.matcher(text).results().map(MatchResult::group).toList();
  }

  /** Where each word begins, and where the last one ends. */
  private static int[] begins(List<String> words) {
    int[] begins = new int[words.size() + 1];
    for (int n = 0; n < words.size(); n++) {
      begins[n + 1] = begins[n] + words.get(n).length();
    }
    return begins;
  }

  /** Without the space that both sides end with. */
  private static OtherWords trimmed(String text, int start, int end, String instead) {
    int last = end;
    int kept = instead.length();
    while (last > start + 1
        && kept > 0
        && Character.isWhitespace(text.charAt(last - 1))
        && text.charAt(last - 1) == instead.charAt(kept - 1)) {
      last--;
      kept--;
    }
    return new OtherWords(Part.of(text, start, last), instead.substring(0, kept));
  }
}
