package org.quietlantern.core.reference;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Publication;

/** Headings and keywords of authors, each once however it is written. */
final class Keywords {
  private Keywords() {}

  static List<String> of(Publication work) {
    Map<String, String> words = new LinkedHashMap<>();
    Stream.concat(work.headings().stream().map(HeadingUse::label), work.keywords().stream())
        .forEach(word -> words.putIfAbsent(word.toLowerCase(Locale.ROOT).strip(), word));
    return List.copyOf(words.values());
  }

  /** In one text, with commas between them; with semicolons where one has a comma within. */
  static String joined(List<String> words) {
    boolean commas = words.stream().anyMatch(word -> word.contains(","));
    return words.stream()
        .map(word -> word.replace(";", " "))
        .collect(Collectors.joining(commas ? "; " : ", "));
  }

  /** Of one text: where there is a semicolon, commas divide nothing. */
  static List<String> split(String text) {
    return Stream.of(text.split(text.contains(";") ? ";" : ","))
        .map(String::strip)
        .filter(word -> !word.isEmpty())
        .distinct()
        .toList();
  }
}
