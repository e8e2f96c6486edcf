package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Fold;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;

/**
 * Adds to headings, and to words that name one, its other names, the headings below it and those
 * beside it, as far as the catalogue has them (rule M6). A name is searched as words where the word
 * stood; a heading as a heading, which no other field than that of headings holds.
 */
final class HeadingWidener extends Rewriting {
  private final Headings headings;
  private final Set<Widening> by;

  /** Whether headings are met in the fields that are searched here. */
  private final boolean inHeadings;

  private HeadingWidener(Headings headings, Set<Widening> by, Lexicon lexicon, boolean inHeadings) {
    super(lexicon);
    this.headings = headings;
    this.by = by;
    this.inHeadings = inHeadings;
  }

  static Term widen(Term tree, Set<Widening> by, Headings headings, Lexicon lexicon) {
    boolean any =
        by.contains(Widening.NAMES)
            || by.contains(Widening.NARROWER)
            || by.contains(Widening.RELATED);
    return any ? tree.match(new HeadingWidener(headings, by, lexicon, true)) : tree;
  }

  @Override
  public Term heading(Term.Heading heading) {
    return headings
        .find(heading.name())
        .map(named -> or(heading, besides(named.heading(), heading, heading.name())))
        .orElse(heading);
  }

  @Override
  public Term word(Term.Word word) {
    return named(word, word.text(), word.span());
  }

  @Override
  public Term phrase(Term.Phrase phrase) {
    return named(phrase, MatchingTerms.typed(phrase).replace("\"", ""), phrase.span());
  }

  /** Neighbouring words may name a heading together. */
  @Override
  public Term and(Term.And and) {
    Term each = super.and(and);
    boolean words = and.parts().stream().allMatch(Term.Word.class::isInstance);
    if (!words) {
      return each;
    }
    String name = and.parts().stream().map(MatchingTerms::typed).collect(Collectors.joining(" "));
    return named(each, name, ((Term.Word) and.parts().get(0)).span());
  }

  private Term named(Term term, String name, Span span) {
    Optional<Headings.Named> named = headings.find(name);
    return named
        .map(
            found -> {
              Term.Heading plain =
                  new Term.Heading(found.heading().label(), false, false, List.of(), span);
              return or(term, besides(found.heading(), plain, name));
            })
        .orElse(term);
  }

  /**
   * What is added.
   *
   * @param asked how the heading is asked for; what is added is asked for like it
   * @param typed the name that is searched already
   */
  private List<Term> besides(Concept heading, Term.Heading asked, String typed) {
    Span span = asked.span();
    List<Term> others = new ArrayList<>();
    if (by.contains(Widening.NAMES)) {
      names(heading, typed).forEach(name -> others.add(words(name, span)));
    }
    if (inHeadings && by.contains(Widening.NARROWER) && !asked.narrower()) {
      add(others, new Term.Heading(heading.label(), true, asked.central(), asked.aspects(), span));
    }
    if (inHeadings && by.contains(Widening.RELATED)) {
      for (Concept beside : headings.related(heading)) {
        add(
            others,
            new Term.Heading(
                beside.label(), asked.narrower(), asked.central(), asked.aspects(), span));
      }
    }
    return others;
  }

  /** If anything carries it. */
  private void add(List<Term> others, Term.Heading asked) {
    Set<String> uris =
        headings
            .find(asked.name())
            .map(named -> headings.reach(named.heading(), asked.narrower()))
            .orElse(Set.of());
    if (HeadingUses.sought(uris, asked).stream()
        .anyMatch(word -> lexicon().knows(IndexFields.HEADING_USE, word))) {
      others.add(asked);
    }
  }

  /** All names but the one that is searched already, of which every word is somewhere. */
  private Stream<String> names(Concept heading, String typed) {
    String own = Fold.letters(typed);
    return Stream.concat(Stream.of(heading.label()), heading.names().stream())
        .filter(name -> !Fold.letters(name).equals(own))
        .filter(name -> folded(name).stream().allMatch(this::knows))
        .distinct();
  }

  private static Term words(String name, Span span) {
    List<Term> words =
        Arrays.stream(name.strip().split("\\s+"))
            .map(word -> (Term) new Term.Word(escaped(word), span))
            .toList();
    return words.size() == 1 ? words.get(0) : new Term.Phrase(words, span);
  }

  private static String escaped(String word) {
    return word.replace("*", "\\*").replace("?", "\\?");
  }

  @Override
  public Term in(Term.In in) {
    boolean here = in.fields().contains(Field.HEADING);
    return new Term.In(
        in.fields(), in.term().match(new HeadingWidener(headings, by, lexicon(), here)));
  }
}
