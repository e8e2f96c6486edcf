package org.quietlantern.core.citation.check;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Titles in sentence case: a capital at the beginning and behind a colon, and for what is a name.
 */
final class SentenceCase {
  private static final Pattern BEGINS = Pattern.compile(".*[.:?!–—]\\s*[“\"‘'(]?$", Pattern.DOTALL);

  /** Words that are no names. */
  private static final Set<String> SMALL =
      Set.of(
          "about", "after", "along", "among", "before", "being", "between", "does", "during",
          "each", "from", "have", "into", "more", "most", "near", "only", "other", "over", "than",
          "that", "their", "them", "these", "they", "this", "those", "through", "under", "upon",
          "versus", "what", "when", "where", "which", "while", "with", "within", "without");

  /** What shorter words are need not be known: they are hardly ever names. */
  private static final int SHORT = 4;

  /**
   * @param certain whether every word was known
   */
  record Made(String text, boolean certain) {}

  private SentenceCase() {}

  static Made of(String title, Words known) {
    boolean shouts = title.equals(title.toUpperCase(Locale.ROOT));
    Matcher word = Words.WORD.matcher(title);
    StringBuilder made = new StringBuilder();
    boolean certain = true;
    int done = 0;
    while (word.find()) {
      made.append(title, done, word.start());
      boolean begins = word.start() == 0 || BEGINS.matcher(made).matches();
      String text = word.group();
      Optional<String> usual = known.usual(text);
      String small = text.toLowerCase(Locale.ROOT);
      String written = usual.orElse(keeps(text, shouts) ? text : small);
      certain &=
          usual.isPresent()
              || text.length() < SHORT
              || SMALL.contains(small)
              || (!shouts && keeps(text, false));
      made.append(begins ? capital(written) : written);
      done = word.end();
    }
    made.append(title.substring(done));
    return new Made(made.toString(), certain);
  }

  /** What has a capital inside or a digit is written so: DNA, pH, CO2. */
  private static boolean keeps(String word, boolean shouts) {
    boolean digit = word.chars().anyMatch(Character::isDigit);
    return digit || (!shouts && word.substring(1).chars().anyMatch(Character::isUpperCase));
  }

  private static String capital(String word) {
    boolean inside = word.substring(1).chars().anyMatch(Character::isUpperCase);
    return inside ? word : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
  }
}
