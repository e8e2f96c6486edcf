package org.quietlantern.core.search.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.quietlantern.core.query.Span;

/** The words of a text by position; a position may hold a word and a joined form. */
public record TokenPositions(List<List<Analysis.Found>> places) {

  public static TokenPositions of(Analysis analysis, String text) {
    List<List<Analysis.Found>> places = new ArrayList<>();
    for (Analysis.Found found : analysis.words(text)) {
      if (found.step() > 0) {
        places.add(new ArrayList<>());
      }
      places.get(places.size() - 1).add(found);
    }
    return new TokenPositions(places);
  }

  /** Everywhere that words in a row fit the tests in a row. */
  public Stream<Span> find(List<Predicate<String>> row) {
    return IntStream.rangeClosed(0, places.size() - row.size())
        .mapToObj(start -> at(start, row))
        .flatMap(Optional::stream);
  }

  private Optional<Span> at(int start, List<Predicate<String>> row) {
    Optional<Span> whole = Optional.empty();
    for (int i = 0; i < row.size(); i++) {
      Predicate<String> test = row.get(i);
      Optional<Span> word =
          places.get(start + i).stream()
              .filter(found -> test.test(found.word()))
              .findFirst()
              .map(found -> new Span(found.start(), found.end()));
      if (word.isEmpty()) {
        return word;
      }
      whole = Optional.of(whole.map(w -> w.upTo(word.get())).orElse(word.get()));
    }
    return whole;
  }
}
