package org.quietlantern.server.flow;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.report.Flow;
import org.quietlantern.core.report.FlowDrawing;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A flow as it is drawn, and the works that a number of it counts. */
@Service
@Transactional(readOnly = true)
class FlowPages {
  private static final int A_PAGE = 50;

  private final Flows flows;
  private final Publications publications;

  /**
   * A flow.
   *
   * @param alert what the alert is called; absent: of all
   * @param name of its report
   */
  record FlowShown(
      @Nullable String alert,
      LocalDate from,
      LocalDate to,
      String name,
      FlowDrawing drawing,
      List<Flow.FlowStep> boxes) {}

  /**
   * Works that a number counts, in the order in which they came.
   *
   * @param count of all of them
   * @param next where the next page begins; absent on the last
   */
  record FlowWorks(int count, List<FlowWork> works, @Nullable Integer next) {}

  /** One of them; {@code authors}: family names. */
  record FlowWork(
      String id, String title, List<String> authors, String where, @Nullable Integer year) {}

  FlowPages(Flows flows, Publications publications) {
    this.flows = flows;
    this.publications = publications;
  }

  FlowShown of(Member who, Flows.Asked asked) {
    Flows.Came came = flows.came(who, asked);
    Flow flow = flows.flow(came);
    return new FlowShown(
        came.alert(),
        came.from(),
        came.to(),
        Flows.name(asked.alert(), came),
        FlowDrawing.of(flow),
        flow.boxes());
  }

  /** As SVG. */
  String svg(Member who, Flows.Asked asked) {
    Flows.Came came = flows.came(who, asked);
    return FlowDrawing.of(flows.flow(came)).svg(Flows.title(came));
  }

  FlowWorks works(Member who, Flows.Asked asked, String number, int from) {
    List<Integer> all =
        flows.came(who, asked).works().stream()
            .filter(Flow.counts(number))
            .map(Flow.Work::id)
            .toList();
    List<Integer> page = all.stream().skip(from).limit(A_PAGE).toList();
    Map<Integer, FlowWork> shown =
        publications.byId(Viewer.of(who), page).stream()
            .collect(Collectors.toMap(StoredPublication::id, FlowPages::shown));
    int next = from + A_PAGE;
    return new FlowWorks(
        all.size(),
        page.stream().filter(shown::containsKey).map(shown::get).toList(),
        next < all.size() ? next : null);
  }

  private static FlowWork shown(StoredPublication stored) {
    Publication publication = stored.publication();
    return new FlowWork(
        stored.pid(),
        publication.title(),
        publication.authors().stream().map(PersonName::family).toList(),
        publication.where(),
        publication.year().orElse(null));
  }
}
