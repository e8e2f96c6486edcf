package org.quietlantern.server.search;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Lighter;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.review.Said;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The rows of a list, whatever the list is of. */
@Service
@Transactional(readOnly = true)
public class Hits {
  private final Publications publications;
  private final Reviews reviews;
  private final Folders folders;
  private final Summaries summaries;
  private final Matching matching;
  private final Trail trail;

  Hits(
      Publications publications,
      Reviews reviews,
      Folders folders,
      Summaries summaries,
      Matching matching,
      Trail trail) {
    this.trail = trail;
    this.summaries = summaries;
    this.matching = matching;
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
    Set<Integer> opened = trail.opened(who, ids);
    Map<Integer, Summary> shown = summaries.of(who, found);
    Optional<Lighter> lighter = strategy.map(s -> matching.lighter(who, s));
    return found.stream()
        .map(
            stored ->
                new Hit(
                    shown.get(stored.id()),
                    lit(lighter, stored),
                    metIn(lighter, stored),
                    Said.lampOf(who, said.getOrDefault(stored.id(), List.of())).word(),
                    opened.contains(stored.id()),
                    holding.getOrDefault(stored.id(), List.of())))
        .toList();
  }

  private static List<Span> lit(Optional<Lighter> lighter, Stored stored) {
    return lighter.map(l -> l.lit(Field.TITLE, stored.publication().title())).orElse(List.of());
  }

  private static List<String> metIn(Optional<Lighter> lighter, Stored stored) {
    return lighter
        .filter(l -> lit(lighter, stored).isEmpty())
        .map(l -> l.metIn(stored.publication()).stream().map(Field::word).toList())
        .orElse(List.of());
  }
}
