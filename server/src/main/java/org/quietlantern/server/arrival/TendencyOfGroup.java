package org.quietlantern.server.arrival;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.review.Tendency;
import org.quietlantern.core.review.Traits;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Component;

/**
 * What groups tend to keep. It is learned once a day of the group from what stood when the day
 * began, so that all of a group see the same order, and none that moves under the hand.
 */
@Component
class TendencyOfGroup {
  /** Traits of all groups that are held; what was used last stays. */
  private static final int TRAITS_HELD = 2_000_000;

  private static final int WORKS_HELD = 20_000;
  private static final int READ_AT_ONCE = 500;

  /** More than are told: works that are cited and not known here have no name to be told by. */
  private static final int REASONS = 10;

  private final Reviews reviews;
  private final Publications publications;
  private final Calendar calendar;
  private final Cache<Day, Learned> learned =
      Caffeine.newBuilder()
          .maximumWeight(TRAITS_HELD)
          .weigher((Day day, Learned it) -> it.size())
          .build();

  TendencyOfGroup(Reviews reviews, Publications publications, Calendar calendar) {
    this.reviews = reviews;
    this.publications = publications;
    this.calendar = calendar;
  }

  private record Day(int group, LocalDate day) {}

  /** Where a work stands, greater further up, and what moves it up. */
  record Place(double odds, List<Tendency.Reason> why) {}

  /** What was learned of a group, from so many works that it kept and passed. */
  static final class Learned {
    private final int kept;
    private final int passed;
    private final Optional<Tendency> tendency;
    private final Cache<Edition, Place> places =
        Caffeine.newBuilder().maximumSize(WORKS_HELD).build();

    private record Edition(int work, long digest) {}

    private Learned(int kept, int passed, Optional<Tendency> tendency) {
      this.kept = kept;
      this.passed = passed;
      this.tendency = tendency;
    }

    int kept() {
      return kept;
    }

    int passed() {
      return passed;
    }

    /** None where there is too little to learn from. */
    Optional<Place> place(StoredPublication work) {
      return tendency.map(
          it -> places.get(new Edition(work.id(), work.digest()), edition -> place(it, work)));
    }

    private static Place place(Tendency tendency, StoredPublication work) {
      var traits = Traits.of(work.publication());
      return new Place(tendency.of(traits), tendency.why(traits, REASONS));
    }

    private int size() {
      return 1 + tendency.map(Tendency::size).orElse(0);
    }
  }

  Learned of(Member who) {
    LocalDate today = calendar.today(who.zoneId());
    return learned.get(
        new Day(who.group(), today),
        day -> learn(day.group(), today.atStartOfDay(who.zoneId()).toInstant()));
  }

  private Learned learn(int group, Instant until) {
    List<Reviews.Decided> decided = reviews.decided(group, until);
    int kept = (int) decided.stream().filter(Reviews.Decided::kept).count();
    int passed = decided.size() - kept;
    if (Math.min(kept, passed) < Tendency.FEWEST) {
      return new Learned(kept, passed, Optional.empty());
    }
    return new Learned(kept, passed, Tendency.learn(() -> examples(decided).iterator()));
  }

  private Stream<Tendency.Example> examples(List<Reviews.Decided> decided) {
    return Stream.iterate(0, at -> at < decided.size(), at -> at + READ_AT_ONCE)
        .map(at -> decided.subList(at, Math.min(decided.size(), at + READ_AT_ONCE)))
        .flatMap(this::read);
  }

  private Stream<Tendency.Example> read(List<Reviews.Decided> decided) {
    Map<Integer, StoredPublication> works =
        publications.ofAnybody(decided.stream().map(Reviews.Decided::work).toList()).stream()
            .collect(Collectors.toMap(StoredPublication::id, Function.identity()));
    return decided.stream()
        .filter(one -> works.containsKey(one.work()))
        .map(
            one ->
                new Tendency.Example(
                    Traits.of(Objects.requireNonNull(works.get(one.work())).publication()),
                    one.kept()));
  }
}
