package org.quietlantern.server.search;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Highlighter;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Readings;
import org.quietlantern.server.review.Reviews;
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
  private final Readings readings;

  Hits(
      Publications publications,
      Reviews reviews,
      Folders folders,
      Summaries summaries,
      Matching matching,
      Trail trail,
      Readings readings) {
    this.trail = trail;
    this.readings = readings;
    this.summaries = summaries;
    this.matching = matching;
    this.publications = publications;
    this.reviews = reviews;
    this.folders = folders;
  }

  /** In the order of the ids; {@code strategy} is what to light in the titles. */
  public List<Hit> of(Member who, List<String> pids, Optional<Strategy> strategy) {
    List<StoredPublication> found = publications.byPid(Viewer.of(who), pids);
    List<Integer> ids = found.stream().map(StoredPublication::id).toList();
    Map<Integer, List<CurrentMark>> said = reviews.onPublications(who, ids);
    Map<Integer, List<Folders.FolderName>> holding = folders.holding(who, ids);
    Map<Integer, Readings.BestRead> read = readings.best(who, ids);
    Set<Integer> opened = trail.opened(who, ids);
    Map<Integer, Summary> shown = summaries.of(who, found);
    Optional<Highlighter> highlighter = strategy.map(s -> matching.highlighter(who, s));
    return found.stream()
        .map(
            stored ->
                new Hit(
                    shown.get(stored.id()),
                    lit(highlighter, stored),
                    metIn(highlighter, stored),
                    CurrentMark.lampOf(who.id(), said.getOrDefault(stored.id(), List.of())).word(),
                    opened.contains(stored.id()),
                    read.get(stored.id()),
                    holding.getOrDefault(stored.id(), List.of())))
        .toList();
  }

  private static List<Span> lit(Optional<Highlighter> highlighter, StoredPublication stored) {
    return highlighter.map(l -> l.lit(Field.TITLE, stored.publication().title())).orElse(List.of());
  }

  private static List<String> metIn(Optional<Highlighter> highlighter, StoredPublication stored) {
    return highlighter
        .filter(l -> lit(highlighter, stored).isEmpty())
        .map(l -> l.metIn(stored.publication()).stream().map(Field::word).toList())
        .orElse(List.of());
  }
}
