package org.quietlantern.core.search;

import java.util.List;
import java.util.stream.Stream;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.search.analysis.Analysis;

/**
 * Makes a tree out of another one: leaves stay as they are and branches are gone through, unless a
 * rewriting says otherwise.
 */
abstract class Rewriting implements Term.Cases<Term> {
  private final Lexicon lexicon;

  Rewriting(Lexicon lexicon) {
    this.lexicon = lexicon;
  }

  Lexicon lexicon() {
    return lexicon;
  }

  /** Whether a folded word stands in any publication. */
  boolean knows(String word) {
    return lexicon.knows(IndexFields.exact(IndexFields.ALL), word);
  }

  static List<String> folded(String text) {
    return Analysis.EXACT.words(text).stream().map(Analysis.Found::word).toList();
  }

  /** The term, or any of the others; the term alone where there are none. */
  static Term or(Term term, List<Term> others) {
    return others.isEmpty()
        ? term
        : new Term.Or(Stream.concat(Stream.of(term), others.stream()).toList());
  }

  /** Each of them rewritten. */
  List<Term> each(List<Term> parts) {
    return parts.stream().map(part -> part.match(this)).toList();
  }

  @Override
  public Term word(Term.Word word) {
    return word;
  }

  @Override
  public Term cut(Term.Cut cut) {
    return cut;
  }

  @Override
  public Term phrase(Term.Phrase phrase) {
    return phrase;
  }

  @Override
  public Term heading(Term.Heading heading) {
    return heading;
  }

  @Override
  public Term and(Term.And and) {
    return new Term.And(each(and.parts()));
  }

  @Override
  public Term or(Term.Or or) {
    return new Term.Or(each(or.parts()));
  }

  @Override
  public Term not(Term.Not not) {
    return new Term.Not(not.left().match(this), not.right().match(this));
  }

  @Override
  public Term in(Term.In in) {
    return new Term.In(in.fields(), in.term().match(this));
  }
}
