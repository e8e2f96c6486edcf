package org.quietlantern.core.query;

import java.util.List;
import java.util.stream.Stream;

/** A query in CQL as a tree, before it is known what its indexes mean. */
sealed interface Cql {
  /** One condition. {@code index} is empty where only a term was given. */
  record Clause(
      String index,
      String relation,
      List<String> modifiers,
      String term,
      Span span,
      Span relationAt,
      Span termAt)
      implements Cql {
    public Clause {
      modifiers = List.copyOf(modifiers);
    }

    @Override
    public Stream<Clause> clauses() {
      return Stream.of(this);
    }
  }

  /** {@code operator}: and, or, not. */
  record Joined(String operator, Cql left, Cql right) implements Cql {
    @Override
    public Stream<Clause> clauses() {
      return Stream.concat(left.clauses(), right.clauses());
    }
  }

  /** Something in brackets. */
  record Bracket(Cql inside) implements Cql {
    @Override
    public Stream<Clause> clauses() {
      return inside.clauses();
    }

    @Override
    public Cql bare() {
      return inside.bare();
    }
  }

  Stream<Clause> clauses();

  /** Without brackets around it. */
  default Cql bare() {
    return this;
  }
}
