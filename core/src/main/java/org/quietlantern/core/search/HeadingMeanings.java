package org.quietlantern.core.search;

import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Fold;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.vocabulary.Headings;

/**
 * Keeps with a strategy what the names of headings in it mean, so that it finds the same when a
 * name is given to another heading (rule H4). Words outside the field of headings are words,
 * whatever they are the name of.
 */
public final class HeadingMeanings implements Term.Cases<Stream<String>> {
  private final boolean amongHeadings;

  private HeadingMeanings(boolean amongHeadings) {
    this.amongHeadings = amongHeadings;
  }

  /** The strategy with the meanings that its names had before, or have among some headings. */
  public static Strategy keep(Strategy strategy, Headings headings) {
    return new Strategy(
        strategy.lines().stream()
            .map(line -> line instanceof Line.Words words ? keep(words, headings) : line)
            .toList());
  }

  /** What is not in the text any more is not kept. */
  private static Line keep(Line.Words line, Headings headings) {
    Headings before = headings.meaning(line.means());
    Map<String, String> means = new TreeMap<>();
    line.parsed().tree().stream()
        .flatMap(tree -> tree.match(new HeadingMeanings(false)))
        .forEach(
            name ->
                before
                    .find(name)
                    .ifPresent(named -> means.put(Fold.letters(name), named.heading().uri())));
    return line.meaning(means);
  }

  private Stream<String> name(String typed) {
    return amongHeadings ? Stream.of(typed) : Stream.empty();
  }

  @Override
  public Stream<String> word(Term.Word word) {
    return name(word.typed());
  }

  @Override
  public Stream<String> cut(Term.Cut cut) {
    return Stream.empty();
  }

  @Override
  public Stream<String> phrase(Term.Phrase phrase) {
    return name(MatchingTerms.unquoted(phrase));
  }

  @Override
  public Stream<String> heading(Term.Heading heading) {
    return Stream.of(heading.name());
  }

  @Override
  public Stream<String> and(Term.And and) {
    return and.parts().stream().flatMap(part -> part.match(this));
  }

  @Override
  public Stream<String> or(Term.Or or) {
    return or.parts().stream().flatMap(part -> part.match(this));
  }

  @Override
  public Stream<String> not(Term.Not not) {
    return Stream.concat(not.left().match(this), not.right().match(this));
  }

  @Override
  public Stream<String> in(Term.In in) {
    return in.term().match(new HeadingMeanings(in.fields().contains(Field.HEADING)));
  }
}
