package org.quietlantern.core.citation.check;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How words are written in running text: which begin with a capital wherever they stand. */
public final class Words {
  static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{M}\\p{N}’']*");

  /** A word behind this begins with a capital, whatever it is. */
  private static final Pattern BEGINS = Pattern.compile(".*[.:?!–—“\"]\\s*$", Pattern.DOTALL);

  /** Of a text, more capitals than this make a heading of it, which says nothing of words. */
  private static final double MOST_CAPITALS = 0.6;

  /** A text by which a group has shown how it wants words counts so much more. */
  private static final int LEARNED = 20;

  private final Map<String, Map<String, Integer>> forms = new HashMap<>();

  /** Takes in a sentence, an abstract, or a title in sentence case. */
  public Words add(String text) {
    add(text, 1);
    return this;
  }

  /** Takes in what the group has written itself. */
  public Words learn(String text) {
    add(text, LEARNED);
    return this;
  }

  private void add(String text, int weight) {
    if (isHeading(text)) {
      return;
    }
    Matcher word = WORD.matcher(text);
    while (word.find()) {
      boolean begins = word.start() == 0 || BEGINS.matcher(before(text, word.start())).matches();
      if (!begins) {
        forms
            .computeIfAbsent(word.group().toLowerCase(Locale.ROOT), w -> new HashMap<>())
            .merge(word.group(), weight, Integer::sum);
      }
    }
  }

  private static String before(String text, int at) {
    return text.substring(Math.max(0, at - 3), at);
  }

  /** Whether most words begin with a capital, or all letters are capitals. */
  public static boolean isHeading(String text) {
    List<String> words =
        WORD.matcher(text)
            .results()
            .map(found -> found.group())
            .filter(w -> w.length() > 3)
            .toList();
    long capital = words.stream().skip(1).filter(w -> Character.isUpperCase(w.charAt(0))).count();
    return words.size() > 2 && capital > (words.size() - 1) * MOST_CAPITALS;
  }

  /** How a word is mostly written; empty for one that was never met. */
  Optional<String> usual(String word) {
    return forms.getOrDefault(word.toLowerCase(Locale.ROOT), Map.of()).entrySet().stream()
        .max(Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry::getKey))
        .map(Map.Entry::getKey);
  }
}
