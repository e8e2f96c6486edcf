package org.quietlantern.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.review.Fate.Decided;
import org.quietlantern.core.review.Fate.End;
import org.quietlantern.core.review.Fate.Said;

class FateTest {
  private static Instant at(int hour) {
    return Instant.parse("2026-11-24T00:00:00Z").plusSeconds(hour * 3600L);
  }

  private static Fate of(Optional<Decided> decided, Said... said) {
    return Fate.of(List.of(said), decided);
  }

  private static Fate of(Mark... marks) {
    return Fate.of(
        Stream.of(marks).map(mark -> new Said(mark, "", at(1))).toList(), Optional.empty());
  }

  @DisplayName("One fate each: raised and disputed stay open, a keep or a pass alone decides")
  @Test
  void marks() {
    assertThat(of()).isEqualTo(new Fate(End.NOBODY, ""));
    assertThat(of(Mark.REST, Mark.REST).end()).as("rest is no review").isEqualTo(End.NOBODY);
    assertThat(of(Mark.SEEN, Mark.REST).end()).isEqualTo(End.SEEN);
    assertThat(of(Mark.KEEP, Mark.SEEN, Mark.HOLD).end()).isEqualTo(End.KEPT);
    assertThat(of(Mark.PASS, Mark.HOLD).end()).isEqualTo(End.PASSED);
    assertThat(of(Mark.KEEP, Mark.PASS)).isEqualTo(new Fate(End.OPEN, Fate.DISPUTED));
    assertThat(of(Mark.KEEP, Mark.RAISE)).isEqualTo(new Fate(End.OPEN, Fate.RAISED));
    assertThat(of(Mark.HOLD, Mark.HOLD_FOR_TEXT)).isEqualTo(new Fate(End.OPEN, Fate.ON_HOLD));
    assertThat(of(Mark.HOLD_FOR_TEXT, Mark.SEEN))
        .isEqualTo(new Fate(End.OPEN, Fate.WAITS_FOR_TEXT));
  }

  @DisplayName("What is passed has the reason of the last one who gave any")
  @Test
  void reasons() {
    assertThat(
            of(
                Optional.empty(),
                new Said(Mark.PASS, "not our animals", at(1)),
                new Said(Mark.PASS, " no data ", at(3)),
                new Said(Mark.PASS, " ", at(4)),
                new Said(Mark.SEEN, "by the way", at(5))))
        .isEqualTo(new Fate(End.PASSED, "no data"));
  }

  @DisplayName(
      "A decision settles what was said till then, and is one voice among what comes later")
  @Test
  void decided() {
    Optional<Decided> kept = Optional.of(new Decided(Outcome.KEEP, at(5)));
    Optional<Decided> passed = Optional.of(new Decided(Outcome.PASS, at(5)));
    Said raise = new Said(Mark.RAISE, "", at(1));
    assertThat(of(kept, raise, new Said(Mark.PASS, "no", at(2))).end()).isEqualTo(End.KEPT);
    assertThat(of(passed, raise)).isEqualTo(new Fate(End.PASSED, Fate.TOGETHER));
    assertThat(of(kept, new Said(Mark.PASS, "no", at(6))))
        .isEqualTo(new Fate(End.OPEN, Fate.DISPUTED));
    assertThat(of(passed, new Said(Mark.RAISE, "", at(6))))
        .isEqualTo(new Fate(End.OPEN, Fate.RAISED));
    Optional<Decided> open = Optional.of(new Decided(Outcome.OPEN, at(5)));
    assertThat(of(open, raise)).isEqualTo(new Fate(End.OPEN, Fate.RAISED));
  }
}
