package org.quietlantern.core.activity;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class FoldingTest {
  private static final Deed.Thing VERGES = new Deed.Thing("folder", "verges");
  private static final Deed.Thing BATS = new Deed.Thing("folder", "bats");

  private static Deed kept(int who, Deed.Thing folder, int minute, String... publications) {
    return new Deed(
        Optional.of(who),
        "kept {publications} in {folder}",
        List.of(folder),
        List.of(publications),
        1,
        Instant.parse("2026-11-24T10:00:00Z").plusSeconds(minute * 60L));
  }

  @DisplayName("One line a person, act and place: each publication once, the latest time")
  @Test
  void folded() {
    List<Deed> lines =
        Folding.fold(
            List.of(
                kept(1, VERGES, 9, "c"),
                kept(2, VERGES, 8, "a"),
                kept(1, BATS, 7, "a"),
                kept(1, VERGES, 6, "a", "c"),
                kept(1, VERGES, 5, "b")));
    assertThat(lines)
        .containsExactly(
            new Deed(
                Optional.of(1),
                "kept {publications} in {folder}",
                List.of(VERGES),
                List.of("c", "a", "b"),
                3,
                kept(1, VERGES, 9).at()),
            kept(1, BATS, 7, "a"),
            kept(2, VERGES, 8, "a"));
  }

  @DisplayName("What the lantern did by itself comes behind what people did")
  @Test
  void byItself() {
    Deed found =
        new Deed(
            Optional.empty(),
            "found something for {alert}",
            List.of(new Deed.Thing("alert", "a")),
            List.of(),
            1,
            kept(1, VERGES, 20).at());
    assertThat(Folding.fold(List.of(found, kept(1, VERGES, 9, "c"))))
        .containsExactly(kept(1, VERGES, 9, "c"), found);
  }

  @DisplayName("Marks are told by what was said; a kind without words is not told")
  @Test
  void words() {
    assertThat(Wording.of("review.mark", "pass")).contains("passed {publications}");
    assertThat(Wording.of("item.keep", "")).contains("kept {publications} in {folder}");
    assertThat(Wording.of("review.mark", "yes")).isEmpty();
    assertThat(Wording.UNTOLD).allSatisfy(kind -> assertThat(Wording.of(kind, "")).isEmpty());
  }
}
