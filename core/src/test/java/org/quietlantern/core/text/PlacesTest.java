package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

@DisplayName("A passage is found again by its words and by where it stood (rule T3)")
class PlacesTest {
  private static final Places TEXT =
      new Places(
          List.of(
              "Street lamps draw moths. Nobody counted the moths at dawn.",
              "Nobody knew which lamps were filtered. The lamps were of one make."));

  private static Passage passage(String quote, String before, String after, int page, int start) {
    return new Passage(quote, before, after, page, start);
  }

  @Test
  void inAnotherFileOfTheSameText() {
    // Other line ends, hyphens, quotation marks and ligatures; a page of front matter more.
    Places other =
        new Places(
            List.of(
                "Deposited copy",
                "Street lamps draw moths. No-\nbody counted\nthe moths at dawn."));
    assertThat(other.find(passage("Nobody counted the moths", "draw moths.", "at dawn", 0, 21)))
        .contains(new Places.Place(1, 0));
    assertThat(
            new Places(List.of("an eﬃcient “lamp”"))
                .find(passage("efficient 'lamp'", "", "", 0, 0)))
        .isPresent();
  }

  @Test
  void amongTheSameWordsByWhatStandsAround() {
    assertThat(TEXT.find(passage("moths", "counted the", "at dawn", 0, 0)))
        .contains(new Places.Place(0, 1));
    assertThat(TEXT.find(passage("lamps", "The", "were of one", 0, 0)))
        .contains(new Places.Place(1, 1));
  }

  @Test
  void andWhereThatIsAlikeByNearness() {
    assertThat(TEXT.find(passage("Nobody", "", "", 1, 0))).contains(new Places.Place(1, 0));
    assertThat(TEXT.find(passage("Nobody", "", "", 0, 20))).contains(new Places.Place(0, 0));
  }

  @Test
  void orNotAtAllWhereItsWordsAreGone() {
    assertThat(TEXT.find(passage("three gardens", "", "", 0, 0))).isEmpty();
    assertThat(TEXT.find(passage("…", "", "", 0, 0))).isEmpty();
  }
}
