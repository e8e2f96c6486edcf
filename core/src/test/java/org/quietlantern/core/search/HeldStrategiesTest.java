package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Strategy;

@DisplayName("Strategies that hold others")
class HeldStrategiesTest {
  private final Map<String, Strategy> kept = new HashMap<>();
  private final Library library = name -> Optional.ofNullable(kept.get(name));

  /** So many lines, each of which holds these. */
  private static Strategy holding(int lines, List<String> names) {
    return new Strategy(
        IntStream.range(0, lines)
            .mapToObj(i -> (Line) new Line.Held("l" + i, names, false, false))
            .toList());
  }

  private static Compiled compile(Snapshot snapshot, Strategy strategy, Library library) {
    return snapshot.compile(strategy, Catalogue.TODAY, library);
  }

  @DisplayName("One that is named twenty times, four levels deep, is as good as named once")
  @Test
  void namedAgainAndAgain() {
    kept.put("q:0000000000", Strategy.of("moths"));
    for (int level = 1; level <= 4; level++) {
      kept.put(
          "q:000000000" + level, holding(3, Collections.nCopies(20, "q:000000000" + (level - 1))));
    }
    try (Catalogue catalogue = new Catalogue().titles("Moths", "Bats", "A moth");
        Snapshot snapshot = catalogue.index.snapshot()) {
      Compiled.Ready ready =
          (Compiled.Ready) compile(snapshot, holding(1, List.of("q:0000000004")), library);
      assertThat(snapshot.count(ready)).isEqualTo(2);
    }
    AtomicInteger asked = new AtomicInteger();
    Library counted =
        name -> {
          asked.incrementAndGet();
          return library.find(name);
        };
    assertThat(MatchingTerms.of(holding(1, List.of("q:0000000004")), counted)).hasSize(1);
    assertThat(asked).as("each is gone through once").hasValue(5);
  }

  @DisplayName("More than 2,000 lines, with all that stands inside, are refused by name")
  @Test
  void tooManyUnfolded() {
    kept.put("q:0000000000", Strategy.of("moths"));
    kept.put("q:0000000001", holding(44, List.of("q:0000000000")));
    kept.put("q:0000000002", holding(44, List.of("q:0000000001")));
    kept.put("q:0000000003", holding(20, List.of("q:0000000001")));
    try (Catalogue catalogue = new Catalogue().titles("Moths");
        Snapshot snapshot = catalogue.index.snapshot()) {
      assertThat(compile(snapshot, holding(1, List.of("q:0000000003")), library))
          .isInstanceOf(Compiled.Ready.class);
      Compiled.Refused refused =
          (Compiled.Refused) compile(snapshot, holding(1, List.of("q:0000000002")), library);
      assertThat(refused.problems())
          .extracting(placed -> placed.problem().code())
          .contains(Problem.Code.HELD_REFUSED);
      Compiled.Refused whole =
          (Compiled.Refused) compile(snapshot, kept.get("q:0000000002"), library);
      assertThat(whole.problems().get(0).problem().code()).isEqualTo(Problem.Code.HELD_TOO_LARGE);
      assertThat(whole.problems().get(0).problem().sentence())
          .contains("q:0000000001", "2,000 lines");
    }
  }

  @DisplayName("A line that is switched off inside of one that is held closes no circle")
  @Test
  void switchedOff() {
    kept.put(
        "q:0000000001",
        new Strategy(
            List.of(
                new Line.Words("w", "moths", false),
                new Line.Held("h", List.of("q:0000000002"), false, true))));
    kept.put("q:0000000002", holding(1, List.of("q:0000000001")));
    try (Catalogue catalogue = new Catalogue().titles("Moths", "Bats");
        Snapshot snapshot = catalogue.index.snapshot()) {
      Compiled.Ready ready =
          (Compiled.Ready)
              compile(snapshot, holding(2, List.of("q:0000000001", "q:0000000002")), library);
      assertThat(snapshot.count(ready)).isEqualTo(1);
    }
  }

  @DisplayName("What holds itself is refused, however often it was met on the way")
  @Test
  void circles() {
    kept.put("q:0000000000", Strategy.of("moths"));
    kept.put("q:0000000001", holding(1, List.of("q:0000000000", "q:0000000002")));
    kept.put("q:0000000002", holding(1, List.of("q:0000000000", "q:0000000001")));
    try (Catalogue catalogue = new Catalogue().titles("Moths");
        Snapshot snapshot = catalogue.index.snapshot()) {
      assertThat(compile(snapshot, holding(2, List.of("q:0000000000", "q:0000000001")), library))
          .isInstanceOf(Compiled.Refused.class);
    }
  }
}
