package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;

class WithoutWordTest {
  private static Strategy of(String text) {
    return new Strategy(List.of(new Line.Words("l1", text, false, Set.of(Widening.VARIANTS))));
  }

  @DisplayName("What is left when a word goes; nothing where the line needs it")
  @ParameterizedTest(name = "{0} without {1}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '\'',
      value = {
        "bats or lamp* or moths | lamp* | bats or moths",
        "bats or lamp* | lamp* | bats",
        "bats or (lamp* dusk) | lamp* | bats",
        "bats (lamp* or \"street light\") | \"street light\" | bats and lamp*",
        "title: (bats or lamps) | lamps | title: bats",
        "(bats or lamps) not moths | lamps | bats not moths",
        "(bats or lamps) not moths | moths | ''",
        "bats lamp* | lamp* | ''",
        "lamp* | lamp* | ''",
        "bats or lamps | otters | ''",
        "not (bats or lamps) | bats | ''",
        "(bats or | bats | ''"
      })
  void left(String text, String word, String left) {
    assertThat(WithoutWord.of(of(text), "l1", word).map(WithoutWord::says).orElse(""))
        .isEqualTo(left);
    assertThat(WithoutWord.of(of(text), "l2", word)).isEmpty();
  }

  @DisplayName("The line stays what it is otherwise, and the other lines as they are")
  @Test
  void strategy() {
    Strategy before =
        new Strategy(
            List.of(
                new Line.Words("l1", "bats or lamps", false, Set.of(Widening.VARIANTS)),
                new Line.Words("l2", "lamps or moths", false, Set.of())));
    Strategy after = WithoutWord.of(before, "l1", "lamps").orElseThrow().strategy();
    assertThat(after.lines().get(0))
        .isEqualTo(new Line.Words("l1", "bats", false, Set.of(Widening.VARIANTS)));
    assertThat(after.lines().get(1)).isEqualTo(before.lines().get(1));
  }
}
