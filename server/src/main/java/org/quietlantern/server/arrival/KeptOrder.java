package org.quietlantern.server.arrival;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.core.review.Tendency;
import org.quietlantern.core.review.Trait;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Component;

/** Works in the order of what the group tends to keep. It hides none. */
@Component
class KeptOrder {
  /** Told of a work. */
  private static final int REASONS = 3;

  private final TendencyOfGroup tendencies;
  private final Publications publications;

  KeptOrder(TendencyOfGroup tendencies, Publications publications) {
    this.tendencies = tendencies;
    this.publications = publications;
  }

  /**
   * @param found those that are alike stay in their order; all where there is nothing to learn from
   * @param because what moves a work up, by row number
   */
  record Ordered(
      List<RoundMapper.FoundRow> found,
      Map<Integer, List<ArrivalShown.Because>> because,
      @Nullable RoundView.Learned learned) {
    /** The same arrivals, in this order, with what moves them up. */
    List<ArrivalShown> because(List<ArrivalShown> shown) {
      return IntStream.range(0, shown.size())
          .mapToObj(
              n ->
                  shown.get(n).because(because.getOrDefault(found.get(n).publication(), List.of())))
          .toList();
    }

    /** In an order that is not learned. */
    static Ordered plain(List<RoundMapper.FoundRow> found) {
      return new Ordered(found, Map.of(), null);
    }
  }

  /** {@code most}: how many of them, the first. */
  Ordered of(
      Member who, List<RoundMapper.FoundRow> found, List<StoredPublication> stored, int most) {
    TendencyOfGroup.Learned learned = tendencies.of(who);
    Map<Integer, TendencyOfGroup.Place> places = new HashMap<>();
    stored.forEach(work -> learned.place(work).ifPresent(place -> places.put(work.id(), place)));
    List<RoundMapper.FoundRow> first =
        (places.isEmpty()
                ? found.stream()
                : found.stream()
                    .sorted(Comparator.comparing(one -> -places.get(one.publication()).odds())))
            .limit(most)
            .toList();
    places
        .keySet()
        .retainAll(
            first.stream().map(RoundMapper.FoundRow::publication).collect(Collectors.toSet()));
    return new Ordered(
        first,
        because(who, places),
        new RoundView.Learned(learned.kept(), learned.passed(), Tendency.FEWEST));
  }

  private Map<Integer, List<ArrivalShown.Because>> because(
      Member who, Map<Integer, TendencyOfGroup.Place> places) {
    List<String> cited =
        places.values().stream()
            .flatMap(place -> place.why().stream())
            .map(Tendency.Reason::trait)
            .filter(trait -> trait.kind() == Trait.Kind.REFERENCE)
            .map(Trait::what)
            .distinct()
            .toList();
    Map<String, WorkTitled> titles = publications.byDoi(Viewer.of(who), cited);
    return places.entrySet().stream()
        .collect(
            Collectors.toMap(
                Map.Entry::getKey,
                of ->
                    of.getValue().why().stream()
                        .flatMap(reason -> because(reason.trait(), titles).stream())
                        .limit(REASONS)
                        .toList()));
  }

  /** None where it is a work that is not here. */
  private static Optional<ArrivalShown.Because> because(
      Trait trait, Map<String, WorkTitled> titles) {
    Optional<String> name =
        trait.kind() == Trait.Kind.REFERENCE
            ? Optional.ofNullable(titles.get(SameWork.doiKey(trait.what()))).map(WorkTitled::title)
            : Optional.of(trait.what());
    return name.map(what -> new ArrivalShown.Because(trait.kind().word(), what));
  }
}
