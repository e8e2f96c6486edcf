package org.quietlantern.core.search;

import java.util.List;
import java.util.Locale;
import org.apache.lucene.document.IntPoint;
import org.quietlantern.core.publication.Publication;
import org.roaringbitmap.RoaringBitmap;

/** How a publication is tied to sets of works, as of one state of the index. */
public final class Ties {
  private final Snapshot snapshot;

  /** Those that say something, with the works that carry them. */
  private final List<Carried> headings;

  private final List<DocSet> references;
  private final DocSet citing;

  private record Carried(String label, DocSet works) {}

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
    Sets sets = snapshot.state().sets();
    this.headings =
        publication.headings().stream()
            .distinct()
            .map(use -> new Carried(use.label(), sets.of(SimilarPublications.carrying(use))))
            .filter(one -> !SimilarPublications.isCommon(snapshot, one.works()))
            .toList();
    this.references = publication.cited().dois().stream().map(this::citing).toList();
    this.citing =
        publication.doi().isEmpty()
            ? sets.none()
            : citing(publication.doi().toLowerCase(Locale.ROOT));
  }

  private DocSet citing(String doi) {
    return snapshot.state().sets().of(IndexFields.having(IndexFields.CITES, doi));
  }

  /**
   * @param works row numbers, without that of the publication itself
   * @param cited row numbers of what it cites
   */
  public Tie to(RoaringBitmap works, RoaringBitmap cited) {
    DocSet set =
        snapshot.state().sets().once(IntPoint.newSetQuery(IndexFields.ID, works.toArray()));
    return new Tie(
        headings.stream().filter(one -> one.works().countIn(set) > 0).map(Carried::label).toList(),
        (int) references.stream().filter(one -> one.countIn(set) > 0).count(),
        RoaringBitmap.andCardinality(works, cited),
        citing.countIn(set));
  }
}
