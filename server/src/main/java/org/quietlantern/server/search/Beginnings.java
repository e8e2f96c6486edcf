package org.quietlantern.server.search;

import java.time.Instant;
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
  private static final int STRATEGIES = 6;

  /** How many of each sort are offered at once; words find the others. */
  private static final int OFFERED = 40;

  private final Matching matching;
  private final SavedSearches searches;
  private final Trail trail;

  /** {@code size}: publications in the catalogue. */
  record BeginningsShown(
      int size, List<HeadingCount> headings, List<Holdable> saved, List<Holdable> steps) {}

  record HeadingCount(String label, int count) {}

  /**
   * A strategy that a line can hold: by which name, and what it is.
   *
   * @param count what it found {@code at} that time
   */
  record Holdable(
      String name, String title, StrategyBody strategy, int count, Instant at, String address) {}

  /** Some saved searches and steps; {@code more}: whether there are others like these. */
  record HoldablesShown(
      List<Holdable> saved, boolean moreSaved, List<Holdable> steps, boolean moreSteps) {}

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
        searches.latest(who, "", STRATEGIES).stream().map(Beginnings::saved).toList(),
        trail.latest(who, "", STRATEGIES).stream().map(Beginnings::step).toList());
  }

  /** The latest saved searches of the group and steps of the member; {@code words}: with them. */
  HoldablesShown holdables(Member who, String words) {
    List<SavedSearch> saved = searches.latest(who, words, OFFERED + 1);
    List<Trail.StepLine> steps = trail.latest(who, words, OFFERED + 1);
    return new HoldablesShown(
        saved.stream().limit(OFFERED).map(Beginnings::saved).toList(),
        saved.size() > OFFERED,
        steps.stream().limit(OFFERED).map(Beginnings::step).toList(),
        steps.size() > OFFERED);
  }

  private static Holdable saved(SavedSearch s) {
    return new Holdable(
        "s:" + s.id() + ":" + s.revision(),
        s.name(),
        s.strategy(),
        s.count(),
        s.at(),
        "/s/" + s.id());
  }

  private static Holdable step(Trail.StepLine step) {
    return new Holdable(
        "q:" + step.q(), "", step.strategy(), step.count(), step.at(), "/q/" + step.q());
  }
}
