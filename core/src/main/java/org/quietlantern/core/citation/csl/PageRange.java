package org.quietlantern.core.citation.csl;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Ranges of pages (specification, Appendix V). */
final class PageRange {
  private static final Pattern RANGE =
      Pattern.compile("([\\p{L}]*)(\\d+)([\\p{L}]*)\\s*[-–]{1,2}\\s*([\\p{L}]*)(\\d+)([\\p{L}]*)");

  private PageRange() {}

  /** {@code format}: {@code chicago}, {@code expanded}, {@code minimal} …; empty: as it stands. */
  static String all(String text, String format, String between) {
    Matcher range = RANGE.matcher(text);
    String done =
        range.replaceAll(
            one ->
                Matcher.quoteReplacement(
                    one(
                        one.group(1)
                            + "\u0000"
                            + one.group(2)
                            + "\u0000"
                            + one.group(3)
                            + "\u0000"
                            + one.group(4)
                            + "\u0000"
                            + one.group(5)
                            + "\u0000"
                            + one.group(6),
                        format,
                        between)));
    return done.replaceAll("\\s*&\\s*", " & ");
  }

  private static String one(String parts, String format, String between) {
    String[] part = parts.split("\u0000", -1);
    boolean plain = part[2].isEmpty() && part[5].isEmpty();
    boolean same = part[0].equals(part[3]) || part[3].isEmpty();
    if (format.isEmpty() || !plain || !same) {
      return part[0] + part[1] + part[2] + between + part[3] + part[4] + part[5];
    }
    String from = part[1];
    String to =
        part[4].length() < from.length()
            ? from.substring(0, from.length() - part[4].length()) + part[4]
            : part[4];
    String last = last(from, to, format);
    boolean whole = last.length() == to.length();
    return part[0] + from + between + (whole ? part[0] : "") + last;
  }

  private static String last(String from, String to, String format) {
    if (from.length() != to.length()) {
      return to;
    }
    return switch (format) {
      case "minimal" -> minimal(from, to, 1);
      case "minimal-two" -> minimal(from, to, 2);
      case "chicago", "chicago-15" -> chicago(from, to, true);
      case "chicago-16" -> chicago(from, to, false);
      default -> to;
    };
  }

  private static String minimal(String from, String to, int least) {
    int same = 0;
    while (same < to.length() - least && from.charAt(same) == to.charAt(same)) {
      same++;
    }
    return to.substring(same);
  }

  private static String chicago(String from, String to, boolean fifteenth) {
    int n = Integer.parseInt(from.length() > 8 ? from.substring(from.length() - 8) : from);
    if (n < 100 || n % 100 == 0) {
      return to;
    }
    if (n % 100 < 10) {
      return minimal(from, to, 1);
    }
    String shortened = minimal(from, to, 2);
    return fifteenth && from.length() == 4 && shortened.length() >= 3 ? to : shortened;
  }
}
