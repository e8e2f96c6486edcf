package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.search.analysis.Analysis;
import org.quietlantern.core.search.analysis.Patterns;
import org.quietlantern.core.search.analysis.TokenPositions;

/** Finds the words of a strategy in shown text, by the same analysis that the index uses. */
public final class Highlighter {
  private final List<Sought> sought;

  /** A word, cut word or phrase, ready to be looked for: ways to be met, as tests in a row. */
  private record Sought(List<Field> fields, boolean stemmed, List<List<Predicate<String>>> ways) {

    static Sought of(MatchingTerms.Leaf leaf) {
      boolean stemmed = leaf.term() instanceof Term.Word;
      List<List<Predicate<String>>> ways =
          Patterns.of(leaf.term(), stemmed ? Analysis.STEMMED : Analysis.EXACT).stream()
              .filter(slots -> !slots.isEmpty())
              .map(slots -> slots.stream().map(Sought::test).toList())
              .toList();
      return new Sought(leaf.fields(), stemmed, ways);
    }

    private static Predicate<String> test(Patterns.Slot slot) {
      return slot.cut()
          ? Pattern.compile(Lexicon.asRegex(slot.word())).asMatchPredicate()
          : slot.word()::equals;
    }

    Stream<Span> in(TokenPositions places) {
      return ways.stream().flatMap(places::find);
    }
  }

  public Highlighter(Strategy strategy, Library library) {
    this.sought =
        MatchingTerms.of(strategy, library).stream()
            .filter(leaf -> !(leaf.term() instanceof Term.Heading))
            .map(Sought::of)
            .toList();
  }

  /** Where matched words stand in the text of a field: sorted, not overlapping. */
  public List<Span> lit(Field field, String text) {
    return lit(s -> s.fields().contains(field), text);
  }

  /** The same inside a text: of words that are looked for there, or that may be by a widening. */
  public List<Span> litInside(String text) {
    return lit(
        s -> s.fields().contains(Field.TEXT) || s.fields().equals(IndexFields.DEFAULTS), text);
  }

  private List<Span> lit(Predicate<Sought> which, String text) {
    List<Sought> here = sought.stream().filter(which).toList();
    List<Span> spans = new ArrayList<>();
    for (boolean stemmed : new boolean[] {true, false}) {
      List<Sought> alike = here.stream().filter(s -> s.stemmed() == stemmed).toList();
      if (!alike.isEmpty()) {
        TokenPositions places =
            TokenPositions.of(stemmed ? Analysis.STEMMED : Analysis.EXACT, text);
        alike.forEach(s -> s.in(places).forEach(spans::add));
      }
    }
    spans.sort(Comparator.comparingInt(Span::start).thenComparingInt(Span::end));
    return merged(spans);
  }

  /** Fields of a publication in which its words are met. */
  public List<Field> metIn(Publication publication) {
    Map<Field, List<String>> texts = new EnumMap<>(Field.class);
    texts.put(Field.TITLE, List.of(publication.title()));
    texts.put(Field.ABSTRACT, List.of(publication.abstractText()));
    texts.put(Field.HEADING, publication.headings().stream().map(HeadingUse::label).toList());
    texts.put(Field.KEYWORD, publication.keywords());
    texts.put(
        Field.AUTHOR,
        Stream.concat(
                publication.authors().stream().map(PersonName::spoken),
                Contributor.orcids(publication.contributors()).stream())
            .toList());
    texts.put(Field.JOURNAL, List.of(publication.host().title()));
    return texts.entrySet().stream()
        .filter(e -> e.getValue().stream().anyMatch(text -> !lit(e.getKey(), text).isEmpty()))
        .map(Map.Entry::getKey)
        .toList();
  }

  private static List<Span> merged(List<Span> sorted) {
    List<Span> merged = new ArrayList<>();
    for (Span span : sorted) {
      Span last = merged.isEmpty() ? null : merged.get(merged.size() - 1);
      if (last != null && span.start() <= last.end()) {
        merged.set(merged.size() - 1, last.upTo(span));
      } else {
        merged.add(span);
      }
    }
    return merged;
  }
}
