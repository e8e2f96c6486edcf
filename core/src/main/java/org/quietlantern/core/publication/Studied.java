package org.quietlantern.core.publication;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What a work studied, in the labels of its sources: kinds of study, organisms, places, stages of
 * life, sexes.
 */
public record Studied(
    List<String> kinds,
    List<String> taxa,
    List<String> regions,
    List<String> stages,
    List<String> sexes) {
  public static final Studied NONE =
      new Studied(List.of(), List.of(), List.of(), List.of(), List.of());

  public Studied {
    kinds = List.copyOf(kinds);
    taxa = List.copyOf(taxa);
    regions = List.copyOf(regions);
    stages = List.copyOf(stages);
    sexes = List.copyOf(sexes);
  }

  /** Everything that any of several says, each label once. */
  static Studied of(Collection<Studied> all) {
    return new Studied(
        union(all, Studied::kinds),
        union(all, Studied::taxa),
        union(all, Studied::regions),
        union(all, Studied::stages),
        union(all, Studied::sexes));
  }

  private static List<String> union(
      Collection<Studied> all, Function<Studied, List<String>> labels) {
    return List.copyOf(
        all.stream()
            .flatMap(studied -> labels.apply(studied).stream())
            .collect(Collectors.toCollection(LinkedHashSet::new)));
  }
}
