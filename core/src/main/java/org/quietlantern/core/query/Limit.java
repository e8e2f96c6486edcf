package org.quietlantern.core.query;

import java.util.List;

/**
 * Narrows by a property (rules L1, L4, L5).
 *
 * @param chosen values of which any will do, or all have to be there; empty with an empty range:
 *     nothing is asked for. {@value #UNKNOWN} among them takes in what has no value.
 * @param all all of the chosen, where a publication can have several values
 * @param ruledOut values that a publication must not have; they win over chosen ones
 * @param range for dates, pages and coming here, in place of values
 */
public record Limit(
    Property property, List<String> chosen, boolean all, List<String> ruledOut, Range range) {
  /** The value of what has none. */
  public static final String UNKNOWN = "unknown";

  /** Values of one line. */
  public static final int MOST_VALUES = 500;

  public Limit {
    chosen = chosen.stream().distinct().toList();
    ruledOut = ruledOut.stream().distinct().toList();
    if (!property.isLimit()) {
      throw new IllegalArgumentException(property.word() + " is no limit; it is a word's field");
    }
    if (chosen.size() + ruledOut.size() > MOST_VALUES) {
      throw new IllegalArgumentException("more than " + MOST_VALUES + " values in one limit");
    }
    if (all && !property.overlaps()) {
      throw new IllegalArgumentException(property.word() + " has one value; all of it is no limit");
    }
    boolean ranged = property.shape() == Property.Shape.RANGE;
    if (ranged ? !onlyUnknown(chosen) || !onlyUnknown(ruledOut) : range.isSet()) {
      throw new IllegalArgumentException(
          property.word() + (ranged ? " is chosen by its ends" : " has no ends"));
    }
    range.check(property);
  }

  private static boolean onlyUnknown(List<String> values) {
    return values.isEmpty() || values.equals(List.of(UNKNOWN));
  }

  /** Any of these values. */
  public static Limit any(Property property, String... chosen) {
    return new Limit(property, List.of(chosen), false, List.of(), Range.NONE);
  }

  public static Limit range(Property property, Range range) {
    return new Limit(property, List.of(), false, List.of(), range);
  }

  public static Limit without(Property property, String... ruledOut) {
    return new Limit(property, List.of(), false, List.of(ruledOut), Range.NONE);
  }

  /** Whether anything at all is asked for. */
  public boolean asks() {
    return asksFor() || !ruledOut.isEmpty();
  }

  /** Whether something has to be there, so that what has no value is left out. */
  public boolean asksFor() {
    return !chosen.isEmpty() || range.isSet();
  }

  public boolean takesUnknown() {
    return chosen.contains(UNKNOWN);
  }

  /** A value that is both chosen and ruled out is ruled out. */
  public List<String> contradicted() {
    return chosen.stream().filter(ruledOut::contains).toList();
  }
}
