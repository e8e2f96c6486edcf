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
}
