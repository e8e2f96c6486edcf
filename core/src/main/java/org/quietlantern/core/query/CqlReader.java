package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Reads a strategy from CQL, as {@link CqlWriter} writes it and as other programs would. Never
 * throws on text: it returns problems with their places.
 */
public final class CqlReader {
  /** Characters of one query. */
  public static final int LONGEST = 60_000;

  private final List<Problem> problems = new ArrayList<>();
  private final List<Line> lines = new ArrayList<>();

  /** A strategy, or why there is none. */
  public record Read(Optional<Strategy> strategy, List<Problem> problems) {
    public Read {
      problems = List.copyOf(problems);
    }
  }

  private CqlReader() {}

  public static Read read(String cql) {
    return new CqlReader().strategy(cql);
  }

  private Read strategy(String cql) {
    if (cql.length() > LONGEST) {
      problems.add(new Problem(Problem.Code.CQL_TOO_LONG, new Span(LONGEST, cql.length()), ""));
      return new Read(Optional.empty(), problems);
    }
    Optional<Cql> query = new CqlParser(cql, problems).parse();
    if (query.isPresent()) {
      line(query.get());
    }
    if (!problems.isEmpty()) {
      return new Read(Optional.empty(), problems);
    }
    try {
      return new Read(Optional.of(new Strategy(lines)), List.of());
    } catch (IllegalArgumentException unusable) {
      problems.add(
          new Problem(
              Problem.Code.CQL_UNUSABLE,
              new Span(0, cql.length()),
              String.valueOf(unusable.getMessage())));
      return new Read(Optional.empty(), problems);
    }
  }

  /**
   * What is joined by <i>and</i> and <i>not</i> at the top are lines; an <i>or</i> keeps all before
   * it together.
   */
  private void line(Cql query) {
    if (query instanceof Cql.Joined joined && !joined.operator().equals("or")) {
      line(joined.left());
      add(joined.right(), joined.operator().equals("not"));
    } else {
      add(query, false);
    }
  }

  private void add(Cql part, boolean rulesOut) {
    List<Cql.Clause> clauses = part.clauses().toList();
    long limits = clauses.stream().filter(CqlLimits::isLimit).count();
    long held = clauses.stream().filter(c -> c.index().equals("held")).count();
    long all = clauses.stream().filter(CqlLimits::isAll).count();
    if (all == clauses.size() && !rulesOut) {
      return;
    }
    if (limits > 0 && limits + all == clauses.size()) {
      new CqlLimits(problems)
          .limit(part, rulesOut)
          .ifPresent(l -> lines.add(new Line.Limited(id(), l, false)));
    } else if (held > 0 && held == clauses.size()) {
      held(part, clauses, rulesOut);
    } else if (limits + held + all > 0) {
      problem(Problem.Code.CQL_MIXED_LINE, clauses.get(0));
    } else {
      words(part, clauses, rulesOut);
    }
  }

  private String id() {
    return Integer.toString(lines.size() + 1);
  }

  private void held(Cql part, List<Cql.Clause> clauses, boolean rulesOut) {
    if (!CqlLimits.onlyOr(part)) {
      problem(Problem.Code.CQL_MIXED_LINE, clauses.get(0));
      return;
    }
    try {
      lines.add(
          new Line.Held(id(), clauses.stream().map(Cql.Clause::term).toList(), rulesOut, false));
    } catch (IllegalArgumentException unusable) {
      problems.add(
          new Problem(
              Problem.Code.CQL_UNUSABLE,
              clauses.get(0).span(),
              String.valueOf(unusable.getMessage())));
    }
  }

  private void words(Cql part, List<Cql.Clause> clauses, boolean rulesOut) {
    Optional<Term> tree = new CqlTerms(problems).term(part);
    Set<Widening> widened = EnumSet.noneOf(Widening.class);
    for (Cql.Clause clause : clauses) {
      for (String modifier : clause.modifiers()) {
        Optional<Widening> widening = Widening.ofModifier(modifier);
        widening.ifPresent(widened::add);
        if (widening.isEmpty() && !modifier.equals("stem") && !CqlTerms.isHeading(clause)) {
          problems.add(
              new Problem(Problem.Code.CQL_NOT_SPOKEN, clause.relationAt(), "/" + modifier));
        }
      }
    }
    tree.ifPresent(
        term ->
            lines.add(
                new Line.Words(
                    id(), (rulesOut ? "not " : "") + Printer.print(term), false, widened)));
  }

  private void problem(Problem.Code code, Cql.Clause clause) {
    String found = clause.index().isEmpty() ? clause.term() : clause.index();
    problems.add(new Problem(code, clause.span(), found));
  }
}
