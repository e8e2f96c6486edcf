package org.quietlantern.core.search.analysis;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Publication;

/** Words that are written in capitals throughout: {@code LED}, {@code ALAN}. */
public final class Capitals {
  private static final Pattern WORD = Pattern.compile("(?<![\\p{L}\\p{N}])\\p{Lu}{2,}(?![\\p{L}])");

  private Capitals() {}

  /** In lower case. A title that is all capitals says nothing. */
  public static Set<String> in(Publication publication) {
    Set<String> words = new TreeSet<>();
    Stream.concat(
            Stream.of(publication.title(), publication.abstractText()),
            publication.keywords().stream())
        .filter(text -> !text.equals(text.toUpperCase(Locale.ROOT)) || single(text))
        .forEach(text -> words.addAll(in(text)));
    return words;
  }

  private static boolean single(String text) {
    return text.indexOf(' ') < 0;
  }

  private static List<String> in(String text) {
    return WORD.matcher(text)
        .results()
        .map(result -> result.group().toLowerCase(Locale.ROOT))
        .toList();
  }

  /** Whether a typed word is one. */
  public static boolean is(String typed) {
    Matcher word = WORD.matcher(typed);
    return word.matches();
  }
}
