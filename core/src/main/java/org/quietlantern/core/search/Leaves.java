package org.quietlantern.core.search;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Parsed;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;

/** The words, cut words and phrases of a strategy that can make a publication match. */
final class Leaves implements Term.Cases<Stream<Leaves.Leaf>> {
  /** {@code fields} is where it is searched; never empty. */
  record Leaf(Term term, List<Field> fields) {}

  private final List<Field> fields;

  private Leaves(List<Field> fields) {
    this.fields = fields;
  }

  static List<Leaf> of(Strategy strategy) {
    return strategy.inForce().stream().flatMap(Leaves::ofLine).distinct().toList();
  }

  private static Stream<Leaf> ofLine(Line line) {
    Parsed parsed = ((Line.Words) line).parsed();
    return parsed.rulesOut()
        ? Stream.empty()
        : parsed.tree().stream().flatMap(t -> t.match(new Leaves(IndexFields.DEFAULTS)));
  }

  /** A leaf as it was typed, quotation marks included. */
  static String typed(Term leaf) {
    if (leaf instanceof Term.Phrase phrase) {
      return phrase.parts().stream()
          .map(Leaves::typed)
          .collect(Collectors.joining(" ", "\"", "\""));
    }
    return leaf instanceof Term.Cut cut ? cut.typed() : ((Term.Word) leaf).text();
  }

  @Override
  public Stream<Leaf> word(Term.Word word) {
    return Stream.of(new Leaf(word, fields));
  }

  @Override
  public Stream<Leaf> cut(Term.Cut cut) {
    return Stream.of(new Leaf(cut, fields));
  }

  @Override
  public Stream<Leaf> phrase(Term.Phrase phrase) {
    return Stream.of(new Leaf(phrase, fields));
  }

  @Override
  public Stream<Leaf> and(Term.And and) {
    return and.parts().stream().flatMap(part -> part.match(this));
  }

  @Override
  public Stream<Leaf> or(Term.Or or) {
    return or.parts().stream().flatMap(part -> part.match(this));
  }

  @Override
  public Stream<Leaf> not(Term.Not not) {
    return not.left().match(this);
  }

  @Override
  public Stream<Leaf> in(Term.In in) {
    return in.term().match(new Leaves(in.fields()));
  }
}
