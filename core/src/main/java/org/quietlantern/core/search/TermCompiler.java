package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Term;

/**
 * The tree of one line as a query. Unquoted words match by stem, quoted ones as written, cut words
 * by the words they cover in this catalogue.
 */
final class TermCompiler implements Term.Cases<Query> {
  /** Words that one cut word may cover. */
  static final int WIDEST = 2000;

  private final Lexicon lexicon;
  private final List<Field> fields;
  private final List<Problem> problems;
  private final Map<Term.Cut, Integer> covers;

  /** {@code fields} empty: the default ones, together. */
  TermCompiler(Lexicon lexicon, List<Field> fields) {
    this(lexicon, fields, new ArrayList<>(), new LinkedHashMap<>());
  }

  private TermCompiler(
      Lexicon lexicon, List<Field> fields, List<Problem> problems, Map<Term.Cut, Integer> covers) {
    this.lexicon = lexicon;
    this.fields = fields;
    this.problems = problems;
    this.covers = covers;
  }

  List<Problem> problems() {
    return problems;
  }

  /** Cut words with the number of words they cover in the fields they are searched in. */
  Map<Term.Cut, Integer> covers() {
    return covers;
  }

  @Override
  public Query word(Term.Word word) {
    return leaf(word, word.typed(), word.span());
  }

  @Override
  public Query cut(Term.Cut cut) {
    return leaf(cut, cut.typed(), cut.span());
  }

  @Override
  public Query phrase(Term.Phrase phrase) {
    return leaf(phrase, Leaves.typed(phrase).replace("\"", ""), phrase.span());
  }

  private Query leaf(Term term, String typed, Span span) {
    LeafCompiler leaf = new LeafCompiler(lexicon, term);
    List<Query> queries = new ArrayList<>();
    if (fields.isEmpty()) {
      queries.add(leaf.inText(IndexFields.ALL));
    }
    for (Field field : fields) {
      queries.add(IndexFields.isWhole(field) ? leaf.asWhole(field) : leaf.inText(field.word()));
    }
    leaf.covers().forEach((cut, words) -> covers.merge(cut, words, Math::max));
    leaf.tooWide().ifPresent(wide -> problems.add(wide));
    leaf.unreadable().ifPresent(code -> problems.add(new Problem(code, span, typed)));
    if (!leaf.isMet() && leaf.tooWide().isEmpty() && leaf.unreadable().isEmpty()) {
      problems.add(new Problem(Problem.Code.MATCHES_NOTHING, span, typed));
    }
    return joined(queries, Occur.SHOULD);
  }

  @Override
  public Query and(Term.And and) {
    return joined(and.parts().stream().map(p -> p.match(this)).toList(), Occur.MUST);
  }

  @Override
  public Query or(Term.Or or) {
    return joined(or.parts().stream().map(p -> p.match(this)).toList(), Occur.SHOULD);
  }

  @Override
  public Query not(Term.Not not) {
    return new BooleanQuery.Builder()
        .add(not.left().match(this), Occur.MUST)
        .add(not.right().match(this), Occur.MUST_NOT)
        .build();
  }

  @Override
  public Query in(Term.In in) {
    return in.term().match(new TermCompiler(lexicon, in.fields(), problems, covers));
  }

  static Query joined(List<Query> queries, Occur occur) {
    if (queries.size() == 1) {
      return queries.get(0);
    }
    BooleanQuery.Builder all = new BooleanQuery.Builder();
    queries.forEach(query -> all.add(query, occur));
    return all.build();
  }
}
