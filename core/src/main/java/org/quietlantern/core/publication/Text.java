package org.quietlantern.core.publication;

import java.text.Normalizer;

/** Supplied text made fit to store and compare. */
public final class Text {
  private static final char DELETE = 0x7F;

  private Text() {}

  /** Composed letters (NFC), single spaces, no control characters. */
  public static String clean(String supplied) {
    String composed = Normalizer.normalize(supplied, Normalizer.Form.NFC);
    StringBuilder clean = new StringBuilder(composed.length());
    boolean gap = false;
    for (int n = 0; n < composed.length(); n++) {
      char letter = composed.charAt(n);
      if (isBlank(letter)) {
        gap = true;
      } else {
        if (gap && !clean.isEmpty()) {
          clean.append(' ');
        }
        gap = false;
        clean.append(letter);
      }
    }
    return clean.toString();
  }

  /** Of Unicode's separators and control characters, none of which is a pair. */
  private static boolean isBlank(char letter) {
    if (letter > ' ' && letter < DELETE) {
      return false;
    }
    return switch (Character.getType(letter)) {
      case Character.CONTROL,
          Character.SPACE_SEPARATOR,
          Character.LINE_SEPARATOR,
          Character.PARAGRAPH_SEPARATOR ->
          true;
      default -> false;
    };
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
