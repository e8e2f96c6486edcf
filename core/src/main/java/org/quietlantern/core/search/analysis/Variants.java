package org.quietlantern.core.search.analysis;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Other spellings and irregular forms of English words, whether or not anybody uses them: British
 * and American endings by rule, the rest from a table.
 */
public final class Variants {
  private static final Map<String, Set<String>> TABLE = table();

  /** One spelling for another, wherever in a word; tried both ways. */
  private static final String[][] PARTS = {
    {"our", "or"},
    {"isation", "ization"},
    {"ise", "ize"},
    {"ising", "izing"},
    {"ised", "ized"},
    {"yse", "yze"},
    {"tre", "ter"},
    {"ogue", "og"},
    {"ae", "e"},
    {"oe", "e"},
    {"grey", "gray"},
    {"sulph", "sulf"},
    {"lling", "ling"},
    {"lled", "led"},
    {"ller", "ler"},
    {"mould", "mold"},
    {"aluminium", "aluminum"},
    {"fibre", "fiber"},
    {"defence", "defense"},
    {"licence", "license"},
    {"programme", "program"},
    {"plough", "plow"},
    {"tyre", "tire"},
    {"judgement", "judgment"}
  };

  private static final int SHORTEST = 4;

  private Variants() {}

  /** Of a folded word, without itself. */
  public static Set<String> of(String word) {
    Set<String> variants = new LinkedHashSet<>(TABLE.getOrDefault(word, Set.of()));
    if (word.length() >= SHORTEST) {
      for (String[] part : PARTS) {
        other(word, part[0], part[1], variants);
        other(word, part[1], part[0], variants);
      }
    }
    variants.remove(word);
    return variants;
  }

  private static void other(String word, String from, String to, Set<String> variants) {
    for (int at = word.indexOf(from); at >= 0; at = word.indexOf(from, at + 1)) {
      variants.add(word.substring(0, at) + to + word.substring(at + from.length()));
    }
  }

  /** Two words out of a joined one: every place where it can be cut. */
  public static List<String[]> apart(String word) {
    List<String[]> pairs = new ArrayList<>();
    for (int at = 3; at <= word.length() - 3; at++) {
      pairs.add(new String[] {word.substring(0, at), word.substring(at)});
    }
    return pairs;
  }

  private static Map<String, Set<String>> table() {
    Map<String, Set<String>> table = new HashMap<>();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                Variants.class.getResourceAsStream("irregular.txt"), StandardCharsets.UTF_8))) {
      lines
          .lines()
          .filter(line -> !line.isBlank() && !line.startsWith("#"))
          .map(line -> List.of(line.strip().toLowerCase(Locale.ROOT).split(" ")))
          .forEach(
              forms ->
                  forms.forEach(
                      form ->
                          table.computeIfAbsent(form, f -> new LinkedHashSet<>()).addAll(forms)));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return table;
  }
}
