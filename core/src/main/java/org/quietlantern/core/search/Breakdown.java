package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;

/**
 * How a result divides over a property, counted without the limit of that property (rule L6).
 *
 * @param base how many publications the bars are counted over
 * @param bars values with their counts; times in their order, the rest by count
 * @param unknown how many of them have no value
 * @param values how many values there are, of which the bars may be the first
 * @param adds whether bars and unknown add up to the base; else values overlap
 */
public record Breakdown(
    Property property, int base, List<Bar> bars, int unknown, int values, boolean adds) {
  public Breakdown {
    bars = List.copyOf(bars);
  }

  /** {@code parents}: in a tree, the values right above it. */
  public record Bar(String value, int count, List<String> parents) {
    public Bar {
      parents = List.copyOf(parents);
    }
  }

  /**
   * What is asked for.
   *
   * @param part of a value's words; empty for all
   * @param most bars to give, at most 1,000
   * @param months dates by month in place of by year
   */
  public record Asked(Property property, String part, int most, boolean months) {
    public static final int MOST = 1000;

    public Asked {
      if (most < 1 || most > MOST) {
        throw new IllegalArgumentException("between 1 and " + MOST + " bars, not " + most);
      }
    }

    public static Asked of(Property property) {
      return new Asked(property, "", 50, false);
    }
  }

  public static Breakdown of(Snapshot snapshot, Compiled.Ready ready, Asked asked) {
    return ofResult(snapshot, ready.without(part -> limits(part.line(), asked.property())), asked);
  }

  private static boolean limits(Line line, Property property) {
    return line instanceof Line.Limited limited && limited.limit().property() == property;
  }

  /** The same over the result as it is: a limit of the property takes part. */
  public static Breakdown ofResult(Snapshot snapshot, Compiled.Ready ready, Asked asked) {
    try {
      return new BreakdownCount(snapshot.state(), ready, asked).breakdown();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
