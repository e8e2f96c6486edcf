package org.quietlantern.core.search;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Printer;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;

/** A strategy without one of the words that are joined by <i>or</i>: it finds less, never more. */
public final class WithoutWord {
  private final String typed;

  private WithoutWord(String typed) {
    this.typed = typed;
  }

  /**
   * Without a word of a line, as {@link Explanation} names both; nothing where the word does not
   * stand there, where the line would have nothing left, or where it is not a line of words.
   */
  public static Optional<Strategy> of(Strategy strategy, String line, String typed) {
    return text(strategy, line, typed)
        .map(
            text ->
                new Strategy(
                    strategy.lines().stream()
                        .map(
                            each ->
                                each.id().equals(line) && each instanceof Line.Words words
                                    ? new Line.Words(
                                        line, text, words.off(), words.widened(), words.means())
                                    : each)
                        .toList()));
  }

  /** What the line says then. */
  public static Optional<String> text(Strategy strategy, String line, String typed) {
    return strategy.inForce().stream()
        .filter(each -> each.id().equals(line))
        .filter(Line.Words.class::isInstance)
        .map(Line.Words.class::cast)
        .filter(words -> !words.parsed().rulesOut())
        .flatMap(words -> words.parsed().tree().stream())
        .flatMap(
            tree ->
                new WithoutWord(typed)
                    .left(tree).filter(left -> !left.equals(tree)).map(Printer::print).stream())
        .findFirst();
  }

  /** What is left of a term; nothing where it finds by that word only. */
  private Optional<Term> left(Term term) {
    if (term.isLeaf()) {
      return MatchingTerms.typed(term).equals(typed) ? Optional.empty() : Optional.of(term);
    }
    if (term instanceof Term.Or or) {
      List<Term> parts = or.parts().stream().flatMap(part -> left(part).stream()).toList();
      return parts.isEmpty()
          ? Optional.empty()
          : Optional.of(parts.size() == 1 ? parts.get(0) : new Term.Or(parts));
    }
    if (term instanceof Term.And and) {
      List<Term> parts = and.parts().stream().flatMap(part -> left(part).stream()).toList();
      // What needs the word is not found any more.
      return parts.size() < and.parts().size()
          ? Optional.empty()
          : Optional.of(new Term.And(parts));
    }
    if (term instanceof Term.Not not) {
      return left(not.left()).map(left -> new Term.Not(left, not.right()));
    }
    Term.In in = (Term.In) term;
    return left(in.term()).map(inner -> new Term.In(in.fields(), inner));
  }
}
