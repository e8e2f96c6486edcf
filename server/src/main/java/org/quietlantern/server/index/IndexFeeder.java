package org.quietlantern.server.index;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.quietlantern.core.search.CatalogueIndex;
import org.quietlantern.core.search.IndexEntry;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.catalogue.StoredPublication;
import org.springframework.stereotype.Component;

/** Brings changed publications into the form that the index takes. */
@Component
class IndexFeeder {
  private final Publications publications;
  private final Sources sources;

  /** What to put into the index and what to take out of it. */
  record Batch(List<IndexEntry> put, List<Integer> remove, List<CatalogueIndex.SetAside> aside) {}

  IndexFeeder(Publications publications, Sources sources) {
    this.publications = publications;
    this.sources = sources;
  }

  /** {@code touched}: row numbers with the number of their last change. */
  Batch batch(Map<Integer, Long> touched) {
    List<IndexEntry> put = new ArrayList<>();
    Set<Integer> remove = new HashSet<>(touched.keySet());
    Map<Integer, List<String>> supplying = sources.supplying(touched.keySet());
    List<CatalogueIndex.SetAside> aside = new ArrayList<>();
    for (StoredPublication stored : read(touched.keySet(), aside)) {
      if (!stored.withdrawn() && !stored.isMerged()) {
        put.add(
            new IndexEntry(
                stored.id(),
                stored.pid(),
                stored.group(),
                stored.came(),
                supplying.getOrDefault(stored.id(), List.of()),
                stored.publication(),
                stored.digest()));
        remove.remove(stored.id());
      }
    }
    return new Batch(put, List.copyOf(remove), aside);
  }

  /** One whose values cannot be read keeps nothing else from being found. */
  private List<StoredPublication> read(
      Collection<Integer> ids, List<CatalogueIndex.SetAside> aside) {
    try {
      return publications.ofAnybody(ids);
    } catch (RuntimeException unreadable) {
      List<StoredPublication> readable = new ArrayList<>();
      for (int id : ids) {
        try {
          readable.addAll(publications.ofAnybody(List.of(id)));
        } catch (RuntimeException broken) {
          aside.add(new CatalogueIndex.SetAside(id, String.valueOf(broken.getMessage())));
        }
      }
      return readable;
    }
  }
}
