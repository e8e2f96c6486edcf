package org.quietlantern.core.reference;

import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.Fold;
import org.quietlantern.core.publication.Publication;

/** Keys of entries: <i>oxlade2025lamps</i>. */
public final class EntryKeys {
  private static final int LONGEST = 40;
  private static final int LETTERS = 26;

  private static final Pattern FOREIGN = Pattern.compile("[^a-z0-9]");

  private static final Pattern WORDS = Pattern.compile("[^\\p{L}\\p{N}]+");

  /** Words that begin titles and tell nothing. */
  private static final Set<String> EMPTY =
      Set.of(
          "a", "an", "the", "on", "of", "in", "and", "for", "to", "from", "with", "how", "what",
          "der", "die", "das", "ein", "eine", "le", "la", "les", "un", "une", "el", "los", "las");

  private EntryKeys() {}

  /** Family name of the first author, year, and first word of the title, in plain letters. */
  public static String of(Publication work) {
    String family = work.authors().isEmpty() ? "anon" : plain(work.authors().get(0).family());
    String year = work.citedYear().map(String::valueOf).orElse("nd");
    String word =
        WORDS
            .splitAsStream(work.title().replaceAll("<[^>]*>", ""))
            .map(EntryKeys::plain)
            .filter(one -> !one.isEmpty() && !EMPTY.contains(one))
            .findFirst()
            .orElse("");
    String key = (family.isEmpty() ? "anon" : family) + year + word;
    return key.length() > LONGEST ? key.substring(0, LONGEST) : key;
  }

  private static String plain(String text) {
    return FOREIGN.matcher(Fold.letters(text)).replaceAll("");
  }

  /** The key, or the first with letters behind it that is not taken. */
  public static String free(String key, Predicate<String> taken) {
    String free = key;
    for (int n = 0; taken.test(free); n++) {
      free = key + letters(n);
    }
    return free;
  }

  /** {@code a} to {@code z}, {@code aa} … from 0. */
  private static String letters(int n) {
    String last = String.valueOf((char) ('a' + n % LETTERS));
    return n < LETTERS ? last : letters(n / LETTERS - 1) + last;
  }
}
