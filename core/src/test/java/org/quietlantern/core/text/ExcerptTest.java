package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.query.Span;

class ExcerptTest {
  private static List<Span> lit(String text) {
    return Pattern.compile("lamps|moths")
        .matcher(text)
        .results()
        .map(found -> new Span(found.start(), found.end()))
        .toList();
  }

  private static List<String> marked(Excerpt excerpt) {
    return excerpt.spans().stream()
        .map(span -> excerpt.text().substring(span.start(), span.end()))
        .toList();
  }

  @DisplayName("The sentence with most of the words, with its page; the first of several")
  @Test
  void best() {
    List<String> pages =
        List.of(
            "Nothing here.",
            "The lamps burn. Few moths came to\nlamps in May. No more.",
            "More moths left the lamps.");
    Excerpt best = Excerpt.of(pages, ExcerptTest::lit).orElseThrow();
    assertThat(best.page()).isEqualTo(1);
    assertThat(best.text()).isEqualTo("Few moths came to lamps in May.");
    assertThat(marked(best)).containsExactly("moths", "lamps");
    assertThat(Excerpt.of(List.of("", "none"), ExcerptTest::lit)).isEmpty();
  }

  @DisplayName("A sentence without an end is cut around the first place")
  @Test
  void cut() {
    String endless = "word ".repeat(100) + "moths " + "word ".repeat(200) + "lamps";
    Excerpt cut = Excerpt.of(List.of(endless), ExcerptTest::lit).orElseThrow();
    assertThat(cut.text().length()).isLessThanOrEqualTo(Excerpt.LONGEST);
    assertThat(marked(cut)).containsExactly("moths");
  }
}
