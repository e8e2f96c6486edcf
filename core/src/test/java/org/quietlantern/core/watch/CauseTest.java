package org.quietlantern.core.watch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Range;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.search.Library;

class CauseTest {
  private static Set<Cause> causes(Line... lines) {
    return Cause.of(new Strategy(List.of(lines)), Library.EMPTY);
  }

  @DisplayName("What a line can find more by, without a change of a record")
  @ParameterizedTest(name = "{0}")
  @CsvSource({
    "bats near light*, ''",
    "author: \"0000-0002-1825-0097\", ''",
    "cites: 10.5555/a.1, ''",
    "heading/exact: Bats, HEADINGS",
    "moths not (lamps or heading/narrower: Bats), HEADINGS",
    "citedby: 10.5555/a.1 or title: bats, CITATIONS",
    "text: lamps, TEXTS",
    "not text: lamps, TEXTS"
  })
  void words(String typed, String expected) {
    Set<Cause> want =
        Arrays.stream(expected.split(" "))
            .filter(word -> !word.isEmpty())
            .map(Cause::valueOf)
            .collect(Collectors.toSet());
    assertThat(causes(new Line.Words("1", typed, false))).isEqualTo(want);
    assertThat(causes(new Line.Words("1", typed, true))).isEmpty();
  }

  @DisplayName("A line that is widened by headings or by texts moves with them")
  @ParameterizedTest
  @EnumSource(Widening.class)
  void widened(Widening widening) {
    Set<Cause> expected =
        switch (widening) {
          case VARIANTS -> Set.of();
          case TEXT -> Set.of(Cause.TEXTS);
          case NAMES, NARROWER, RELATED -> Set.of(Cause.HEADINGS);
        };
    assertThat(causes(new Line.Words("1", "bats", false, Set.of(widening)))).isEqualTo(expected);
  }

  @DisplayName("Limits by trees, journals, access and rolling years move; fixed ones do not")
  @Test
  void limits() {
    assertThat(causes(limit(Limit.any(Property.TAXON, "x")))).containsExactly(Cause.HEADINGS);
    assertThat(causes(limit(Limit.any(Property.PEER_REVIEWED, "yes"))))
        .containsExactly(Cause.JOURNALS);
    assertThat(causes(limit(Limit.any(Property.ACCESS, "held"))))
        .containsExactly(Cause.HOLDINGS, Cause.CALENDAR);
    assertThat(causes(limit(Limit.range(Property.DATE, new Range("", "", 3)))))
        .containsExactly(Cause.CALENDAR);
    assertThat(causes(limit(Limit.range(Property.DATE, Range.between("2019", "2020"))))).isEmpty();
    assertThat(causes(limit(Limit.any(Property.JOURNAL, "x")))).isEmpty();
  }

  private static Line limit(Limit limit) {
    return new Line.Limited("1", limit, false);
  }

  @DisplayName("Held strategies move with what they hold, also where they hold each other")
  @Test
  void held() {
    String one = "q:aaaaaaaaaa";
    String two = "q:bbbbbbbbbb";
    Library library =
        name ->
            Optional.of(
                new Strategy(
                    name.equals(one)
                        ? List.of(new Line.Held("1", List.of(two), false, false))
                        : List.of(
                            new Line.Held("1", List.of(one), false, false),
                            limit(Limit.any(Property.PEER_REVIEWED, "yes")).called("2"))));
    Strategy holding = new Strategy(List.of(new Line.Held("1", List.of(one), false, false)));
    assertThat(Cause.of(holding, library)).containsExactly(Cause.JOURNALS);
    assertThat(Cause.of(holding, Library.EMPTY)).isEmpty();
  }
}
