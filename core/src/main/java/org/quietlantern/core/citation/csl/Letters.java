package org.quietlantern.core.citation.csl;

/** Letters that count: a, b … z, aa, ab … */
final class Letters {
  private static final int ALPHABET = 26;

  private Letters() {}

  /** {@code number} from 1. */
  static String of(int number) {
    StringBuilder letters = new StringBuilder();
    for (int rest = number; rest > 0; rest = (rest - 1) / ALPHABET) {
      letters.insert(0, (char) ('a' + (rest - 1) % ALPHABET));
    }
    return letters.toString();
  }

  static int number(String letters) {
    int number = 0;
    for (int i = 0; i < letters.length(); i++) {
      number = number * ALPHABET + letters.charAt(i) - 'a' + 1;
    }
    return number;
  }
}
