package org.quietlantern.server.search;

import java.util.List;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.search.Breakdown;
import org.quietlantern.server.folder.SavedSearch;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;

/** What an empty sheet can begin with, and what lines can hold. */
@Service
class Beginnings {
  private static final int HEADINGS = 12;
  private static final int STRATEGIES = 20;

  private final Matching matching;
  private final SavedSearches searches;
  private final Trail trail;

  /** {@code size}: publications in the catalogue. */
  record BeginningsShown(
      int size, List<HeadingCount> headings, List<Holdable> saved, List<Holdable> steps) {}

  record HeadingCount(String label, int count) {}

  /** A strategy that a line can hold: by which name, and what it is. */
  record Holdable(String name, String title, StrategyBody strategy, int count, String address) {}

  Beginnings(Matching matching, SavedSearches searches, Trail trail) {
    this.matching = matching;
    this.searches = searches;
    this.trail = trail;
  }

  BeginningsShown of(Member who) {
    Breakdown headings =
        matching.look(
            who,
            look ->
                Breakdown.of(
                    look.snapshot(),
                    look.compile(Matching.EVERYTHING),
                    new Breakdown.Asked(Property.HEADING, "", HEADINGS, false)));
    return new BeginningsShown(
        headings.base(),
        headings.bars().stream().map(bar -> new HeadingCount(bar.value(), bar.count())).toList(),
        searches.latest(who, STRATEGIES).stream().map(Beginnings::saved).toList(),
        trail.latest(who, STRATEGIES).stream().map(Beginnings::step).toList());
  }

  private static Holdable saved(SavedSearch s) {
    return new Holdable(
        "s:" + s.id() + ":" + s.revision(), s.name(), s.strategy(), s.count(), "/s/" + s.id());
  }

  private static Holdable step(Trail.StepLine step) {
    return new Holdable("q:" + step.q(), "", step.strategy(), step.count(), "/q/" + step.q());
  }
}
