package org.quietlantern.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class UnsettledTest {
  private static Map<Unsettled, Integer> open(Mark... marks) {
    return open(false, marks);
  }

  private static Map<Unsettled, Integer> open(boolean readable, Mark... marks) {
    return Unsettled.of(
        IntStream.range(0, marks.length)
            .mapToObj(n -> new Unsettled.Said(marks[n], n + 1))
            .toList(),
        readable,
        0);
  }

  @DisplayName("What is held for its text waits until that can be read; who is unsure stays so")
  @Test
  void texts() {
    Mark[] both = {Mark.HOLD_FOR_TEXT, Mark.HOLD, Mark.HOLD_FOR_TEXT};
    assertThat(open(false, both)).isEqualTo(Map.of(Unsettled.WAITING, 3, Unsettled.UNSURE, 2));
    assertThat(open(true, both)).isEqualTo(Map.of(Unsettled.READABLE, 3, Unsettled.UNSURE, 2));
    assertThat(open(true, Mark.KEEP, Mark.SEEN)).isEmpty();
    assertThat(Mark.named("hold for text")).contains(Mark.HOLD_FOR_TEXT);
    assertThat(Mark.HOLD_FOR_TEXT.lamp().owes()).isTrue();
  }

  @DisplayName("Raised and held stand as long as one says so; the last one says since when")
  @Test
  void raisedAndHeld() {
    assertThat(open()).isEmpty();
    assertThat(open(Mark.SEEN, Mark.PASS, Mark.PASS)).isEmpty();
    assertThat(open(Mark.RAISE, Mark.SEEN, Mark.RAISE, Mark.PASS))
        .isEqualTo(Map.of(Unsettled.RAISED, 3));
    assertThat(open(Mark.HOLD, Mark.RAISE))
        .isEqualTo(Map.of(Unsettled.UNSURE, 1, Unsettled.RAISED, 2));
  }

  @DisplayName("A keep and a pass are a disagreement, from the second of them on; no other two are")
  @Test
  void disputed() {
    assertThat(open(Mark.PASS, Mark.KEEP, Mark.SEEN)).isEqualTo(Map.of(Unsettled.DISPUTED, 2));
    assertThat(open(Mark.KEEP, Mark.KEEP)).isEmpty();
    for (Mark other : List.of(Mark.RAISE, Mark.HOLD, Mark.HOLD_FOR_TEXT, Mark.SEEN)) {
      assertThat(open(Mark.KEEP, other)).doesNotContainKey(Unsettled.DISPUTED);
      assertThat(open(Mark.PASS, other)).doesNotContainKey(Unsettled.DISPUTED);
    }
  }

  @DisplayName("What the group decides together settles what was said till then, and nothing later")
  @Test
  void decided() {
    List<Unsettled.Said> said =
        List.of(
            new Unsettled.Said(Mark.KEEP, 4),
            new Unsettled.Said(Mark.PASS, 7),
            new Unsettled.Said(Mark.RAISE, 5),
            new Unsettled.Said(Mark.HOLD, 2));
    assertThat(Unsettled.of(said, true, 7)).isEqualTo(Map.of(Unsettled.UNSURE, 2));
    assertThat(Unsettled.of(said, true, 6))
        .as("somebody passes it afterwards what another keeps")
        .isEqualTo(Map.of(Unsettled.UNSURE, 2, Unsettled.DISPUTED, 7));
    assertThat(Unsettled.of(said, true, 4)).containsEntry(Unsettled.RAISED, 5);
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
