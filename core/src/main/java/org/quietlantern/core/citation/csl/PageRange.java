package org.quietlantern.core.citation.csl;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Ranges of pages (specification, Appendix V). */
final class PageRange {
  private static final Pattern PART = Pattern.compile("\\s*([,&;]|and)\\s*");
  private static final Pattern RANGE =
      Pattern.compile("(\\p{L}?)(\\d+)\\s*[-–—]{1,2}\\s*(\\p{L}?)(\\d+)");

  private static final Pattern LOOSE =
      Pattern.compile(
          "([\\p{L}\\d]*\\d[\\p{L}\\d]*|[ivxlcdm]+)\\s*[-–—]{1,2}\\s*([\\p{L}\\d]*\\d[\\p{L}\\d]*|[ivxlcdm]+)");

  private PageRange() {}

  /** {@code format}: {@code chicago}, {@code expanded}, {@code minimal} …; empty: as it stands. */
  static String all(String text, String format, String between) {
    StringBuilder all = new StringBuilder();
    Matcher part = PART.matcher(text);
    int at = 0;
    while (part.find()) {
      all.append(one(text.substring(at, part.start()), format, between));
      String sign = part.group(1);
      all.append(sign.equals("&") || sign.equals("and") ? " " + sign + " " : sign + " ");
      at = part.end();
    }
    return all.append(one(text.substring(at), format, between)).toString().replace("\\-", "-");
  }

  private static String one(String range, String format, String between) {
    Matcher plain = RANGE.matcher(range.strip());
    if (!plain.matches()) {
      Matcher loose = LOOSE.matcher(range.strip());
      return format.isEmpty() && loose.matches()
          ? loose.group(1) + between + loose.group(2)
          : asItStands(range);
    }
    boolean same = plain.group(1).equals(plain.group(3));
    if (format.isEmpty()) {
      return plain.group(1) + plain.group(2) + between + plain.group(3) + plain.group(4);
    }
    return same
        ? formed(plain.group(1), plain.group(2), plain.group(4), format, between)
        : asItStands(range);
  }

  private static String asItStands(String range) {
    return range.strip().replaceAll("\\s*-\\s*", "-");
  }

  private static String formed(
      String letter, String from, String last, String format, String between) {
    String to =
        last.length() < from.length()
            ? from.substring(0, from.length() - last.length()) + last
            : last;
    String shown = shown(from, to, format);
    boolean whole = shown.length() == to.length();
    return letter + from + between + (whole ? letter : "") + shown;
  }

  private static String shown(String from, String to, String format) {
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
