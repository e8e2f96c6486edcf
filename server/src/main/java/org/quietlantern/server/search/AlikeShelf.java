package org.quietlantern.server.search;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.SimilarPublications;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Shelf;
import org.quietlantern.server.matching.StrategyBody;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What is like a publication, named {@code a:ID}: found anew whenever it is asked for. */
@Component
class AlikeShelf implements Shelf {
  private final Publications publications;
  private final IndexKeeper index;

  AlikeShelf(Publications publications, IndexKeeper index) {
    this.publications = publications;
    this.index = index;
  }

  @Override
  public String prefix() {
    return "a:";
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<StrategyBody> find(int group, String name) {
    return stored(group, name)
        .map(stored -> StrategyBody.of(Strategy.of(line(alike(group, stored)))));
  }

  private List<String> alike(int group, StoredPublication stored) {
    try (Snapshot snapshot = index.snapshot(new Viewer(group), 0)) {
      return new SimilarPublications(snapshot, stored.publication()).found(stored.pid());
    }
  }

  /** Nothing is alike: nothing is found. */
  private static String line(List<String> ids) {
    return "id: (" + (ids.isEmpty() ? "none" : String.join(" or ", ids)) + ")";
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<String> title(int group, String name) {
    return stored(group, name).map(stored -> "what is like “" + stored.publication().title() + "”");
  }

  private Optional<StoredPublication> stored(int group, String name) {
    Viewer viewer = new Viewer(group);
    return publications.find(viewer, name);
  }
}
