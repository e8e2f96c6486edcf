package org.quietlantern.server.flow;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.report.Flow;
import org.quietlantern.core.report.FlowDrawing;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
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
  private final Summaries summaries;

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
  record FlowWorks(int count, List<Summary> works, @Nullable Integer next) {}

  FlowPages(Flows flows, Publications publications, Summaries summaries) {
    this.flows = flows;
    this.publications = publications;
    this.summaries = summaries;
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
    List<StoredPublication> stored = publications.byId(Viewer.of(who), page);
    Map<Integer, Summary> shown = summaries.of(who, stored);
    int next = from + A_PAGE;
    return new FlowWorks(
        all.size(),
        page.stream().filter(shown::containsKey).map(shown::get).toList(),
        next < all.size() ? next : null);
  }
}
