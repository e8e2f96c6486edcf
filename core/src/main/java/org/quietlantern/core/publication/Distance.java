package org.quietlantern.core.publication;

/** How many letters lie between two words (Levenshtein). */
public final class Distance {
  private Distance() {}

  /** Whether at most so many letters must be changed, added or left out. */
  public static boolean within(String one, String other, int most) {
    if (Math.abs(one.length() - other.length()) > most) {
      return false;
    }
    int[] before = new int[other.length() + 1];
    for (int j = 0; j < before.length; j++) {
      before[j] = j;
    }
    for (int i = 1; i <= one.length(); i++) {
      int[] now = new int[before.length];
      now[0] = i;
      int least = i;
      for (int j = 1; j < now.length; j++) {
        int change = one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1;
        now[j] = Math.min(before[j - 1] + change, 1 + Math.min(before[j], now[j - 1]));
        least = Math.min(least, now[j]);
      }
      if (least > most) {
        return false;
      }
      before = now;
    }
    return before[other.length()] <= most;
  }
}
