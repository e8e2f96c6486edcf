package org.quietlantern.core.annotation;

import java.util.Optional;

/**
 * Some words of a text, known by themselves and by what stood around them (Web Annotation Data
 * Model, 4.2.4), so that they are found again after the text was changed elsewhere.
 *
 * @param words at least one letter
 * @param start where they stood, in letters of the text from 0
 */
public record Part(String words, String before, String after, int start) {
  private static final int AROUND = 40;

  /** From one letter of a text up to another, both from 0; the second is not in it. */
  public static Part of(String text, int start, int end) {
    return new Part(
        text.substring(start, end),
        text.substring(Math.max(0, start - AROUND), start),
        text.substring(end, Math.min(text.length(), end + AROUND)),
        start);
  }

  /** Where these words are now, from 0: where most of what stood around them does. */
  public Optional<Integer> in(String text) {
    Integer best = null;
    int most = -1;
    for (int at = text.indexOf(words); at >= 0; at = text.indexOf(words, at + 1)) {
      int around = around(text, at);
      boolean nearer = best != null && Math.abs(at - start) < Math.abs(best - start);
      if (around > most || (around == most && nearer)) {
        best = at;
        most = around;
      }
    }
    return Optional.ofNullable(best);
  }

  /** Letters around a place that are those which stood around these words. */
  private int around(String text, int at) {
    int same = 0;
    for (int n = 1; n <= Math.min(at, before.length()); n++) {
      if (text.charAt(at - n) != before.charAt(before.length() - n)) {
        break;
      }
      same++;
    }
    int end = at + words.length();
    for (int n = 0; n < Math.min(text.length() - end, after.length()); n++) {
      if (text.charAt(end + n) != after.charAt(n)) {
        break;
      }
      same++;
    }
    return same;
  }

  /** The text with other words in their place; empty where they are not in it any more. */
  public Optional<String> replaced(String text, String by) {
    return in(text).map(at -> text.substring(0, at) + by + text.substring(at + words.length()));
  }
}
