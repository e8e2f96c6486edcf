package org.quietlantern.core.search;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Parsed;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;

/** The words, cut words and phrases of a strategy that can make a publication match. */
final class MatchingTerms implements Term.Cases<Stream<MatchingTerms.Leaf>> {
  /**
   * {@code fields} is where it is searched; never empty. {@code means}: names of headings in its
   * line that mean what they meant before.
   */
  record Leaf(String line, Term term, List<Field> fields, Map<String, String> means) {}

  /** Strategies inside strategies. */
  private static final int DEEPEST = 10;

  /** What is searched of a line of words: its tree, widened or as it was typed. */
  interface Trees {
    Term of(Line.Words line, Term typed);
  }

  private final String line;
  private final List<Field> fields;
  private final Map<String, String> means;

  private MatchingTerms(String line, List<Field> fields, Map<String, String> means) {
    this.line = line;
    this.fields = fields;
    this.means = means;
  }

  /** Of the lines in force that find something; those of held strategies under their line. */
  static List<Leaf> of(Strategy strategy, Library library) {
    return of(strategy, library, (line, typed) -> typed);
  }

  /** The same with what widening adds, as {@code trees} says. */
  static List<Leaf> of(Strategy strategy, Library library, Trees trees) {
    return strategy.inForce().stream()
        .flatMap(line -> ofLine(line.id(), line, library, trees, new HashSet<>(), DEEPEST))
        .distinct()
        .toList();
  }

  /** Every word of a line, whether it finds or rules out. */
  static List<Leaf> ofWords(Line.Words line) {
    return line.parsed().tree().stream()
        .flatMap(
            tree -> tree.match(new MatchingTerms(line.id(), IndexFields.DEFAULTS, line.means())))
        .filter(leaf -> !(leaf.term() instanceof Term.Heading))
        .distinct()
        .toList();
  }

  static Span span(Term leaf) {
    return leaf instanceof Term.Phrase phrase
        ? phrase.span()
        : leaf instanceof Term.Cut cut ? cut.span() : ((Term.Word) leaf).span();
  }

  /**
   * {@code seen}: what the line holds and was gone through already; naming it again adds nothing.
   */
  private static Stream<Leaf> ofLine(
      String as, Line line, Library library, Trees trees, Set<String> seen, int deep) {
    if (line instanceof Line.Words words) {
      Parsed parsed = words.parsed();
      return parsed.rulesOut()
          ? Stream.empty()
          : parsed.tree().stream()
              .map(tree -> trees.of(words, tree))
              .flatMap(
                  tree -> tree.match(new MatchingTerms(as, IndexFields.DEFAULTS, words.means())));
    }
    if (line instanceof Line.Held held && !held.rulesOut() && deep > 0) {
      return held.strategies().stream()
          .filter(seen::add)
          .flatMap(name -> library.find(name).stream())
          .flatMap(strategy -> strategy.inForce().stream())
          .flatMap(inner -> ofLine(as, inner, library, trees, seen, deep - 1));
    }
    return Stream.empty();
  }

  /** A leaf as it was typed, quotation marks included. */
  static String typed(Term leaf) {
    if (leaf instanceof Term.Heading heading) {
      return heading.name() + (heading.narrower() ? " or one below it" : "");
    }
    if (leaf instanceof Term.Phrase phrase) {
      return phrase.parts().stream()
          .map(MatchingTerms::typed)
          .collect(Collectors.joining(" ", "\"", "\""));
    }
    return leaf instanceof Term.Cut cut ? cut.typed() : ((Term.Word) leaf).text();
  }

  /** The same without quotation marks, as a name of something. */
  static String unquoted(Term leaf) {
    return typed(leaf).replace("\"", "");
  }

  @Override
  public Stream<Leaf> word(Term.Word word) {
    return Stream.of(new Leaf(line, word, fields, means));
  }

  @Override
  public Stream<Leaf> cut(Term.Cut cut) {
    return Stream.of(new Leaf(line, cut, fields, means));
  }

  @Override
  public Stream<Leaf> phrase(Term.Phrase phrase) {
    return Stream.of(new Leaf(line, phrase, fields, means));
  }

  @Override
  public Stream<Leaf> heading(Term.Heading heading) {
    return Stream.of(new Leaf(line, heading, List.of(Field.HEADING), means));
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
    return in.term().match(new MatchingTerms(line, in.fields(), means));
  }
}
