package org.quietlantern.core.publication;

import java.util.Arrays;
import java.util.List;

/** Which names may be those of one person. */
public final class Namesakes {
  private Namesakes() {}

  /**
   * Whether two names may be the same person's: one family name, and given names that do not speak
   * against it, each written in full or by its first letter, as far as both have them. Bodies and
   * people with one name are compared whole.
   */
  public static boolean mayBeOne(PersonName one, PersonName other) {
    List<String> given = given(one);
    List<String> others = given(other);
    if (!Fold.letters(one.family()).equals(Fold.letters(other.family()))
        || given.isEmpty() != others.isEmpty()) {
      return false;
    }
    for (int at = 0; at < Math.min(given.size(), others.size()); at++) {
      if (!alike(given.get(at), others.get(at))) {
        return false;
      }
    }
    return true;
  }

  /** Given names in folded letters; initials written together are taken apart. */
  private static List<String> given(PersonName name) {
    return Arrays.stream(name.given().split("[\\s.\\-‐]+"))
        .flatMap(
            word ->
                isInitials(word)
                    ? Arrays.stream(word.split(""))
                    : Arrays.stream(new String[] {word}))
        .map(Fold::letters)
        .filter(word -> !word.isEmpty())
        .toList();
  }

  private static boolean isInitials(String word) {
    return word.length() > 1
        && word.length() <= 3
        && word.codePoints().allMatch(Character::isUpperCase);
  }

  private static boolean alike(String one, String other) {
    boolean brief =
        one.codePointCount(0, one.length()) == 1 || other.codePointCount(0, other.length()) == 1;
    return brief ? one.codePointAt(0) == other.codePointAt(0) : one.equals(other);
  }
}
