package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.lucene.search.Query;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.search.analysis.Analysis;

/**
 * Publications that are like one: they share its headings, its references, its strongest words; the
 * rarer what is shared, the more it counts.
 */
public final class SimilarPublications {
  /** How many are found at most. */
  public static final int MOST = 50;

  private final Snapshot snapshot;
  private final Publication publication;

  /** Its words that say most, stems with the words as they are written. */
  private final Map<String, String> strongest;

  public SimilarPublications(Snapshot snapshot, Publication publication) {
    this.snapshot = snapshot;
    this.publication = publication;
    this.strongest = new Passage(snapshot).strongest(text(publication));
  }

  /**
   * What two publications share.
   *
   * @param headings labels
   * @param references how many works both cite
   * @param cites whether one of them cites the other
   * @param words of the first one's strongest words, as it has them
   */
  public record Ground(List<String> headings, int references, boolean cites, List<String> words) {
    public Ground {
      headings = List.copyOf(headings);
      words = List.copyOf(words);
    }
  }

  /** Public ids, most alike first, without its own one. */
  public List<String> found(String publicId) {
    IndexState state = snapshot.state();
    List<Query> shared = new ArrayList<>();
    publication.headings().forEach(use -> shared.add(carrying(use)));
    publication
        .cited()
        .dois()
        .forEach(doi -> shared.add(IndexFields.having(IndexFields.CITES, doi)));
    if (!publication.doi().isEmpty()) {
      shared.add(IndexFields.having(IndexFields.CITES, publication.doi().toLowerCase(Locale.ROOT)));
    }
    strongest
        .keySet()
        .forEach(
            stem -> shared.add(IndexFields.having(IndexFields.stemmed(IndexFields.ALL), stem)));
    shared.removeIf(query -> !says(query));
    if (shared.isEmpty()) {
      return List.of();
    }
    DocSet any = DocSet.any(shared.stream().map(query -> state.sets().of(query)).toList());
    DocSet others =
        any.andNot(state.sets().of(IndexFields.having(IndexFields.PUBLIC_ID, publicId)));
    try {
      return snapshot.publicIds(new Relevance(state, shared).first(others, MOST, false));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private boolean says(Query query) {
    DocSet having = snapshot.state().sets().of(query);
    return having.count() > 1 && !isCommon(snapshot, having);
  }

  /** What more than a third of the catalogue has says nothing. */
  static boolean isCommon(Snapshot snapshot, DocSet having) {
    return having.count() > snapshot.size() / 3;
  }

  /** What it shares with another. */
  public Ground ground(Publication other) {
    Set<String> headings =
        other.headings().stream().map(HeadingUse::uri).collect(Collectors.toSet());
    Set<String> references = Set.copyOf(other.cited().dois());
    Set<String> words =
        Analysis.STEMMED.words(text(other)).stream()
            .map(Analysis.Found::word)
            .collect(Collectors.toSet());
    return new Ground(
        publication.headings().stream()
            .filter(use -> headings.contains(use.uri()))
            .map(HeadingUse::label)
            .toList(),
        (int) publication.cited().dois().stream().filter(references::contains).count(),
        cites(publication, other) || cites(other, publication),
        strongest.entrySet().stream()
            .filter(word -> words.contains(word.getKey()))
            .map(Map.Entry::getValue)
            .toList());
  }

  private static boolean cites(Publication one, Publication other) {
    return !other.doi().isEmpty()
        && one.cited().dois().contains(other.doi().toLowerCase(Locale.ROOT));
  }

  private static String text(Publication publication) {
    return publication.title() + " " + publication.abstractText();
  }

  /** Works that carry a heading in any way. */
  static Query carrying(HeadingUse use) {
    return IndexFields.having(
        IndexFields.HEADING_USE,
        HeadingUses.words(new HeadingUse(use.uri(), "", false, List.of())).get(0));
  }
}
