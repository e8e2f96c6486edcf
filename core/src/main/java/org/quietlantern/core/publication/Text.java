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
    if (supplied.codePoints().allMatch(Text::isLegal)) {
      return supplied;
    }
    StringBuilder legal = new StringBuilder(supplied.length());
    supplied
        .codePoints()
        .filter(letter -> isLegal(letter) || isHalf(letter))
        .forEach(letter -> legal.appendCodePoint(isHalf(letter) ? '\uFFFD' : letter));
    return legal.toString();
  }

  /** Whether a text of XML 1.0 (section 2.2) may have a letter; half a pair is none. */
  public static boolean isLegal(int letter) {
    return letter == '\t'
        || letter == '\n'
        || letter == '\r'
        || (letter >= ' '
            && letter <= Character.MAX_CODE_POINT
            && letter != 0xFFFE
            && letter != 0xFFFF
            && !isHalf(letter));
  }

  private static boolean isHalf(int letter) {
    return letter >= Character.MIN_SURROGATE && letter <= Character.MAX_SURROGATE;
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
