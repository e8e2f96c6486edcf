package org.quietlantern.core.publication;

import java.text.Normalizer;
import java.util.regex.Pattern;

/** Supplied text made fit to store and compare. */
public final class Text {
  private static final Pattern BLANKS = Pattern.compile("[\\p{Cc}\\p{Z}]+");

  private Text() {}

  /** Composed letters (NFC), single spaces, no control characters. */
  public static String clean(String supplied) {
    String composed = Normalizer.normalize(supplied, Normalizer.Form.NFC);
    return BLANKS.matcher(composed).replaceAll(" ").strip();
  }

  /**
   * Without what XML 1.0 (section 2.2) or a database cannot hold: control characters other than tab
   * and line ends go, half a pair becomes U+FFFD.
   */
  public static String legal(String supplied) {
    int length = supplied.length();
    StringBuilder legal = null;
    for (int at = 0; at < length; ) {
      int letter = supplied.codePointAt(at);
      int step = Character.charCount(letter);
      if (legal == null && !isLegal(letter)) {
        legal = new StringBuilder(length).append(supplied, 0, at);
      }
      if (legal != null) {
        boolean isHalf = letter >= Character.MIN_SURROGATE && letter <= Character.MAX_SURROGATE;
        if (isHalf) {
          legal.append('\uFFFD');
        } else if (isLegal(letter)) {
          legal.appendCodePoint(letter);
        }
      }
      at += step;
    }
    return legal == null ? supplied : legal.toString();
  }

  private static boolean isLegal(int letter) {
    boolean isControl = letter < ' ' && letter != '\t' && letter != '\n' && letter != '\r';
    boolean isHalf = letter >= Character.MIN_SURROGATE && letter <= Character.MAX_SURROGATE;
    return !isControl && !isHalf && letter != 0xFFFE && letter != 0xFFFF;
  }

  /** The beginning of a text, never half a letter; what was cut is an ellipsis. */
  public static String atMost(int letters, String text) {
    if (text.length() <= letters) {
      return text;
    }
    boolean insideOne = Character.isHighSurrogate(text.charAt(letters - 1));
    return text.substring(0, insideOne ? letters - 1 : letters).strip() + "…";
  }
}
