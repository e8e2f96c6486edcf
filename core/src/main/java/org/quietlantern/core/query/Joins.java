package org.quietlantern.core.query;

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
      case OR -> new Term.Or(List.of(left, right));
      case NOT -> new Term.Not(left, right);
      default -> new Term.And(List.of(left, right));
    };
  }
}
