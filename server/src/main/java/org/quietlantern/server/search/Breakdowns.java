package org.quietlantern.server.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Breakdown;
import org.quietlantern.core.search.BySource;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** How results divide. */
@Service
class Breakdowns {
  private final Matching matching;
  private final Labels labels;
  private final Sources sources;

  /** How much of a breakdown is wanted. */
  record Wanted(String part, int most, boolean months) {}

  /** A property: {@code shape} is one, many, tree or range. */
  record PropertyShown(
      String property, String shape, String meaning, boolean limits, boolean overlaps) {}

  /**
   * A breakdown.
   *
   * @param base publications that the bars are counted over: the result without this limit
   * @param unknown how many of them have no value
   * @param values how many values there are, of which the bars may be the first
   * @param adds whether bars and unknown add up to the base
   */
  record BreakdownShown(
      String property, int base, List<BarShown> bars, int unknown, int values, boolean adds) {}

  /** A bar; {@code parents}: values right above it in a tree. */
  record BarShown(String value, String label, int count, List<String> parents) {}

  /** A strategy source by source; {@code several}: found in more than one of them. */
  record BySourceShown(int count, int several, List<ShareShown> shares) {}

  /**
   * One source: what it holds, what of it was found, and by which line how many.
   *
   * @param only found in no other source
   * @param unanswered ids of lines that it cannot answer
   */
  record ShareShown(
      String source,
      String name,
      int size,
      int found,
      int only,
      Map<String, Integer> lines,
      List<String> unanswered) {}

  Breakdowns(Matching matching, Labels labels, Sources sources) {
    this.matching = matching;
    this.labels = labels;
    this.sources = sources;
  }

  static List<PropertyShown> properties() {
    return java.util.Arrays.stream(Property.values())
        .map(
            p ->
                new PropertyShown(
                    p.word(),
                    p.shape().name().toLowerCase(java.util.Locale.ROOT),
                    p.meaning(),
                    p.isLimit(),
                    p.overlaps()))
        .toList();
  }

  BreakdownShown of(Member who, Strategy strategy, String word, Wanted wanted) {
    Property property =
        Property.named(word)
            .orElseThrow(
                () -> Refusal.unusable("property", "There is no property “" + word + "”."));
    if (wanted.most() < 1 || wanted.most() > Breakdown.Asked.MOST) {
      throw Refusal.unusable(
          "property", "Between 1 and " + Breakdown.Asked.MOST + " bars can be asked for.");
    }
    Breakdown.Asked asked =
        new Breakdown.Asked(property, wanted.part(), wanted.most(), wanted.months());
    Breakdown found =
        matching.look(who, look -> Breakdown.of(look.snapshot(), look.compile(strategy), asked));
    return new BreakdownShown(
        property.word(),
        found.base(),
        found.bars().stream()
            .map(
                bar ->
                    new BarShown(
                        bar.value(), labels.of(property, bar.value()), bar.count(), bar.parents()))
            .toList(),
        found.unknown(),
        found.values(),
        found.adds());
  }

  BySourceShown bySource(Member who, Strategy strategy) {
    Map<String, String> names = sources.names();
    BySource found =
        matching.look(
            who,
            look ->
                BySource.of(look.snapshot(), look.compile(strategy), List.copyOf(names.keySet())));
    List<ShareShown> shares = new ArrayList<>();
    for (BySource.Share share : found.shares()) {
      List<String> unanswered =
          strategy.lines().stream()
              .map(org.quietlantern.core.query.Line::id)
              .filter(id -> !share.lines().containsKey(id))
              .toList();
      shares.add(
          new ShareShown(
              share.source(),
              names.getOrDefault(share.source(), share.source()),
              share.size(),
              share.found(),
              share.only(),
              share.lines(),
              unanswered));
    }
    return new BySourceShown(found.count(), found.several(), shares);
  }
}
