package org.quietlantern.core.citation;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.citation.shelf.StyleShelf;
import org.quietlantern.core.publication.Publication;

/**
 * Sixteen kinds of works in ten styles that ship: {@code kinds.txt} holds what comes out, a style
 * after another. What of it is wrong by the rules of the style stands in docs/citing.md.
 */
class KindsTest {
  private static final StyleShelf SHELF = new StyleShelf();

  @DisplayName("Each kind of work comes out in each style as it was looked at by hand")
  @Test
  void kinds() throws IOException {
    try (InputStream file = KindsTest.class.getResourceAsStream("kinds.txt")) {
      List<String> wanted =
          new String(file.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
      List<String> made = new ArrayList<>();
      wanted.stream()
          .filter(line -> line.startsWith("== "))
          .forEach(line -> made.addAll(entries(line.substring("== ".length()))));
      assertThat(made).containsExactlyElementsOf(wanted);
    }
  }

  private static List<String> entries(String style) {
    List<String> lines = new ArrayList<>(List.of("== " + style));
    for (Publication work : Kinds.all()) {
      Processor processor = SHELF.processor(SHELF.style(style).orElseThrow(), "");
      processor.setItems(List.of(CitedItem.of("work", work)));
      String html = processor.bibliography().get(0).text().html();
      lines.add(lines.size() + "|" + html.replaceAll("</?div[^>]*>", ""));
    }
    return lines;
  }
}
