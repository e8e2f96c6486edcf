package org.quietlantern.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class UnsettledTest {
  private static Map<Unsettled, Integer> open(Mark... marks) {
    return Unsettled.of(
        IntStream.range(0, marks.length)
            .mapToObj(n -> new Unsettled.Said(marks[n], n + 1))
            .toList());
  }

  @DisplayName("Raised and held stand as long as one says so; the last one says since when")
  @Test
  void raisedAndHeld() {
    assertThat(open()).isEmpty();
    assertThat(open(Mark.SEEN, Mark.PASS, Mark.PASS)).isEmpty();
    assertThat(open(Mark.RAISE, Mark.SEEN, Mark.RAISE, Mark.PASS))
        .isEqualTo(Map.of(Unsettled.RAISED, 3));
    assertThat(open(Mark.HOLD, Mark.RAISE))
        .isEqualTo(Map.of(Unsettled.HELD, 1, Unsettled.RAISED, 2));
  }

  @DisplayName("A keep and a pass are a disagreement, from the second of them on; no other two are")
  @Test
  void disputed() {
    assertThat(open(Mark.PASS, Mark.KEEP, Mark.SEEN)).isEqualTo(Map.of(Unsettled.DISPUTED, 2));
    assertThat(open(Mark.KEEP, Mark.KEEP)).isEmpty();
    for (Mark other : List.of(Mark.RAISE, Mark.HOLD, Mark.SEEN)) {
      assertThat(open(Mark.KEEP, other)).doesNotContainKey(Unsettled.DISPUTED);
      assertThat(open(Mark.PASS, other)).doesNotContainKey(Unsettled.DISPUTED);
    }
  }

  @DisplayName("Words lead back to what they name")
  @Test
  void words() {
    for (Unsettled one : Unsettled.values()) {
      assertThat(Unsettled.named(one.word())).contains(one);
    }
    assertThat(Unsettled.named("Raised")).isEmpty();
  }
}
