package org.quietlantern.server.search;

import java.util.ArrayList;
import java.util.List;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Breakdown;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.springframework.stereotype.Service;

/** What sources supply, counted in what is here of them. */
@Service
class Supplied {
  private final Matching matching;
  private final Sources sources;
  private final Labels labels;

  /**
   * What is here of a source.
   *
   * @param kinds how its publications divide over kinds, the most frequent first
   * @param withs how many of them have an abstract, headings, a known list of references
   */
  record SuppliedShown(String source, int count, List<PartOf> kinds, List<PartOf> withs) {}

  record PartOf(String what, int count) {}

  Supplied(Matching matching, Sources sources, Labels labels) {
    this.matching = matching;
    this.sources = sources;
    this.labels = labels;
  }

  List<SuppliedShown> all(Member who) {
    return matching.look(
        who, look -> sources.names().keySet().stream().map(key -> one(look, key)).toList());
  }

  private SuppliedShown one(Matching.Look look, String source) {
    Strategy all =
        new Strategy(List.of(new Line.Limited("s", Limit.any(Property.SOURCE, source), false)));
    Breakdown kinds = divided(look, all, Property.KIND);
    List<PartOf> withs = new ArrayList<>();
    withs.add(new PartOf("abstracts", having(divided(look, all, Property.ABSTRACT))));
    Breakdown headings = divided(look, all, Property.HEADING);
    withs.add(new PartOf("headings", headings.base() - headings.unknown()));
    withs.add(new PartOf("lists of references", having(divided(look, all, Property.REFERENCES))));
    return new SuppliedShown(
        source,
        kinds.base(),
        kinds.bars().stream()
            .map(bar -> new PartOf(labels.of(Property.KIND, bar.value()), bar.count()))
            .toList(),
        withs);
  }

  private static Breakdown divided(Matching.Look look, Strategy strategy, Property property) {
    return Breakdown.of(
        look.snapshot(),
        look.compile(strategy),
        new Breakdown.Asked(property, "", Breakdown.Asked.MOST, false));
  }

  private static int having(Breakdown yesOrNo) {
    return yesOrNo.bars().stream()
        .filter(bar -> bar.value().equals("yes"))
        .mapToInt(Breakdown.Bar::count)
        .sum();
  }
}
