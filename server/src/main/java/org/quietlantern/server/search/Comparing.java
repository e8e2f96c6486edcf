package org.quietlantern.server.search;

import java.util.List;
import org.quietlantern.core.search.Comparison;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** Counts of two strategies beside each other, all of one state of the catalogue (rule O2). */
@Service
class Comparing {
  /** Of what is gained and of what is lost, the newest. */
  private static final int NAMED = 8;

  private final Matching matching;
  private final Publications publications;

  /**
   * What the second gained, what it lost, what both have.
   *
   * @param newestGained some of it, with titles; likewise of what is lost
   * @param asOf names the state of the catalogue
   */
  record CompareShown(
      int first,
      int second,
      int gained,
      int lost,
      int common,
      List<WorkTitled> newestGained,
      List<WorkTitled> newestLost,
      String asOf) {}

  Comparing(Matching matching, Publications publications) {
    this.matching = matching;
    this.publications = publications;
  }

  CompareShown of(Member who, String one, String other) {
    return matching.look(
        who,
        look -> {
          Comparison found =
              Comparison.of(look.snapshot(), compiled(look, one), compiled(look, other), NAMED);
          int gained = found.gained().count();
          int lost = found.lost().count();
          return new CompareShown(
              found.common() + lost,
              found.common() + gained,
              gained,
              lost,
              found.common(),
              titled(who, found.gained()),
              titled(who, found.lost()),
              look.asOf());
        });
  }

  private static Compiled.Ready compiled(Matching.Look look, String name) {
    return look.compile(look.library().find(name).orElseThrow(Refusal::unknown));
  }

  private List<WorkTitled> titled(Member who, Comparison.Part part) {
    return publications.byPid(Viewer.of(who), part.newest()).stream().map(WorkTitled::of).toList();
  }
}
