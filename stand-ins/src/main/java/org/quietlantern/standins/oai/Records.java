package org.quietlantern.standins.oai;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.quietlantern.standins.corpus.Revision;

/** What the source holds at a moment: of every work the latest revision up to then. */
final class Records {
  static final String PREFIX = "oai:nightindex.example:";
  private static final Comparator<Revision> ORDER =
      Comparator.comparing(Revision::from).thenComparing(r -> r.work().number());
  private final List<Revision> all;

  Records(List<Revision> all) {
    this.all = all;
  }

  static String identifier(Revision revision) {
    return PREFIX + "%05d".formatted(revision.work().number());
  }

  /** In order of their dates, those in a range, behind a place reached before. */
  Stream<Revision> list(Instant now, Query query) {
    Predicate<Revision> inRange =
        r -> !r.from().isBefore(query.from()) && !r.from().isAfter(query.until());
    Predicate<Revision> behind =
        r ->
            r.from().isAfter(query.after())
                || (r.from().equals(query.after()) && r.work().number() > query.afterNumber());
    return at(now).filter(inRange.and(behind)).sorted(ORDER);
  }

  Optional<Revision> get(Instant now, String identifier) {
    return at(now).filter(r -> identifier(r).equals(identifier)).findFirst();
  }

  Instant earliest() {
    return all.stream().map(Revision::from).min(Comparator.naturalOrder()).orElseThrow();
  }

  private Stream<Revision> at(Instant now) {
    TreeMap<Integer, Revision> latest = new TreeMap<>();
    all.stream()
        .filter(r -> !r.from().isAfter(now))
        .forEach(
            r -> latest.merge(r.work().number(), r, (a, b) -> ORDER.compare(a, b) < 0 ? b : a));
    return latest.values().stream();
  }
}
