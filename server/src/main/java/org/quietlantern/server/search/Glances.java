package org.quietlantern.server.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Breakdown;
import org.quietlantern.core.search.Order;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The field at a glance: what the present result looks like from afar. */
@Service
@Transactional(readOnly = true)
public class Glances {
  private static final int NAMED = 5;
  private static final int WEIGHED = 20;
  private static final Ordering MOST_CITED = new Ordering(Order.CITED, false);
  private static final Ordering NEWEST = new Ordering(Order.PUBLISHED, false);
  private final Matching matching;
  private final Publications publications;
  private final Summaries summaries;

  /**
   * What a result looks like.
   *
   * @param heading the one that tells it best from the rest of the catalogue; none without headings
   * @param years with their counts, the newest first
   * @param cited the most cited, the most first; without those that nobody cites
   * @param reviews the newest first, of {@code reviewCount}
   */
  public record GlanceShown(
      int count,
      @Nullable MainHeading heading,
      List<Bar> years,
      List<Summary> cited,
      List<Summary> reviews,
      int reviewCount,
      List<Bar> journals,
      List<Bar> headings) {}

  /** {@code note}: what it is used for; empty where nobody said. */
  public record MainHeading(String label, String note, int count) {}

  /** A value and how many have it. */
  public record Bar(String value, int count) {}

  Glances(Matching matching, Publications publications, Summaries summaries) {
    this.matching = matching;
    this.publications = publications;
    this.summaries = summaries;
  }

  public GlanceShown of(Member who, Strategy strategy) {
    return matching.look(who, look -> glance(who, strategy, look));
  }

  private GlanceShown glance(Member who, Strategy strategy, Matching.Look look) {
    List<Bar> headings = bars(look, strategy, Property.HEADING, WEIGHED);
    Strategy reviews = reviews(strategy);
    int count = look.count(strategy);
    return new GlanceShown(
        count,
        mainHeading(look, headings, count),
        bars(look, strategy, Property.DATE, Breakdown.Asked.MOST).stream()
            .filter(bar -> bar.count() > 0)
            .sorted(Comparator.comparing(Bar::value).reversed())
            .toList(),
        first(who, look, strategy, MOST_CITED).stream().filter(s -> s.citedBy() > 0).toList(),
        first(who, look, reviews, NEWEST),
        look.count(reviews),
        bars(look, strategy, Property.JOURNAL, NAMED),
        headings.stream().limit(NAMED).toList());
  }

  private static Strategy reviews(Strategy strategy) {
    List<Line> lines = new ArrayList<>(strategy.lines());
    lines.add(new Line.Words("reviews of it", "kind: review", false));
    return new Strategy(lines);
  }

  private static List<Bar> bars(
      Matching.Look look, Strategy strategy, Property property, int most) {
    Breakdown.Asked asked = new Breakdown.Asked(property, "", most, false);
    return Breakdown.ofResult(look.snapshot(), look.compile(strategy), asked).bars().stream()
        .map(bar -> new Bar(bar.value(), bar.count()))
        .toList();
  }

  private List<Summary> first(
      Member who, Matching.Look look, Strategy strategy, Ordering ordering) {
    List<String> ids =
        look.snapshot().search(look.compile(strategy), ordering).publicIds().stream()
            .limit(NAMED)
            .toList();
    return List.copyOf(summaries.of(who, publications.byPid(Viewer.of(who), ids)).values());
  }

  /**
   * Of the most frequent headings the one that is frequent here and rarer elsewhere: its count
   * times the logarithm of how much more frequent it is here than in the whole catalogue.
   */
  private static @Nullable MainHeading mainHeading(
      Matching.Look look, List<Bar> headings, int count) {
    double all = look.snapshot().size();
    return headings.stream()
        .max(Comparator.comparingDouble(bar -> weight(look, bar, count / all)))
        .map(
            bar ->
                new MainHeading(
                    bar.value(),
                    look.circumstances()
                        .headings()
                        .find(bar.value())
                        .map(named -> named.heading())
                        .map(Concept::note)
                        .orElse(""),
                    bar.count()))
        .orElse(null);
  }

  private static double weight(Matching.Look look, Bar bar, double share) {
    int everywhere = look.count(HeadingPages.asked(bar.value(), "exact"));
    return everywhere == 0 ? 0 : bar.count() * Math.log(bar.count() / (everywhere * share));
  }
}
