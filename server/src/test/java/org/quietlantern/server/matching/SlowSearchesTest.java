package org.quietlantern.server.matching;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.platform.SystemTime;

class SlowSearchesTest {
  private static Strategy words(String... texts) {
    List<Line> lines = new java.util.ArrayList<>();
    for (String text : texts) {
      lines.add(new Line.Words("w" + lines.size(), text, false));
    }
    return new Strategy(lines);
  }

  @DisplayName("A search that took long is kept by its shape, without a word of it")
  @Test
  void shapes() {
    SlowSearches slow = new SlowSearches(new SystemTime());
    slow.note(words("moths"), 499);
    assertThat(slow.all()).isEmpty();
    slow.note(words("moths", "secret*", "bats"), 700);
    slow.note(words("owls", "other*", "lamps"), 900);
    slow.note(
        new Strategy(List.of(new Line.Limited("k", Limit.any(Property.KIND, "article"), false))),
        600);
    assertThat(slow.all())
        .extracting(SlowSearches.Slow::shape)
        .containsExactly("2 of words, 1 of words with cut words", "1 limit by kind");
    assertThat(slow.all().get(0).count()).isEqualTo(2);
    assertThat(slow.all().get(0).longest()).isEqualTo(900);
  }

  @DisplayName("So many shapes are kept, the ones met last")
  @Test
  void bounded() {
    SlowSearches slow = new SlowSearches(new SystemTime());
    for (int n = 1; n <= 80; n++) {
      slow.note(words("a ".repeat(n).split(" ")), 600);
    }
    assertThat(slow.all()).hasSize(50);
  }
}
