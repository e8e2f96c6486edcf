package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.apache.lucene.search.Query;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.vocabulary.Headings;

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
    List<Explanation> reasons = new ArrayList<>();
    Lexicon lexicon = new Lexicon(snapshot.reader());
    MatchingTerms.Trees widened =
        (line, typed) ->
            Widener.widen(typed, line.widened(), headings.meaning(line.means()), lexicon);
    for (MatchingTerms.Leaf leaf : MatchingTerms.of(strategy, library, widened)) {
      List<Field> fields = tried(strategy, leaf).filter(field -> meets(leaf, field, id)).toList();
      if (!fields.isEmpty()) {
        reasons.add(new Explanation(leaf.line(), MatchingTerms.typed(leaf.term()), fields));
      }
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

  private boolean meets(MatchingTerms.Leaf leaf, Field field, int id) {
    Headings meant = headings.meaning(leaf.means());
    Query query =
        leaf.term()
            .match(
                new TermCompiler(
                    new Lexicon(snapshot.reader()), meant, texts, false, List.of(field)));
    return !(query instanceof MatchNoDocsQuery)
        && snapshot.count(
                new BooleanQuery.Builder()
                    .add(query, Occur.FILTER)
                    .add(IntPoint.newExactQuery(IndexFields.ID, id), Occur.FILTER)
                    .build())
            > 0;
  }
}
