package org.quietlantern.core.search.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Abbreviations that a text explains: <i>artificial light at night (ALAN)</i>. Found as Schwartz
 * and Hearst describe (Pacific Symposium on Biocomputing 2003, 451–462): the letters of the short
 * form, from its end, in the words before the bracket, the first one beginning a word.
 */
public final class ShortForms {
  private static final Pattern BRACKET = Pattern.compile("\\(([\\p{L}\\p{N}-]{2,10})\\)");
  private static final char BETWEEN = '=';

  private ShortForms() {}

  /** A short form and the long one, both in lower case. */
  public record Pair(String shortForm, String longForm) {
    /** As it is looked up from either side. */
    public List<String> ways() {
      return List.of(shortForm + BETWEEN + longForm, longForm + BETWEEN + shortForm);
    }
  }

  public static List<Pair> in(String text) {
    return BRACKET
        .matcher(text)
        .results()
        .flatMap(found -> pair(text, found).stream())
        .distinct()
        .toList();
  }

  /** The other form out of what {@link Pair#ways} wrote. */
  public static String other(String way) {
    return way.substring(way.indexOf(BETWEEN) + 1);
  }

  private static Optional<Pair> pair(String text, MatchResult bracket) {
    String shortForm = bracket.group(1);
    if (shortForm.chars().filter(Character::isUpperCase).count() < 2) {
      return Optional.empty();
    }
    String before = text.substring(0, bracket.start()).stripTrailing();
    List<String> words = new ArrayList<>(Stream.of(before.split("\\s+")).toList());
    int most = Math.min(shortForm.length() + 5, shortForm.length() * 2);
    String near = String.join(" ", words.subList(Math.max(0, words.size() - most), words.size()));
    return beginning(shortForm.toLowerCase(Locale.ROOT), near.toLowerCase(Locale.ROOT))
        .map(longForm -> new Pair(shortForm.toLowerCase(Locale.ROOT), longForm));
  }

  /** The end of {@code near} that holds the letters in order. */
  private static Optional<String> beginning(String shortForm, String near) {
    int at = near.length() - 1;
    for (int i = shortForm.length() - 1; i >= 0; i--) {
      char wanted = shortForm.charAt(i);
      if (!Character.isLetterOrDigit(wanted)) {
        continue;
      }
      while (at >= 0 && (near.charAt(at) != wanted || (i == 0 && !begins(near, at)))) {
        at--;
      }
      if (at < 0) {
        return Optional.empty();
      }
      at--;
    }
    String longForm = near.substring(at + 1);
    return longForm.length() > shortForm.length() && longForm.indexOf(' ') > 0
        ? Optional.of(longForm)
        : Optional.empty();
  }

  private static boolean begins(String text, int at) {
    return at == 0 || !Character.isLetterOrDigit(text.charAt(at - 1));
  }
}
