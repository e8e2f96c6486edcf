package org.quietlantern.server.alert;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.watch.Cause;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Refusal;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;

/** An alert is tried without changing anything, or run because somebody wants to. */
@Service
class RunningNow {
  private static final int TITLES = 10;
  private final AlertMapper mapper;
  private final Alerts alerts;
  private final AlertRun alertRun;
  private final MemoryComparison comparison;
  private final ComparingAlerts comparing;
  private final Harvests harvests;
  private final IndexKeeper index;
  private final Publications publications;

  /**
   * What a run would find.
   *
   * @param found how many; of a paused alert what came in the pause
   * @param first of those, at most ten
   * @param compared how many more its search finds although no record changed
   * @param causes by which of these, as in a comparison; none where they were missed
   * @param firstCompared of those, at most ten
   */
  record TrialShown(
      int found,
      List<WorkTitled> first,
      int compared,
      List<String> causes,
      List<WorkTitled> firstCompared) {}

  /** {@code found}: how many, those of the comparison not among them. */
  record RunMade(int found) {}

  RunningNow(
      AlertMapper mapper,
      Alerts alerts,
      AlertRun alertRun,
      MemoryComparison comparison,
      ComparingAlerts comparing,
      Harvests harvests,
      IndexKeeper index,
      Publications publications) {
    this.mapper = mapper;
    this.alerts = alerts;
    this.alertRun = alertRun;
    this.comparison = comparison;
    this.comparing = comparing;
    this.harvests = harvests;
    this.index = index;
    this.publications = publications;
  }

  /** Changes nothing. */
  TrialShown trial(Member who, String pid) {
    int id = alerts.id(who, pid);
    RoaringBitmap news = alertRun.trial(id, harvests.settled());
    MemoryComparison.Difference compared = comparison.trial(id);
    return new TrialShown(
        news.getCardinality(),
        first(who, news),
        compared.news().getCardinality(),
        compared.causes().stream().map(Cause::word).toList(),
        first(who, compared.news()));
  }

  private List<WorkTitled> first(Member who, RoaringBitmap ids) {
    List<Integer> first = Arrays.stream(ids.toArray()).limit(TITLES).boxed().toList();
    Map<Integer, WorkTitled> titles = publications.titles(Viewer.of(who), first);
    return first.stream().filter(titles::containsKey).map(titles::get).toList();
  }

  /** Runs it up to the last change at rest and holds it against its search, for coordinators. */
  RunMade run(Member who, String pid) {
    who.requireCoordinator("A coordinator runs an alert out of its turn.");
    AlertMapper.Row alert = mapper.byId(alerts.id(who, pid));
    if (!alert.state().equals("watching")) {
      throw Refusal.conflict("changed-since", "The alert is " + alert.state() + ".");
    }
    if (index.standsStill()) {
      throw Refusal.conflict(
          "stands-still", "The index stands still: nothing can be looked at now.");
    }
    int found = alertRun.runAlone(alert.id(), harvests.settled());
    comparison.compare(alert.id(), comparing.state(alert.zone()));
    return new RunMade(found);
  }
}
