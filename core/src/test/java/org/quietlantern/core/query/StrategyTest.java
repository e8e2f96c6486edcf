package org.quietlantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class StrategyTest {
  private static Line line(String id, boolean off) {
    return new Line.Words(id, "moth", off);
  }

  @Test
  void aLineThatIsOffIsKeptButNotInForce() {
    Strategy strategy = new Strategy(1, List.of(line("a", false), line("b", true)));
    assertThat(strategy.lines()).hasSize(2);
    assertThat(strategy.inForce()).containsExactly(line("a", false));
  }

  @Test
  void idsAreUniqueAndVersionsKnown() {
    assertThatThrownBy(() -> new Strategy(1, List.of(line("a", false), line("a", true))))
        .hasMessage("line id used twice: a");
    assertThatThrownBy(() -> new Strategy(2, List.of()))
        .hasMessage("strategy of version 2 cannot be read");
    assertThatThrownBy(() -> line(" ", false)).hasMessage("bad line id:  ");
  }

  @Test
  void twoHundredLinesAreTheBound() {
    List<Line> lines = IntStream.range(0, 201).mapToObj(i -> line("l" + i, false)).toList();
    assertThat(new Strategy(1, lines.subList(0, 200)).inForce()).hasSize(200);
    assertThatThrownBy(() -> new Strategy(1, lines)).hasMessage("more than 200 lines: 201");
  }

  @Test
  void spansAreHalfOpenAndColumnsCountFromOne() {
    assertThat(new Span(2, 5).upTo(new Span(8, 9))).isEqualTo(new Span(2, 9));
    assertThat(new Span(13, 14).column()).isEqualTo(14);
    assertThatThrownBy(() -> new Span(3, 2)).hasMessage("bad span [3, 2)");
  }
}
