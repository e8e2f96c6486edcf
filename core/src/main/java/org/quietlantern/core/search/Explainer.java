package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.lucene.search.Query;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.vocabulary.Headings;
import org.roaringbitmap.RoaringBitmap;

/** Says of one publication by which words of a strategy it was met, and in which fields. */
public final class Explainer {
  private final Snapshot snapshot;
  private final Library library;
  private final Headings headings;
  private final InsideTexts texts;

  public Explainer(Snapshot snapshot, Library library, Headings headings, InsideTexts texts) {
    this.snapshot = snapshot;
    this.library = library;
    this.headings = headings;
    this.texts = texts;
  }

  /** In the order of the strategy's lines; limits are no reasons. {@code id}: its row number. */
  public List<Explanation> of(Strategy strategy, int id) {
    return of(strategy, RoaringBitmap.bitmapOf(id)).get(id);
  }

  /** The same of several publications, by row number. */
  public Map<Integer, List<Explanation>> of(Strategy strategy, RoaringBitmap ids) {
    Map<Integer, List<Explanation>> reasons = new HashMap<>();
    ids.forEach((int id) -> reasons.put(id, new ArrayList<>()));
    Candidates candidates = snapshot.candidates(ids);
    Lexicon lexicon = snapshot.state().lexicon();
    MatchingTerms.Trees widened =
        (line, typed) ->
            Widener.widen(typed, line.widened(), headings.meaning(line.means()), lexicon);
    for (MatchingTerms.Leaf leaf : MatchingTerms.of(strategy, library, widened)) {
      Map<Integer, List<Field>> met = new HashMap<>();
      tried(strategy, leaf)
          .forEach(
              field ->
                  candidates
                      .matching(query(leaf, field))
                      .forEach(
                          (int id) ->
                              met.computeIfAbsent(id, one -> new ArrayList<>()).add(field)));
      met.forEach(
          (id, fields) ->
              reasons
                  .get(id)
                  .add(new Explanation(leaf.line(), MatchingTerms.typed(leaf.term()), fields)));
    }
    return reasons;
  }

  /** Where it is searched; inside texts, too, where its line is widened so. */
  private static Stream<Field> tried(Strategy strategy, MatchingTerms.Leaf leaf) {
    boolean widens =
        leaf.fields().equals(IndexFields.DEFAULTS)
            && strategy.lines().stream()
                .anyMatch(
                    line ->
                        line.id().equals(leaf.line())
                            && line instanceof Line.Words words
                            && words.widened().contains(Widening.TEXT));
    return Stream.concat(leaf.fields().stream(), widens ? Stream.of(Field.TEXT) : Stream.empty());
  }

  private Query query(MatchingTerms.Leaf leaf, Field field) {
    Headings meant = headings.meaning(leaf.means());
    return leaf.term()
        .match(new TermCompiler(snapshot.state().lexicon(), meant, texts, false, List.of(field)));
  }
}
