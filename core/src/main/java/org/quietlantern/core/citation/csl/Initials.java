package org.quietlantern.core.citation.csl;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Given names by their first letters (specification, {@code initialize-with}). */
final class Initials {
  private static final Pattern TAG = Pattern.compile("<[^>]*>");

  /** A name, with the stop behind it and what stands before it. */
  private static final Pattern PART =
      Pattern.compile("([\\s\u00a0]*)([-–]?)([\\s\u00a0]*)([^\\s\u00a0.–-]+)(\\.?)");

  private static final Pattern SOUND = Pattern.compile("(\\p{Lu})(\\p{Lu}+)\\p{Ll}");

  private final String with;
  private final boolean initialize;
  private final boolean hyphen;
  private final StringBuilder text = new StringBuilder();

  /** Whether the last part was a whole word. */
  private boolean word;

  private Initials(String with, boolean initialize, boolean hyphen) {
    this.with = with;
    this.initialize = initialize;
    this.hyphen = hyphen;
  }

  /**
   * @param with behind each letter
   * @param initialize whether whole names become letters; else only letters that are there are
   *     given what stands behind
   * @param hyphen whether it stays between
   */
  static String of(String given, String with, boolean initialize, boolean hyphen) {
    StringBuilder all = new StringBuilder();
    Matcher tag = TAG.matcher(given);
    int at = 0;
    while (tag.find()) {
      all.append(plain(given.substring(at, tag.start()), with, initialize, hyphen));
      all.append(tag.group());
      at = tag.end();
    }
    return at == 0
        ? plain(given, with, initialize, hyphen)
        : all.append(plain(given.substring(at), with, initialize, hyphen)).toString();
  }

  private static String plain(String given, String with, boolean initialize, boolean hyphen) {
    Initials initials = new Initials(with, initialize, hyphen);
    Matcher part = PART.matcher(given);
    while (part.find()) {
      initials.add(part);
    }
    String before = given.startsWith("-") && hyphen ? "-" : given.matches("\\s.*") ? " " : "";
    return before + initials.text.toString().strip();
  }

  private void add(Matcher part) {
    String name = part.group(4);
    int first = name.codePointAt(0);
    boolean stopped = !part.group(5).isEmpty();
    boolean letter = name.codePointCount(0, name.length()) == 1 || stopped;
    boolean small = Character.isLowerCase(first);
    boolean hyphened = !part.group(2).isEmpty() && text.length() > 0;
    boolean initial = !small && (letter || initialize);
    if (small && hyphened && initialize) {
      return;
    }
    if (hyphened) {
      between();
    } else if (text.length() > 0 && (word || !initial) && !endsSpaced()) {
      text.append(' ');
    }
    if (initial) {
      text.append(letter ? name : letters(name)).append(with);
    } else {
      text.append(name).append(small || !stopped ? part.group(5) : "");
    }
    word = !initial;
  }

  /** The first letter; several where one sound is written with capitals, <i>TSerendorj</i>. */
  private static String letters(String name) {
    Matcher several = SOUND.matcher(name);
    return several.lookingAt()
        ? several.group(1) + several.group(2).toLowerCase(java.util.Locale.ROOT)
        : new String(Character.toChars(name.codePointAt(0)));
  }

  /** A hyphen, without the space that stands behind the letter before. */
  private void between() {
    if (hyphen) {
      while (text.length() > 0 && endsSpaced()) {
        text.setLength(text.length() - 1);
      }
      text.append('-');
    } else if (word && !endsSpaced()) {
      text.append(' ');
    }
  }

  private boolean endsSpaced() {
    return Character.isWhitespace(text.charAt(text.length() - 1));
  }
}
