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

  /** The beginning of a text, never half a letter; what was cut is an ellipsis. */
  public static String atMost(int letters, String text) {
    if (text.length() <= letters) {
      return text;
    }
    boolean insideOne = Character.isHighSurrogate(text.charAt(letters - 1));
    return text.substring(0, insideOne ? letters - 1 : letters).strip() + "…";
  }
}
