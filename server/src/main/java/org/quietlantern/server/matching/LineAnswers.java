package org.quietlantern.server.matching;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Range;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.LineCounts;
import org.quietlantern.core.search.LineHelp;

/** The counts of a strategy's lines as they are shown. */
final class LineAnswers {
  private final Strategy strategy;
  private final Compiled.Ready ready;
  private final int count;
  private final List<LineCounts.LineCount> counts;
  private final LineHelp help;

  LineAnswers(Matching.Look look, Strategy strategy, Compiled.Ready ready, int count) {
    this.strategy = strategy;
    this.ready = ready;
    this.count = count;
    this.counts = new LineCounts(look.snapshot(), ready).all();
    this.help = new LineHelp(look.snapshot(), look.circumstances(), look.library());
  }

  List<Answer.LineCounted> all() {
    int most = counts.stream().mapToInt(this::cost).max().orElse(0);
    boolean several = counts.stream().filter(c -> c.left().isPresent()).count() > 1;
    return counts.stream().map(c -> line(c, several && most > 0 && cost(c) == most)).toList();
  }

  /** What the search would gain without the line. */
  private int cost(LineCounts.LineCount line) {
    return line.without().map(without -> without - count).orElse(0);
  }

  private Answer.LineCounted line(LineCounts.LineCount c, boolean costsMost) {
    Line line =
        strategy.lines().stream().filter(l -> l.id().equals(c.line())).findFirst().orElseThrow();
    return new Answer.LineCounted(
        c.line(),
        c.alone(),
        c.left().orElse(null),
        c.without().orElse(null),
        rulesOut(line),
        costsMost,
        c.unknown().orElse(null),
        inactive(c).orElse(null),
        says(line).orElse(null),
        line instanceof Line.Words words ? forms(words) : List.of(),
        line instanceof Line.Words words ? offers(words) : List.of());
  }

  private List<Answer.Met> forms(Line.Words line) {
    return help.forms(line).stream().map(m -> new Answer.Met(m.typed(), m.forms())).toList();
  }

  private List<Answer.Offer> offers(Line.Words line) {
    return help.pressing(line).stream().map(o -> Answer.Offer.of(line, o)).toList();
  }

  private static boolean rulesOut(Line line) {
    return line instanceof Line.Words words
        ? words.parsed().rulesOut()
        : line instanceof Line.Held held && held.rulesOut();
  }

  private static Optional<String> inactive(LineCounts.LineCount c) {
    if (c.allQualify()) {
      return Optional.of("takes nothing away: all others meet it");
    }
    return c.inactive()
        .map(
            why ->
                switch (why) {
                  case NOTHING_CHOSEN -> "nothing is chosen yet";
                  case NOT_SUPPLIED -> "cannot act: no source says this of its records";
                });
  }

  private Optional<String> says(Line line) {
    if (line instanceof Line.Limited limited && limited.limit().range().last() > 0) {
      Range now = limited.limit().range().on(ready.circumstances().today());
      return Optional.of("now " + now.from() + " to " + now.to());
    }
    return Optional.empty();
  }
}
