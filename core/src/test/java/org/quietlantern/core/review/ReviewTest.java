package org.quietlantern.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReviewTest {
  private static final Coverage.Asked MARKS_OF_TWO = new Coverage.Asked(2, Covers.MARK);

  @DisplayName("V1, V2, V7: the lamp is a projection of events")
  @ParameterizedTest(name = "{0} -> {1}, {2}")
  @CsvSource(
      textBlock =
          """
          '',                  none,  UNLIT
          keep,                keep,  LIT
          pass,                pass,  LIT
          raise,               raise, LIT
          seen,                seen,  LIT
          hold,                hold,  DIM
          hold pass,           pass,  LIT
          keep undo1,          none,  UNLIT
          keep pass undo2,     keep,  LIT
          keep pass undo1,     pass,  LIT
          keep pass undo2 undo1, none, UNLIT
          undo keep,           keep,  LIT
          hold keep undo2 seen, seen, LIT
          """)
  void standing(String events, String mark, Lamp lamp) {
    Optional<ReviewEvent> standing =
        Standing.of(events(Stream.of(events.split(" ")).filter(e -> !e.isEmpty()).toList()));
    assertThat(standing.flatMap(ReviewEvent::mark).map(Mark::word).orElse("none")).isEqualTo(mark);
    assertThat(Standing.lamp(standing)).isEqualTo(lamp);
    assertThat(lamp.owes()).isEqualTo(lamp != Lamp.LIT);
  }

  /** Numbered from 1; {@code undo2} takes back the second. */
  private static List<ReviewEvent> events(List<String> words) {
    return IntStream.range(0, words.size())
        .mapToObj(
            i -> {
              Optional<Mark> mark = Mark.named(words.get(i));
              String of = words.get(i).replace("undo", "");
              boolean undoes = mark.isEmpty() && !of.isEmpty();
              return new ReviewEvent(
                  i + 1,
                  mark,
                  undoes ? Optional.of(Integer.valueOf(of)) : Optional.empty(),
                  "",
                  Instant.EPOCH);
            })
        .toList();
  }

  @DisplayName("V4: through, covered by k, nobody yet")
  @Test
  void coverage() {
    Instant early = Instant.parse("2026-11-01T00:00:00Z");
    Instant late = Instant.parse("2026-11-20T00:00:00Z");
    List<Coverage.Arrived> arrived =
        List.of(
            new Coverage.Arrived(early, Map.of(1, Mark.SEEN, 2, Mark.KEEP)),
            new Coverage.Arrived(early, Map.of(1, Mark.PASS, 2, Mark.HOLD)),
            new Coverage.Arrived(late, Map.of()));
    assertThat(
            Coverage.of(arrived, Map.of(1, Duty.since(early), 2, Duty.since(early)), MARKS_OF_TWO))
        .isEqualTo(
            new Coverage(
                3,
                Map.of(1, new Coverage.Share(2, 0, 0), 2, new Coverage.Share(1, 0, 0)),
                1,
                1,
                Optional.of(early)));
    assertThat(
            Coverage.of(
                    arrived.subList(0, 1), Map.of(1, Duty.since(early)), Coverage.SEEN_BY_SOMEBODY)
                .waitingSince())
        .as("all is covered")
        .isEmpty();
    assertThat(
            Coverage.of(arrived, Map.of(1, Duty.since(early)), new Coverage.Asked(5, Covers.MARK))
                .covered())
        .as("k is capped")
        .isEqualTo(2);
    assertThat(
            Coverage.of(arrived, Map.of(1, Duty.since(early), 2, Duty.since(late)), MARKS_OF_TWO)
                .shares()
                .get(2))
        .as("V5: what came before is not owed, what was said of it counts")
        .isEqualTo(new Coverage.Share(1, 1, 0));
    Duty away = new Duty(early, List.of(new Duty.Absence(early, late)));
    assertThat(Coverage.of(arrived, Map.of(1, away), Coverage.SEEN_BY_SOMEBODY).shares().get(1))
        .as("what came while one was away rests, what was lit all the same is reviewed")
        .isEqualTo(new Coverage.Share(2, 0, 0));
    assertThat(Coverage.of(arrived, Map.of(2, away), Coverage.SEEN_BY_SOMEBODY).shares().get(2))
        .as("held while one was away: not owed")
        .isEqualTo(new Coverage.Share(1, 1, 1));
    assertThat(
            Coverage.of(
                List.of(new Coverage.Arrived(late, Map.of(1, Mark.REST))),
                Map.of(1, Duty.since(early)),
                Coverage.SEEN_BY_SOMEBODY))
        .as("let rest by choice: not owed, and not covered")
        .isEqualTo(
            new Coverage(1, Map.of(1, new Coverage.Share(0, 1, 1)), 0, 1, Optional.of(late)));
    assertThat(
            Coverage.of(
                    arrived,
                    Map.of(1, Duty.since(early), 2, Duty.since(early)),
                    new Coverage.Asked(1, Covers.VERDICT))
                .covered())
        .as("V4: one has only seen it, and holding is no verdict")
        .isEqualTo(2);
    assertThat(
            Coverage.of(
                    arrived,
                    Map.of(1, Duty.since(early), 2, Duty.since(early)),
                    new Coverage.Asked(2, Covers.VERDICT))
                .covered())
        .isZero();
  }

  @DisplayName("V6: opened when as many have decided as were asked for")
  @ParameterizedTest
  @CsvSource({
    "KEEP, 2, 3, false",
    "KEEP PASS, 2, 3, true",
    "KEEP SEEN, 2, 3, false",
    "KEEP HOLD, 2, 3, false",
    "KEEP REST, 2, 3, false",
    "RAISE PASS, 2, 2, true",
    "KEEP PASS, 3, 2, true",
    "KEEP PASS, 3, 3, false"
  })
  void opening(String said, int asked, int members, boolean over) {
    assertThat(Apart.isOver(Stream.of(said.split(" ")).map(Mark::valueOf).toList(), asked, members))
        .isEqualTo(over);
  }

  @DisplayName("V6: agreement is over works on which exactly as many decided, all of them apart")
  @ParameterizedTest
  @CsvSource({
    "KEEP! PASS!, 2, COUNTS",
    "KEEP! PASS! SEEN!, 2, COUNTS",
    "KEEP! PASS, 2, IN_THE_OPEN",
    "KEEP! RAISE!, 2, NOT_SO_MANY",
    "KEEP! KEEP! KEEP!, 2, NOT_SO_MANY",
    "KEEP! KEEP! KEEP!, 3, COUNTS"
  })
  void tells(String said, int asked, Apart.Tells expected) {
    List<Apart.Verdict> verdicts =
        Stream.of(said.split(" "))
            .map(one -> new Apart.Verdict(1, Mark.valueOf(one.replace("!", "")), one.endsWith("!")))
            .toList();
    assertThat(Apart.tells(verdicts, asked)).isEqualTo(expected);
  }

  @DisplayName("V6: of what lights a lamp it is told that somebody looked")
  @Test
  void told() {
    assertThat(Stream.of(Mark.values()).map(Apart::told).distinct())
        .containsExactly(Mark.SEEN, Mark.HOLD, Mark.REST);
    assertThat(Apart.isKept(2, 1)).as("nobody to keep it from").isFalse();
  }
}
