package org.quietlantern.core.holdings;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Fold;

/** Journals looked up by words of their titles, former titles, or their ISSN. */
final class JournalNames {
  private JournalNames() {}

  /** The folded words of a name, without an article in front. */
  static List<String> words(String name) {
    List<String> all =
        Arrays.stream(name.split("[\\s/–—-]+"))
            .map(Fold::letters)
            .filter(word -> !word.isEmpty())
            .toList();
    boolean article = all.size() > 1 && List.of("the", "a", "an").contains(all.get(0));
    return article ? all.subList(1, all.size()) : all;
  }

  /**
   * The title by which a journal is met: one in which each typed word begins a word, its present
   * one before former ones; the present one for its ISSN.
   */
  static Optional<String> met(Journal journal, String typed) {
    String issn = typed.strip().toUpperCase(Locale.ROOT);
    if (!issn.isEmpty() && issn.replace("-", "").equals(journal.issn().replace("-", ""))) {
      return Optional.of(journal.title());
    }
    List<String> asked = words(typed);
    return journal.titles().stream().filter(title -> meets(words(title), asked)).findFirst();
  }

  private static boolean meets(List<String> words, List<String> asked) {
    return asked.stream().allMatch(part -> words.stream().anyMatch(w -> w.startsWith(part)));
  }

  /** How a list is ordered: by folded words, so that case and articles make no difference. */
  static String order(Journal journal) {
    return String.join(" ", words(journal.title()));
  }

  static Stream<Journal> ordered(Stream<Journal> journals) {
    return journals.sorted(Comparator.comparing(JournalNames::order).thenComparing(Journal::issn));
  }
}
