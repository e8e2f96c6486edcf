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

  /**
   * From one letter of a text up to another, both from 0; the second is not in it. A letter that
   * takes two places is not cut in two.
   */
  public static Part of(String text, int start, int end) {
    int from = whole(text, start);
    int to = whole(text, end);
    return new Part(
        text.substring(from, to),
        text.substring(whole(text, Math.max(0, from - AROUND)), from),
        text.substring(to, whole(text, Math.min(text.length(), to + AROUND))),
        from);
  }

  private static int whole(String text, int at) {
    boolean within =
        at > 0
            && at < text.length()
            && Character.isSurrogatePair(text.charAt(at - 1), text.charAt(at));
    return within ? at - 1 : at;
  }

  /** Where these words are now, from 0: where most of what stood beside them does. */
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

  /** Letters beside a place that are those which stood there, on the side that changed less. */
  private int around(String text, int at) {
    int front = 0;
    while (front < Math.min(at, before.length())
        && text.charAt(at - 1 - front) == before.charAt(before.length() - 1 - front)) {
      front++;
    }
    int end = at + words.length();
    int behind = 0;
    while (behind < Math.min(text.length() - end, after.length())
        && text.charAt(end + behind) == after.charAt(behind)) {
      behind++;
    }
    return Math.max(front, behind);
  }

  /** The text with other words in their place; empty where they are not in it any more. */
  public Optional<String> replaced(String text, String by) {
    return in(text).map(at -> text.substring(0, at) + by + text.substring(at + words.length()));
  }
}
