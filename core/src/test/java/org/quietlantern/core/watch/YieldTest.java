package org.quietlantern.core.watch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class YieldTest {
  private static final Yield.Word BATS = new Yield.Word("1", "bats");
  private static final Yield.Word LAMPS = new Yield.Word("1", "lamp*");

  private static Yield.Came came(int id, boolean kept, boolean passed, Yield.Word... by) {
    return new Yield.Came(id, Set.of(by), kept, passed, kept || passed);
  }

  @DisplayName("Each work counts once for the alert and once for each of its words")
  @Test
  void counts() {
    Yield yield =
        Yield.of(
            List.of(
                came(1, true, true, BATS, LAMPS),
                came(2, false, true, BATS),
                came(3, false, false, BATS)));
    assertThat(yield.arrivals()).isEqualTo(3);
    assertThat(yield.kept()).isEqualTo(1);
    assertThat(yield.passed()).as("what one keeps another may have passed").isEqualTo(1);
    assertThat(yield.unseen()).isEqualTo(1);
    assertThat(yield.words())
        .containsExactly(new Yield.OfWord(BATS, 3, 1), new Yield.OfWord(LAMPS, 1, 1));
    assertThat(Yield.of(List.of()).words()).isEmpty();
  }

  @DisplayName("A word is poor where it brought ten or more, and one in twenty was kept at most")
  @Test
  void poor() {
    assertThat(of(9, 0).isPoor()).as("too few to say").isFalse();
    assertThat(of(10, 0).isPoor()).isTrue();
    assertThat(of(19, 1).isPoor()).isFalse();
    assertThat(of(20, 1).isPoor()).isTrue();
  }

  private static Yield.OfWord of(int brought, int kept) {
    return Yield.of(
            Stream.concat(
                    IntStream.range(0, kept).mapToObj(id -> came(id, true, false, BATS)),
                    IntStream.range(kept, brought).mapToObj(id -> came(id, false, true, BATS)))
                .toList())
        .words()
        .get(0);
  }
}
