package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;

/** Finds the words of a strategy in shown text, by the same analysis that the index uses. */
public final class Lighter {
  private final List<Leaves.Leaf> leaves;

  public Lighter(Strategy strategy) {
    this.leaves = Leaves.of(strategy);
  }

  /** Where matched words stand in the text of a field: sorted, not overlapping. */
  public List<Span> lit(Field field, String text) {
    Places exact = Places.of(Analysis.EXACT, text);
    Places stemmed = Places.of(Analysis.STEMMED, text);
    List<Span> spans =
        leaves.stream()
            .filter(leaf -> leaf.fields().contains(field))
            .flatMap(
                leaf ->
                    leaf.term() instanceof Term.Word
                        ? met(leaf.term(), Analysis.STEMMED, stemmed)
                        : met(leaf.term(), Analysis.EXACT, exact))
            .sorted(Comparator.comparingInt(Span::start).thenComparingInt(Span::end))
            .toList();
    return merged(spans);
  }

  private static Stream<Span> met(Term leaf, Analysis analysis, Places places) {
    return Patterns.of(leaf, analysis).stream()
        .filter(slots -> !slots.isEmpty())
        .flatMap(
            slots ->
                places.find(slots.stream().map(slot -> Pattern.compile(regex(slot))).toList()));
  }

  private static String regex(Patterns.Slot slot) {
    return slot.cut() ? Lexicon.asRegex(slot.word()) : Pattern.quote(slot.word());
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
