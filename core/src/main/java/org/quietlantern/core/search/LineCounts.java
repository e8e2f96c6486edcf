package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.lucene.util.FixedBitSet;
import org.quietlantern.core.query.Line;

/** What each line of a strategy finds, leaves and costs (rule M10), all in one state. */
public final class LineCounts {
  private final Sets sets;
  private final Compiled.Ready ready;
  private final State state;

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
  }

  /** In the order of the lines; lines that wait for their words are left out. */
  public List<LineCount> all() {
    List<Compiled.Part> force = ready.inForce();
    List<FixedBitSet> below = below(force);
    FixedBitSet left = sets.all().clone();
    List<LineCount> counts = new ArrayList<>();
    int at = 0;
    for (Compiled.Part part : ready.parts()) {
      FixedBitSet set = sets.of(part.query());
      int alone = set.cardinality();
      if (part.isInForce()) {
        at++;
        FixedBitSet others = left.clone();
        others.and(below.get(at));
        narrow(left, part, set);
        counts.add(inForce(part, alone, left.cardinality(), others));
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

  private LineCount inForce(Compiled.Part part, int alone, int left, FixedBitSet others) {
    int without = others.cardinality();
    Optional<Integer> unknown = Optional.empty();
    boolean allQualify = false;
    if (part.line() instanceof Line.Limited limited) {
      if (limited.limit().asksFor() && !limited.limit().takesUnknown()) {
        FixedBitSet missing =
            sets.of(
                StrategyCompiler.unknown(limited.limit(), ready.circumstances(), state.columns()));
        unknown = Optional.of((int) FixedBitSet.intersectionCount(missing, others));
      }
      allQualify = FixedBitSet.andNotCount(others, sets.of(part.query())) == 0;
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
  private List<FixedBitSet> below(List<Compiled.Part> force) {
    FixedBitSet[] below = new FixedBitSet[force.size() + 1];
    below[force.size()] = sets.all();
    for (int i = force.size() - 1; i >= 0; i--) {
      below[i] = below[i + 1].clone();
      narrow(below[i], force.get(i), sets.of(force.get(i).query()));
    }
    return List.of(below);
  }

  private static void narrow(FixedBitSet set, Compiled.Part part, FixedBitSet by) {
    if (part.rulesOut()) {
      set.andNot(by);
    } else {
      set.and(by);
    }
  }
}
