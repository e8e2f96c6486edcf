package org.quietlantern.core.publication;

import java.text.Normalizer;

/** Supplied text made fit to store and compare. */
public final class Text {
  private Text() {}

  /** Composed letters (NFC), single spaces, no control characters. */
  public static String clean(String supplied) {
    return Normalizer.normalize(supplied, Normalizer.Form.NFC)
        .replaceAll("[\\p{Cc}\\p{Z}]+", " ")
        .strip();
  }
}
