package org.quietlantern.standins.corpus;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.quietlantern.standins.words.Sayings;
import org.quietlantern.standins.words.Table;
import org.quietlantern.standins.words.Template;

/** Titles in the other languages of the literature. */
final class Foreign {
  static final List<String> LANGUAGES = List.of("de", "fr", "es", "nb");
  private static final Sayings TITLES = Sayings.of("foreign.txt");
  private static final Map<String, Table.Row> WORDS = new HashMap<>();

  static {
    Table.rows("translations.txt").forEach(row -> WORDS.put(row.text(0), row));
  }

  private Foreign() {}

  /** Whether all that a title needs has a translation. */
  static boolean canSay(Study study) {
    return WORDS.containsKey(study.taxon().plural())
        && WORDS.containsKey(study.light().formal())
        && WORDS.containsKey(study.habitat().name());
  }

  static String title(Study study, String language, Random random) {
    int column = 1 + LANGUAGES.indexOf(language);
    Map<String, String> slots =
        Map.of(
            "l", WORDS.get(study.light().formal()).text(column),
            "t", WORDS.get(study.taxon().plural()).text(column),
            "h", WORDS.get(study.habitat().name()).text(column));
    return Template.capital(
        Studies.pick(random, TITLES.suiting(language, Set.of())).write(random, slots::get));
  }
}
