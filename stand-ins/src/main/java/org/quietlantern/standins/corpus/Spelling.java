package org.quietlantern.standins.corpus;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Works from America are spelled as there. */
final class Spelling {
  private static final Map<String, String> AMERICAN = new LinkedHashMap<>();

  static {
    String pairs =
        """
        colour color, behaviour behavior, harbour harbor, favour favor, neighbour neighbor,
        metres meters, centres centers, analyse analyze, modelled modeled, polarised polarized,
        polarisation polarization, randomised randomized, generalised generalized,
        standardised standardized, hypothesised hypothesized, faecal fecal, grey gray,
        programme program, mould mold, labelled labeled, modelling modeling, licence license""";
    for (String pair : pairs.split(",\\s+")) {
      String[] both = pair.strip().split(" ");
      AMERICAN.put(both[0], both[1]);
    }
  }

  private static final Pattern BRITISH =
      Pattern.compile(String.join("|", AMERICAN.keySet()), Pattern.CASE_INSENSITIVE);

  private Spelling() {}

  static String american(String text) {
    return BRITISH.matcher(text).replaceAll(found -> Matcher.quoteReplacement(one(found.group())));
  }

  private static String one(String word) {
    String american = AMERICAN.get(word.toLowerCase(java.util.Locale.ROOT));
    return Character.isUpperCase(word.charAt(0))
        ? org.quietlantern.standins.words.Template.capital(american)
        : american;
  }
}
