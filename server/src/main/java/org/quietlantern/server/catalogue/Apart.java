package org.quietlantern.server.catalogue;

import java.util.Collection;
import java.util.Set;
import java.util.stream.Collectors;

/** Records that a person said are not of a work, whatever they are like (rule W1). */
final class Apart {
  static final Apart NOTHING = new Apart(Set.of());

  private record Pair(Work.Name name, int publication) {}

  private final Set<Pair> pairs;

  private Apart(Set<Pair> pairs) {
    this.pairs = pairs;
  }

  static Apart of(Collection<CatalogueMapper.KeptApart> rows) {
    return new Apart(
        rows.stream()
            .map(row -> new Pair(new Work.Name(row.source(), row.identifier()), row.publication()))
            .collect(Collectors.toUnmodifiableSet()));
  }

  boolean holds(Work.Name name, Work work) {
    return !pairs.isEmpty()
        && work.id().filter(id -> pairs.contains(new Pair(name, id))).isPresent();
  }
}
