package org.quietlantern.core.vocabulary;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;

/** Names of headings whatever their number: <i>moth</i> and <i>moths</i> name one heading. */
final class NameForms {
  private static final int SHORTEST = 4;

  private NameForms() {}

  /** The same for a name in the singular and in the plural, word by word (English). */
  static String key(String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .replaceAll("\\p{M}", "")
            .toLowerCase(Locale.ROOT);
    return Arrays.stream(plain.split("[^\\p{L}\\p{N}]+"))
        .filter(word -> !word.isEmpty())
        .map(NameForms::singular)
        .collect(Collectors.joining(" "));
  }

  private static String singular(String word) {
    if (word.length() < SHORTEST || word.endsWith("ss") || word.endsWith("us")) {
      return word;
    }
    if (word.endsWith("ies")) {
      return word.substring(0, word.length() - 3) + "y";
    }
    if (word.matches(".*(s|x|z|ch|sh)es")) {
      return word.substring(0, word.length() - 2);
    }
    return word.endsWith("s") ? word.substring(0, word.length() - 1) : word;
  }
}
