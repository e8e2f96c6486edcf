package org.quietlantern.standins.oai;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.quietlantern.standins.supply.Revision;
import org.quietlantern.standins.supply.Source;

/** What a source holds at a moment: of every work the latest revision up to then. */
final class Records {
  private static final Comparator<Revision> ORDER =
      Comparator.comparing(Revision::from).thenComparing(Revision::identifier);
  private final Map<String, List<Revision>> byIdentifier = new TreeMap<>();
  private final boolean tellsDeletions;

  Records(Source source) {
    tellsDeletions = !source.deletions().equals("no");
    for (Revision revision : source.revisions()) {
      byIdentifier.computeIfAbsent(revision.identifier(), i -> new ArrayList<>()).add(revision);
    }
    byIdentifier
        .values()
        .forEach(revisions -> revisions.sort(Comparator.comparing(Revision::from)));
  }

  /** In order of their dates, those in a range, behind a place reached before. */
  List<Revision> list(Instant now, Query query) {
    Predicate<Revision> inRange =
        r -> !r.from().isBefore(query.from()) && !r.from().isAfter(query.until());
    Predicate<Revision> behind =
        r ->
            r.from().isAfter(query.after())
                || (r.from().equals(query.after())
                    && r.identifier().compareTo(query.afterIdentifier()) > 0);
    return byIdentifier.values().stream()
        .flatMap(revisions -> latest(revisions, now))
        .filter(inRange.and(behind))
        .sorted(ORDER)
        .toList();
  }

  Optional<Revision> get(Instant now, String identifier) {
    return latest(byIdentifier.getOrDefault(identifier, List.of()), now).findFirst();
  }

  Instant earliest() {
    return byIdentifier.values().stream()
        .map(revisions -> revisions.get(0).from())
        .min(Comparator.naturalOrder())
        .orElseThrow();
  }

  private Stream<Revision> latest(List<Revision> revisions, Instant now) {
    Revision latest = null;
    for (Revision revision : revisions) {
      if (!revision.from().isAfter(now)) {
        latest = revision;
      }
    }
    return latest == null || (latest.deleted() && !tellsDeletions)
        ? Stream.empty()
        : Stream.of(latest);
  }
}
