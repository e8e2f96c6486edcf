package org.quietlantern.core.search;

import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.search.analysis.Analysis;
import org.quietlantern.core.search.analysis.Patterns;
import org.quietlantern.core.search.analysis.TokenPositions;

/**
 * Whether one publication is met by a tree of words, found out by reading its title and abstract;
 * shares only the tokenizer with the engine.
 */
record Reading(List<TokenPositions> stemmed, List<TokenPositions> exact)
    implements Term.Cases<Boolean> {
  Reading(Publication publication) {
    this(
        of(Analysis.STEMMED, publication.title(), publication.abstractText()),
        of(Analysis.EXACT, publication.title(), publication.abstractText()));
  }

  private static List<TokenPositions> of(Analysis analysis, String... texts) {
    return Arrays.stream(texts).map(t -> TokenPositions.of(analysis, t)).toList();
  }

  @Override
  public Boolean word(Term.Word word) {
    return meets(word, Analysis.STEMMED, stemmed);
  }

  @Override
  public Boolean cut(Term.Cut cut) {
    return meets(cut, Analysis.EXACT, exact);
  }

  @Override
  public Boolean phrase(Term.Phrase phrase) {
    return meets(phrase, Analysis.EXACT, exact);
  }

  private static boolean meets(Term term, Analysis analysis, List<TokenPositions> texts) {
    return Patterns.of(term, analysis).stream()
        .map(slots -> slots.stream().map(Reading::pattern).toList())
        .anyMatch(row -> texts.stream().anyMatch(text -> text.find(row).findAny().isPresent()));
  }

  private static Predicate<String> pattern(Patterns.Slot slot) {
    return Pattern.compile(slot.cut() ? Lexicon.asRegex(slot.word()) : Pattern.quote(slot.word()))
        .asMatchPredicate();
  }

  @Override
  public Boolean and(Term.And and) {
    return and.parts().stream().allMatch(part -> part.match(this));
  }

  @Override
  public Boolean or(Term.Or or) {
    return or.parts().stream().anyMatch(part -> part.match(this));
  }

  @Override
  public Boolean not(Term.Not not) {
    return not.left().match(this) && !not.right().match(this);
  }

  /** Headings are not read from texts. */
  @Override
  public Boolean heading(Term.Heading heading) {
    throw new IllegalStateException("not in these tests");
  }

  /** In these tests fields are always the title alone. */
  @Override
  public Boolean in(Term.In in) {
    return in.term().match(new Reading(stemmed.subList(0, 1), exact.subList(0, 1)));
  }
}
