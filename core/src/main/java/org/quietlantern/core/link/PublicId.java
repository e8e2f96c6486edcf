package org.quietlantern.core.link;

import java.util.Locale;
import java.util.random.RandomGenerator;

/**
 * The name of something in an address: nine random characters and one that checks them, in the
 * lower-case alphabet of Crockford's base 32. The check finds every single wrong character and
 * every swap of two neighbours (a Damm scheme over GF(32)).
 */
public record PublicId(String text) {
  /** Characters of an id, the check included. */
  public static final int LENGTH = 10;

  public PublicId {
    if (!Crockford.isSound(text)) {
      throw new IllegalArgumentException("not a public id: " + text);
    }
  }

  /** A new id; {@code source} has to be unpredictable wherever an id must not be guessed. */
  public static PublicId random(RandomGenerator source) {
    StringBuilder id = new StringBuilder(LENGTH);
    for (int i = 1; i < LENGTH; i++) {
      id.append(Crockford.ALPHABET.charAt(source.nextInt(32)));
    }
    return new PublicId(id.append(Crockford.checkOf(id)).toString());
  }

  /**
   * Reads what a person typed: letter case and hyphens do not matter, {@code o} is 0, {@code i} and
   * {@code l} are 1.
   */
  public static Reading read(String typed) {
    String plain =
        typed
            .toLowerCase(Locale.ROOT)
            .replace("-", "")
            .replace('o', '0')
            .replace('i', '1')
            .replace('l', '1');
    return Crockford.isSound(plain)
        ? new Reading.Sound(new PublicId(plain))
        : new Reading.Mistyped(typed);
  }

  /** For path variables; throws on anything but a sound id. */
  public static PublicId of(String typed) {
    if (read(typed) instanceof Reading.Sound sound) {
      return sound.id();
    }
    throw new IllegalArgumentException("not a public id: " + typed);
  }

  @Override
  public String toString() {
    return text;
  }

  /** What reading a typed id came to. */
  public sealed interface Reading {
    /** Its check character holds. */
    record Sound(PublicId id) implements Reading {}

    /** No such id was ever given out: a character is wrong, missing, or two are swapped. */
    record Mistyped(String typed) implements Reading {}
  }
}
