package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.search.analysis.Analysis;
import org.quietlantern.core.search.analysis.Variants;
import org.quietlantern.core.vocabulary.Headings;

/**
 * Adds to each word of a tree its irregular forms and spelling variants, as far as the catalogue
 * has them (rules M5 to M7): {@code colour} becomes {@code (colour or color)}, {@code skyglow}
 * {@code (skyglow or "sky glow")}, and the other way round.
 */
final class Widener extends Rewriting {
  private Widener(Lexicon lexicon) {
    super(lexicon);
  }

  /** A tree with all widenings of its line. */
  static Term widen(Term tree, Set<Widening> by, Headings headings, Lexicon lexicon) {
    Term wide = HeadingWidener.widen(tree, by, headings, lexicon);
    return by.contains(Widening.VARIANTS) ? wide.match(new Widener(lexicon)) : wide;
  }

  /** What one word or phrase can be met as besides itself. */
  static List<Term> variants(Term leaf, Lexicon lexicon) {
    Widener widener = new Widener(lexicon);
    if (leaf instanceof Term.Word word) {
      return widener.ofWord(word);
    }
    return leaf instanceof Term.Phrase phrase ? widener.ofPhrase(phrase) : List.of();
  }

  @Override
  public Term word(Term.Word word) {
    return or(word, ofWord(word));
  }

  private List<Term> ofWord(Term.Word word) {
    List<String> folded = folded(word.text());
    if (folded.size() != 1) {
      return List.of();
    }
    List<Term> others = new ArrayList<>();
    String stem = stem(folded.get(0));
    Variants.of(folded.get(0)).stream()
        .filter(variant -> !stem(variant).equals(stem) && knows(variant))
        .forEach(variant -> others.add(new Term.Word(variant, word.span())));
    for (String[] pair : Variants.apart(folded.get(0))) {
      if (knows(pair[0]) && knows(pair[1]) && lexicon().hasPhrase(pair[0], pair[1])) {
        others.add(phrase(word.span(), pair));
      }
    }
    return others;
  }

  @Override
  public Term phrase(Term.Phrase phrase) {
    return or(phrase, ofPhrase(phrase));
  }

  private List<Term> ofPhrase(Term.Phrase phrase) {
    if (phrase.parts().size() != 2) {
      return List.of();
    }
    return joined(phrase.parts().get(0), phrase.parts().get(1), phrase.span()).toList();
  }

  private Stream<Term> joined(Term left, Term right, Span span) {
    if (!(left instanceof Term.Word one && right instanceof Term.Word other)) {
      return Stream.empty();
    }
    String joined = String.join("", folded(one.text())) + String.join("", folded(other.text()));
    return knows(joined) ? Stream.of(new Term.Word(joined, span)) : Stream.empty();
  }

  /** Neighbours may be one word elsewhere: {@code sky glow} is met as {@code skyglow}, too. */
  @Override
  public Term and(Term.And and) {
    List<Term> parts = and.parts();
    Term all = new Term.And(each(parts));
    List<Term> ways = new ArrayList<>(List.of(all));
    for (int i = 0; i + 1 < parts.size(); i++) {
      int at = i;
      joined(parts.get(i), parts.get(i + 1), span(parts.get(i)))
          .forEach(joined -> ways.add(with(parts, at, joined)));
    }
    return ways.size() == 1 ? all : new Term.Or(ways);
  }

  private Term with(List<Term> parts, int at, Term joined) {
    List<Term> rest = new ArrayList<>();
    rest.add(joined);
    for (int i = 0; i < parts.size(); i++) {
      if (i != at && i != at + 1) {
        rest.add(parts.get(i).match(this));
      }
    }
    return rest.size() == 1 ? joined : new Term.And(rest);
  }

  private static Span span(Term leaf) {
    return leaf instanceof Term.Word word ? word.span() : new Span(0, 0);
  }

  private static Term phrase(Span span, String[] words) {
    return new Term.Phrase(
        Stream.of(words).map(word -> (Term) new Term.Word(word, span)).toList(), span);
  }

  private static String stem(String word) {
    List<Analysis.Found> stems = Analysis.STEMMED.words(word);
    return stems.isEmpty() ? "" : stems.get(0).word();
  }
}
