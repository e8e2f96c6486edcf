package org.quietlantern.core.search;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.query.Line;

/** What each line of a strategy finds, leaves and costs (rule M10), all in one state. */
public final class LineCounts {
  private final Sets sets;
  private final Compiled.Ready ready;
  private final IndexState state;
  private final IdentityHashMap<Compiled.Part, DocSet> found = new IdentityHashMap<>();

  /**
   * The counts of one line.
   *
   * @param alone what it finds by itself; for a line that rules out, what there is to rule out
   * @param left what the lines in force down to it find; nothing for a line not in force
   * @param without what the search would find if this line were not there
   * @param unknown what a limit leaves out only because its value is not known
   * @param inactive why it does not act, if it does not
   * @param allQualify whether a limit takes nothing away from the rest of the search
   */
  public record LineCount(
      String line,
      int alone,
      Optional<Integer> left,
      Optional<Integer> without,
      Optional<Integer> unknown,
      Optional<Compiled.Inactive> inactive,
      boolean allQualify) {}

  public LineCounts(Snapshot snapshot, Compiled.Ready ready) {
    this.state = snapshot.state();
    this.sets = state.sets();
    this.ready = ready;
    ready.parts().forEach(part -> found.put(part, sets.of(part.query())));
  }

  /** In the order of the lines; lines that wait for their words are left out. */
  public List<LineCount> all() {
    List<Compiled.Part> force = ready.inForce();
    List<DocSet> below = below(force);
    DocSet left = sets.all();
    List<LineCount> counts = new ArrayList<>();
    int at = 0;
    for (Compiled.Part part : ready.parts()) {
      DocSet set = found.get(part);
      int alone = set.count();
      if (part.isInForce()) {
        at++;
        DocSet others = left.and(below.get(at));
        left = narrowed(left, part);
        counts.add(inForce(part, alone, left.count(), others));
      } else {
        counts.add(
            new LineCount(
                part.line().id(),
                alone,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                part.inactive(),
                false));
      }
    }
    return counts;
  }

  private LineCount inForce(Compiled.Part part, int alone, int left, DocSet others) {
    int without = others.count();
    Optional<Integer> unknown = Optional.empty();
    boolean allQualify = false;
    if (part.line() instanceof Line.Limited limited) {
      if (limited.limit().asksFor() && !limited.limit().takesUnknown()) {
        DocSet missing =
            sets.of(
                StrategyCompiler.unknown(limited.limit(), ready.circumstances(), state.columns()));
        unknown = Optional.of(missing.countIn(others));
      }
      allQualify = others.countIn(found.get(part)) == without;
    }
    return new LineCount(
        part.line().id(),
        alone,
        Optional.of(left),
        Optional.of(without),
        unknown,
        Optional.empty(),
        allQualify);
  }

  /** At each place, what the lines from there on find together; everything at the end. */
  private List<DocSet> below(List<Compiled.Part> force) {
    ArrayDeque<DocSet> below = new ArrayDeque<>();
    below.add(sets.all());
    for (int i = force.size() - 1; i >= 0; i--) {
      below.addFirst(narrowed(below.getFirst(), force.get(i)));
    }
    return List.copyOf(below);
  }

  private DocSet narrowed(DocSet set, Compiled.Part part) {
    return part.rulesOut() ? set.andNot(found.get(part)) : set.and(found.get(part));
  }
}
