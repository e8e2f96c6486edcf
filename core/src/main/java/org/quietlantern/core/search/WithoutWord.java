package org.quietlantern.core.search;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Parsed;
import org.quietlantern.core.query.Printer;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;

/**
 * A strategy without one of the words that are joined by <i>or</i>: it finds less, never more.
 *
 * @param says what the line of that word says then
 */
public record WithoutWord(Strategy strategy, String says) {
  /**
   * Without a word of a line, as {@link Explanation} names both; nothing where the word does not
   * stand there, where the line would have nothing left, or where it is not a line of words.
   */
  public static Optional<WithoutWord> of(Strategy strategy, String line, String typed) {
    return strategy.inForce().stream()
        .filter(each -> each.id().equals(line))
        .filter(Line.Words.class::isInstance)
        .map(Line.Words.class::cast)
        .findFirst()
        .flatMap(words -> said(words, typed).map(says -> of(strategy, words, says)));
  }

  private static WithoutWord of(Strategy strategy, Line.Words words, String says) {
    Line next = new Line.Words(words.id(), says, words.off(), words.widened(), words.means());
    return new WithoutWord(
        new Strategy(
            strategy.lines().stream()
                .map(line -> line.id().equals(words.id()) ? next : line)
                .toList()),
        says);
  }

  private static Optional<String> said(Line.Words words, String typed) {
    Parsed parsed = words.parsed();
    return parsed.rulesOut()
        ? Optional.empty()
        : parsed
            .tree()
            .flatMap(tree -> left(tree, typed).filter(left -> !left.equals(tree)))
            .map(Printer::print);
  }

  /** What is left of a term; nothing where it finds by that word only. */
  private static Optional<Term> left(Term term, String typed) {
    if (term.isLeaf()) {
      return MatchingTerms.typed(term).equals(typed) ? Optional.empty() : Optional.of(term);
    }
    if (term instanceof Term.Or or) {
      List<Term> parts = or.parts().stream().flatMap(part -> left(part, typed).stream()).toList();
      return parts.isEmpty()
          ? Optional.empty()
          : Optional.of(parts.size() == 1 ? parts.get(0) : new Term.Or(parts));
    }
    if (term instanceof Term.And and) {
      List<Term> parts = and.parts().stream().flatMap(part -> left(part, typed).stream()).toList();
      // What needs the word is not found any more.
      return parts.size() < and.parts().size()
          ? Optional.empty()
          : Optional.of(new Term.And(parts));
    }
    if (term instanceof Term.Not not) {
      return left(not.left(), typed).map(left -> new Term.Not(left, not.right()));
    }
    Term.In in = (Term.In) term;
    return left(in.term(), typed).map(inner -> new Term.In(in.fields(), inner));
  }
}
