package org.quietlantern.server.search;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.review.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The rows of a list, whatever the list is of. */
@Service
@Transactional(readOnly = true)
public class Hits {
  private final Publications publications;
  private final Reviews reviews;
  private final Folders folders;

  Hits(Publications publications, Reviews reviews, Folders folders) {
    this.publications = publications;
    this.reviews = reviews;
    this.folders = folders;
  }

  /** In the order of the ids; {@code strategy} is what to light in the titles. */
  public List<Hit> of(Member who, List<String> pids, Optional<Strategy> strategy) {
    List<Stored> found = publications.byPid(pids);
    List<Integer> ids = found.stream().map(Stored::id).toList();
    Map<Integer, List<Said>> said = reviews.onPublications(who.group(), ids);
    Map<Integer, List<Folders.FolderName>> holding = folders.holding(who, ids);
    return found.stream()
        .map(
            stored ->
                new Hit(
                    Summary.of(stored, who.zoneId()),
                    lit(strategy, stored),
                    Said.lampOf(who, said.getOrDefault(stored.id(), List.of())).word(),
                    holding.getOrDefault(stored.id(), List.of())))
        .toList();
  }

  private static List<Span> lit(Optional<Strategy> strategy, Stored stored) {
    return strategy
        .map(s -> Matching.lit(s, Field.TITLE, stored.publication().title()))
        .orElse(List.of());
  }
}
