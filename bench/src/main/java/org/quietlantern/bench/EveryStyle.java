package org.quietlantern.bench;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.quietlantern.core.citation.csl.Citation;
import org.quietlantern.core.citation.csl.Cite;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.citation.shelf.StyleShelf;

/** Cites in every style that ships: what fails, what is missing, what looks left over. */
final class EveryStyle {
  private static final Map<String, Pattern> ODD =
      Map.of(
          "two stops", Pattern.compile("(?<!\\.)\\. ?\\.(?!\\.)"),
          "two commas", Pattern.compile(", ?,"),
          "a blank before a mark", Pattern.compile(" [,.)](?!\\.)"),
          "empty brackets", Pattern.compile("\\(\\s*\\)|\\[\\s*\\]"));

  private EveryStyle() {}

  static void measure() throws IOException {
    StyleShelf shelf = new StyleShelf();
    Map<String, Integer> told = new TreeMap<>();
    List<String> names =
        CitationSpeed.infos().stream()
            .filter(style -> !style.isDependent())
            .map(style -> style.name())
            .toList();
    List<Item> items = CitationSpeed.items(20);
    for (String name : names) {
      StyleShelf.Shelved style = shelf.style(name).orElseThrow();
      style.style().missing().forEach(one -> told.merge("missing: " + one, 1, Integer::sum));
      Processor processor = shelf.processor(style, "");
      processor.setItems(items);
      for (Processor.Entry entry : processor.bibliography()) {
        String text = entry.text().plain();
        if (text.isBlank()) {
          told.merge("nothing printed: " + name, 1, Integer::sum);
        }
        ODD.forEach(
            (odd, pattern) -> {
              if (pattern.matcher(text).find()) {
                told.merge("entries with " + odd, 1, Integer::sum);
              }
            });
      }
      processor.citations(List.of(new Citation(List.of(Cite.of("w0")), 1))).get(0).html();
    }
    System.out.printf("%,d styles cited in, %d works each%n", names.size(), items.size());
    told.forEach((what, count) -> System.out.println(what + ": " + count));
  }
}
