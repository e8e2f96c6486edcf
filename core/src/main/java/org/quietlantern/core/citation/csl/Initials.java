package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Given names by their first letters (specification, {@code initialize-with}). */
final class Initials {
  private Initials() {}

  /**
   * @param with behind each letter
   * @param initialize whether whole names become letters; else only letters that are there are
   *     given what stands behind
   * @param hyphen whether it stays between
   */
  static String of(String given, String with, boolean initialize, boolean hyphen) {
    StringBuilder text = new StringBuilder();
    for (String word : given.strip().split("[\\s\u00a0]+")) {
      String next = word(word, with, initialize, hyphen);
      if (next.isEmpty()) {
        continue;
      }
      boolean apart = text.length() > 0 && isWord(next, with);
      boolean before = text.length() > 0 && !endsSpaced(text) && endsWord(text, with);
      text.append((apart && !endsSpaced(text)) || before ? " " : "").append(next);
    }
    return text.toString().stripTrailing();
  }

  private static boolean endsSpaced(StringBuilder text) {
    return Character.isWhitespace(text.charAt(text.length() - 1));
  }

  private static boolean isWord(String next, String with) {
    return !with.isEmpty() ? !next.endsWith(with) : next.length() > 1 && isLower(next.substring(1));
  }

  private static boolean endsWord(StringBuilder text, String with) {
    String all = text.toString();
    String last = all.substring(all.lastIndexOf(' ') + 1);
    return isWord(last, with.strip());
  }

  private static boolean isLower(String text) {
    return text.equals(text.toLowerCase(Locale.ROOT));
  }

  private static String word(String word, String with, boolean initialize, boolean hyphen) {
    if (word.isEmpty()) {
      return "";
    }
    boolean small = Character.isLowerCase(word.codePointAt(0));
    if (small) {
      return word;
    }
    List<String> parts = new ArrayList<>();
    for (String part : word.split("[-–]")) {
      if (part.isEmpty()) {
        continue;
      }
      boolean letters = part.matches("\\p{Lu}(?:\\.\\p{Lu})*\\.?|\\p{Lu}{1,3}\\.?");
      if (letters) {
        StringBuilder each = new StringBuilder();
        part.replace(".", "").codePoints().forEach(c -> each.appendCodePoint(c).append(with));
        parts.add(each.toString());
      } else if (!initialize) {
        parts.add(part);
      } else {
        parts.add(first(part) + with);
      }
    }
    String between = hyphen ? "-" : "";
    StringBuilder joined = new StringBuilder();
    for (String part : parts) {
      if (joined.length() > 0) {
        String so = joined.toString();
        joined.setLength(0);
        joined.append(hyphen ? so.stripTrailing() : so);
        joined.append(between);
      }
      joined.append(part);
    }
    return joined.toString();
  }

  private static String first(String part) {
    return new String(Character.toChars(part.codePointAt(0)));
  }
}
