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

  private static Line limit(String id) {
    return new Line.Limited(id, Limit.any(Property.KIND, "article"), false);
  }

  @Test
  void twentyThousandCharactersAreTheBound() {
    List<Line> lines = new java.util.ArrayList<>();
    for (int i = 0; i < 11; i++) {
      lines.add(new Line.Words("l" + i, "x".repeat(2000), false));
    }
    assertThat(new Strategy(lines.subList(0, 10)).lines()).hasSize(10);
    assertThatThrownBy(() -> new Strategy(lines))
        .hasMessage("its words have 22,000 characters; the most are 20,000");
  }

  @Test
  void aLineThatIsOffIsKeptButNotInForce() {
    Strategy strategy = new Strategy(List.of(line("a", false), line("b", true)));
    assertThat(strategy.lines()).hasSize(2);
    assertThat(strategy.inForce()).containsExactly(line("a", false));
  }

  @Test
  void idsAndLimitsAreUnique() {
    assertThatThrownBy(() -> new Strategy(List.of(line("a", false), line("a", true))))
        .hasMessage("line id used twice: a");
    assertThatThrownBy(() -> new Strategy(List.of(limit("a"), limit("b"))))
        .hasMessage("two lines limit the kind; one has to hold both");
    assertThatThrownBy(() -> line(" ", false)).hasMessage("bad line id:  ");
  }

  @Test
  void whoWroteTheSameHasTheSame() {
    Strategy one = new Strategy(List.of(line("a", false), limit("x"), line("b", true)));
    Strategy other = new Strategy(List.of(line("q", false), limit("r"), line("s", true)));
    assertThat(one).isNotEqualTo(other);
    assertThat(one.numbered()).isEqualTo(other.numbered());
    assertThat(one.numbered().lines()).extracting(Line::id).containsExactly("1", "2", "3");
  }

  @Test
  void twoHundredLinesAreTheBound() {
    List<Line> lines = IntStream.range(0, 201).mapToObj(i -> line("l" + i, false)).toList();
    assertThat(new Strategy(lines.subList(0, 200)).inForce()).hasSize(200);
    assertThatThrownBy(() -> new Strategy(lines)).hasMessage("it has 201 lines; the most are 200");
  }

  @Test
  void spansAreHalfOpenAndColumnsCountFromOne() {
    assertThat(new Span(2, 5).upTo(new Span(8, 9))).isEqualTo(new Span(2, 9));
    assertThat(new Span(13, 14).column()).isEqualTo(14);
    assertThatThrownBy(() -> new Span(3, 2)).hasMessage("bad span [3, 2)");
  }

  @Test
  void linesAreSwitchedAndTheLimitOfAKindIsFound() {
    Line held = new Line.Held("h", List.of("q:abcdefghjk"), false, false);
    for (Line line : List.of(line("a", false), limit("b"), held)) {
      assertThat(line.switched(true).off()).isTrue();
      assertThat(line.switched(true).switched(false)).isEqualTo(line);
    }
    Strategy strategy = new Strategy(List.of(line("a", false), limit("b"), held));
    assertThat(strategy.limit(Property.KIND)).contains((Line.Limited) limit("b"));
    assertThat(strategy.limit(Property.LANGUAGE)).isEmpty();
  }

  @Test
  void wordsOfFieldsWideningsAndProperties() {
    assertThat(Field.list()).startsWith("title, abstract, author, heading, ");
    assertThat(Widening.of("narrower")).isEqualTo(Widening.NARROWER);
    assertThatThrownBy(() -> Widening.of("wider")).hasMessage("unknown widening: wider");
    assertThat(Property.KIND.isLimit()).isTrue();
    assertThat(Property.HEADING.isLimit()).isFalse();
    assertThat(Property.values()).allSatisfy(p -> assertThat(p.meaning()).isNotBlank());
  }

  @Test
  void aHeadingKnowsItsModifiers() {
    assertThat(heading("narrower", "central", "sun").modifiers())
        .containsExactly("narrower", "central", "sun");
    assertThat(heading("sun", "narrower").modifiers()).containsExactly("narrower", "sun");
    assertThat(heading().modifiers()).containsExactly("exact");
  }

  private static Term.Heading heading(String... modifiers) {
    return Term.Heading.of("Bats", List.of(modifiers), new Span(0, 1));
  }
}
