package org.quietlantern.core.link;

/** The alphabet of public ids and their check character. */
final class Crockford {
  static final String ALPHABET = "0123456789abcdefghjkmnpqrstvwxyz";

  private Crockford() {}

  static boolean isSound(String text) {
    if (text.length() != PublicId.LENGTH) {
      return false;
    }
    return text.chars().allMatch(c -> ALPHABET.indexOf(c) >= 0) && remainder(text) == 0;
  }

  static char checkOf(CharSequence body) {
    return ALPHABET.charAt(remainder(body));
  }

  /**
   * Damm's scheme with the quasigroup x*y = a(x+y) of GF(32), a being a root of z^5+z^2+1. A sound
   * text comes to zero.
   */
  private static int remainder(CharSequence text) {
    int interim = 0;
    for (int i = 0; i < text.length(); i++) {
      interim = timesRoot(interim ^ ALPHABET.indexOf(text.charAt(i)));
    }
    return interim;
  }

  private static int timesRoot(int element) {
    int shifted = element << 1;
    return (shifted & 32) == 0 ? shifted : shifted ^ 0b100101;
  }
}
