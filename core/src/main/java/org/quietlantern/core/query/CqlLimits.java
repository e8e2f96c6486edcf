package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A limit line out of CQL: {@code (limit.kind = "article" or limit.kind = "review")}. */
final class CqlLimits {
  private static final String PREFIX = "limit.";
  private static final Pattern LAST = Pattern.compile("last (\\d{1,3}) years");
  private static final Pattern WITHIN = Pattern.compile("(\\S+) (\\S+)");
  private final List<Problem> problems;

  CqlLimits(List<Problem> problems) {
    this.problems = problems;
  }

  static boolean isLimit(Cql.Clause clause) {
    return clause.index().startsWith(PREFIX);
  }

  static boolean isAll(Cql.Clause clause) {
    return clause.index().equalsIgnoreCase("cql.allRecords");
  }

  static boolean onlyOr(Cql part) {
    Cql bare = part.bare();
    return !(bare instanceof Cql.Joined joined)
        || (joined.operator().equals("or") && onlyOr(joined.left()) && onlyOr(joined.right()));
  }

  private static boolean onlyAnd(Cql part) {
    Cql bare = part.bare();
    return !(bare instanceof Cql.Joined joined)
        || (joined.operator().equals("and") && onlyAnd(joined.left()) && onlyAnd(joined.right()));
  }

  Optional<Limit> limit(Cql part, boolean rulesOut) {
    List<Cql.Clause> clauses = part.clauses().filter(CqlLimits::isLimit).toList();
    Cql.Clause first = clauses.get(0);
    Optional<Property> property = Property.named(first.index().substring(PREFIX.length()));
    if (property.isEmpty() || !property.get().isLimit()) {
      return problem(Problem.Code.CQL_UNKNOWN_INDEX, first, first.index());
    }
    if (clauses.stream().anyMatch(c -> !c.index().equals(first.index()))) {
      return problem(Problem.Code.CQL_MIXED_LINE, first, first.index());
    }
    List<Cql.Clause> out = new ArrayList<>();
    Cql asked = part.bare();
    while (asked instanceof Cql.Joined joined && joined.operator().equals("not")) {
      joined.right().clauses().forEach(c -> out.add(0, c));
      asked = joined.left().bare();
    }
    List<Cql.Clause> chosen = asked.clauses().filter(c -> !isAll(c)).toList();
    boolean all = chosen.size() > 1 && onlyAnd(asked);
    if ((!onlyOr(asked) && !all) || (rulesOut && !out.isEmpty())) {
      return problem(Problem.Code.CQL_MIXED_LINE, first, first.index());
    }
    try {
      return Optional.of(
          rulesOut
              ? new Limit(property.get(), List.of(), false, values(chosen), Range.NONE)
              : new Limit(property.get(), values(chosen), all, values(out), range(chosen)));
    } catch (IllegalArgumentException unusable) {
      return problem(Problem.Code.CQL_UNUSABLE, first, String.valueOf(unusable.getMessage()));
    }
  }

  private static List<String> values(List<Cql.Clause> clauses) {
    return clauses.stream()
        .filter(c -> !isRange(c))
        .map(c -> c.term().replace("\\\\", "\\"))
        .toList();
  }

  private static boolean isRange(Cql.Clause clause) {
    return clause.relation().equals("within") || LAST.matcher(clause.term()).matches();
  }

  private static Range range(List<Cql.Clause> clauses) {
    List<Cql.Clause> ranges = clauses.stream().filter(CqlLimits::isRange).toList();
    if (ranges.isEmpty()) {
      return Range.NONE;
    }
    if (ranges.size() > 1) {
      throw new IllegalArgumentException("one range a limit");
    }
    String term = ranges.get(0).term();
    Matcher last = LAST.matcher(term);
    if (last.matches()) {
      return Range.lastYears(Integer.parseInt(last.group(1)));
    }
    Matcher ends = WITHIN.matcher(term);
    if (!ends.matches()) {
      throw new IllegalArgumentException("within needs two ends: “" + term + "”");
    }
    return Range.between(end(ends.group(1)), end(ends.group(2)));
  }

  private static String end(String end) {
    return end.equals("*") ? "" : end;
  }

  private <T> Optional<T> problem(Problem.Code code, Cql.Clause clause, String found) {
    problems.add(new Problem(code, clause.span(), found));
    return Optional.empty();
  }
}
