package org.quietlantern.core.search;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.lucene.document.IntPoint;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Publication;
import org.roaringbitmap.RoaringBitmap;

/** How a publication is tied to sets of works, as of one state of the index. */
public final class Ties {
  /** A heading of more than this share of all works ties nothing. */
  private static final int SHARE = 3;

  private final Snapshot snapshot;
  private final Publication publication;
  private final Map<HeadingUse, DocSet> headings;
  private final List<DocSet> references;

  /**
   * What ties it to a set.
   *
   * @param headings labels of those of its headings that works of the set carry, too
   * @param references how many works that it cites are cited by works of the set, too
   * @param cites how many works of the set it cites
   * @param citedBy how many works of the set cite it
   */
  public record Tie(List<String> headings, int references, int cites, int citedBy) {
    public Tie {
      headings = List.copyOf(headings);
    }

    /** How close they are: who cites the other is closer than who cites the same. */
    public int strength() {
      return headings.size() + 2 * references + 3 * (cites + citedBy);
    }
  }

  public Ties(Snapshot snapshot, Publication publication) {
    this.snapshot = snapshot;
    this.publication = publication;
    Sets sets = snapshot.state().sets();
    this.headings =
        publication.headings().stream()
            .distinct()
            .collect(
                Collectors.toMap(
                    use -> use, use -> sets.of(SimilarPublications.carrying(use)), (a, b) -> a));
    this.references =
        publication.cited().dois().stream()
            .map(doi -> sets.of(IndexFields.having(IndexFields.CITES, doi)))
            .toList();
  }

  /**
   * @param works row numbers, without that of the publication itself
   * @param cited row numbers of what it cites
   */
  public Tie to(RoaringBitmap works, RoaringBitmap cited) {
    Sets sets = snapshot.state().sets();
    DocSet set = sets.once(IntPoint.newSetQuery(IndexFields.ID, works.toArray()));
    int most = snapshot.size() / SHARE;
    List<String> shared =
        publication.headings().stream()
            .distinct()
            .filter(use -> headings.get(use).count() <= most)
            .filter(use -> headings.get(use).countIn(set) > 0)
            .map(HeadingUse::label)
            .toList();
    int citedBy =
        publication.doi().isEmpty()
            ? 0
            : sets.of(
                    IndexFields.having(
                        IndexFields.CITES, publication.doi().toLowerCase(Locale.ROOT)))
                .countIn(set);
    return new Tie(
        shared,
        (int) references.stream().filter(one -> one.countIn(set) > 0).count(),
        RoaringBitmap.andCardinality(works, cited),
        citedBy);
  }
}
