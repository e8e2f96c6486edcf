package org.quietlantern.server.openurl;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.core.text.OpenUrlReader;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.request.LenderOffers;
import org.quietlantern.server.request.RequestLists;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds what an OpenURL means among the publications that are here. */
@Service
@Transactional(readOnly = true)
class Meant {
  private final Publications publications;
  private final Summaries summaries;
  private final RequestLists requests;
  private final LenderOffers lenders;

  /**
   * What somebody elsewhere means.
   *
   * @param citation as the link describes it; empty where it describes nothing
   * @param title its title, as far as it is told
   * @param found the publication, where it is sure; else absent
   * @param alike what it may be, where it is not
   * @param requests what the group asked for by this link before
   * @param lender the library that is asked for it; empty where members carry requests
   */
  record MeantShown(
      String citation,
      String title,
      @Nullable String found,
      List<Summary> alike,
      List<RequestLists.RequestShown> requests,
      String lender) {}

  Meant(
      Publications publications, Summaries summaries, RequestLists requests, LenderOffers lenders) {
    this.lenders = lenders;
    this.publications = publications;
    this.summaries = summaries;
    this.requests = requests;
  }

  /** {@code query}: what stands behind the question mark of an OpenURL. */
  MeantShown of(Member who, String query) {
    Optional<OpenUrlReader.Described> read = OpenUrlReader.read(query);
    if (read.isEmpty()) {
      return new MeantShown("", "", null, List.of(), List.of(), "");
    }
    Publication described = read.get().publication();
    List<StoredPublication> likely = likely(Viewer.of(who), read.get());
    Optional<StoredPublication> sure = sure(read.get(), likely);
    return new MeantShown(
        PlainCitation.of(described),
        described.title(),
        sure.map(StoredPublication::pid).orElse(null),
        sure.isPresent() ? List.of() : List.copyOf(summaries.of(who, likely).values()),
        requests.described(who, described),
        lenders.chosen(who, described));
  }

  /** The one publication that a viewer sees and that is meant for sure. */
  Optional<String> sure(Viewer viewer, String query) {
    return OpenUrlReader.read(query)
        .flatMap(read -> sure(read, likely(viewer, read)))
        .map(StoredPublication::pid);
  }

  private List<StoredPublication> likely(Viewer viewer, OpenUrlReader.Described read) {
    List<StoredPublication> linked = publications.byPid(viewer, read.links());
    return linked.isEmpty()
        ? publications.byKeys(viewer, SameWork.keys(read.publication()))
        : linked;
  }

  /** A single one that is named, agrees in title and people, or stands where the link says. */
  private static Optional<StoredPublication> sure(
      OpenUrlReader.Described read, List<StoredPublication> likely) {
    List<StoredPublication> same =
        likely.stream().filter(one -> isNamed(read, one) || agrees(read, one)).toList();
    return same.size() == 1 ? Optional.of(same.get(0)) : Optional.empty();
  }

  private static boolean isNamed(OpenUrlReader.Described read, StoredPublication one) {
    String doi = read.publication().doi();
    return !read.links().isEmpty()
        || (!doi.isEmpty() && doi.equalsIgnoreCase(one.publication().doi()));
  }

  /** Without a title its numbers and its place are all there is, and enough. */
  private static boolean agrees(OpenUrlReader.Described read, StoredPublication one) {
    return !read.isTitled()
        || SameWork.compare(read.publication(), one.publication()) == SameWork.Likeness.SAME;
  }
}
