package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.List;

/** Joins from left to right, and notices where <i>and</i> and <i>or</i> stand without brackets. */
final class Joins {
  private boolean and;
  private boolean or;
  private boolean told;

  /** True the first time that the joining words of one bracket level differ. */
  boolean mixes(Token.Kind operator) {
    and |= operator != Token.Kind.OR;
    or |= operator == Token.Kind.OR;
    boolean tell = and && or && !told;
    told |= tell;
    return tell;
  }

  static Term join(Term left, Token.Kind operator, Term right) {
    return switch (operator) {
      case OR ->
          new Term.Or(left instanceof Term.Or or ? with(or.parts(), right) : List.of(left, right));
      case NOT -> new Term.Not(left, right);
      default ->
          new Term.And(
              left instanceof Term.And and ? with(and.parts(), right) : List.of(left, right));
    };
  }

  private static List<Term> with(List<Term> parts, Term last) {
    List<Term> all = new ArrayList<>(parts);
    all.add(last);
    return all;
  }
}
