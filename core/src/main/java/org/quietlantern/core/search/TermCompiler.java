package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.apache.lucene.search.Query;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;

/**
 * The tree of one line as a query. Unquoted words match by stem, quoted ones as written, cut words
 * by the words they cover in this catalogue.
 */
final class TermCompiler implements Term.Cases<Query> {
  /** Words that one cut word may cover. */
  static final int WIDEST = 2000;

  private final Lexicon lexicon;
  private final Headings headings;
  private final InsideTexts texts;
  private final boolean widens;
  private final List<Field> fields;
  private final List<Problem> problems;
  private final Map<Term.Cut, Integer> covers;

  /**
   * @param widens whether what is searched in the default fields is searched inside texts as well
   * @param fields empty: the default ones, together
   */
  TermCompiler(
      Lexicon lexicon, Headings headings, InsideTexts texts, boolean widens, List<Field> fields) {
    this(lexicon, headings, texts, widens, fields, new ArrayList<>(), new LinkedHashMap<>());
  }

  /** Nothing but words in one field. */
  static TermCompiler inOnly(Field field, Lexicon lexicon, InsideTexts texts) {
    return new TermCompiler(lexicon, Headings.NONE, texts, false, List.of(field));
  }

  private TermCompiler(
      Lexicon lexicon,
      Headings headings,
      InsideTexts texts,
      boolean widens,
      List<Field> fields,
      List<Problem> problems,
      Map<Term.Cut, Integer> covers) {
    this.lexicon = lexicon;
    this.headings = headings;
    this.texts = texts;
    this.widens = widens;
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
    return leaf(phrase, MatchingTerms.unquoted(phrase), phrase.span());
  }

  private Query leaf(Term term, String typed, Span span) {
    TermQueries leaf = new TermQueries(lexicon, term);
    Optional<TermQueries> inside = inside(term);
    List<Query> queries = new ArrayList<>();
    if (fields.isEmpty()) {
      queries.add(leaf.inText(IndexFields.ALL));
    }
    for (Field field : fields) {
      if (field != Field.TEXT) {
        queries.add(IndexFields.isWhole(field) ? leaf.asWhole(field) : leaf.inText(field.word()));
      }
    }
    inside.ifPresent(words -> queries.add(texts.in(words.inText(Field.TEXT.word()))));
    boolean named = namedHeading(term, typed).map(queries::add).orElse(false);
    List<TermQueries> tried = Stream.concat(Stream.of(leaf), inside.stream()).toList();
    tried.forEach(one -> one.covers().forEach((cut, words) -> covers.merge(cut, words, Math::max)));
    List<Problem> refusing =
        Stream.concat(
                tried.stream().flatMap(one -> one.tooWide().stream()),
                leaf.unreadable().map(code -> new Problem(code, span, typed)).stream())
            .toList();
    problems.addAll(refusing);
    if (!named && tried.stream().noneMatch(TermQueries::isMet) && refusing.isEmpty()) {
      problems.add(new Problem(Problem.Code.MATCHES_NOTHING, span, typed));
    }
    if (queries.isEmpty()) {
      return new MatchNoDocsQuery("no text");
    }
    return joined(queries, Occur.SHOULD);
  }

  /** The same words inside texts, where they are looked for there. */
  private Optional<TermQueries> inside(Term term) {
    boolean asked = fields.contains(Field.TEXT) || (fields.isEmpty() && widens);
    return asked ? texts.lexicon().map(words -> new TermQueries(words, term)) : Optional.empty();
  }

  /** Among headings a word or phrase also means the heading that it is another name of. */
  private Optional<Query> namedHeading(Term term, String typed) {
    return fields.contains(Field.HEADING) && !(term instanceof Term.Cut)
        ? headings
            .find(typed)
            .filter(found -> found.kind() == Headings.Kind.OTHER)
            .map(
                found ->
                    new Term.Heading(
                        found.heading().label(), false, false, List.of(), new Span(0, 0)))
            .map(asked -> HeadingUses.sought(headings.reach(named(asked), false), asked))
            .filter(words -> words.stream().anyMatch(this::isCarried))
            .map(HeadingUses::query)
        : Optional.empty();
  }

  private Concept named(Term.Heading asked) {
    return headings.find(asked.name()).orElseThrow().heading();
  }

  private boolean isCarried(String use) {
    return lexicon.knows(IndexFields.HEADING_USE, use);
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
    return in.term()
        .match(new TermCompiler(lexicon, headings, texts, false, in.fields(), problems, covers));
  }

  @Override
  public Query heading(Term.Heading asked) {
    Optional<Headings.Named> named = headings.find(asked.name());
    if (named.isEmpty()) {
      problem(Problem.Code.HEADING_UNKNOWN, asked, asked.name());
      return new MatchNoDocsQuery("no such heading");
    }
    asked.aspects().stream()
        .filter(aspect -> !headings.isAspect(aspect))
        .forEach(aspect -> problem(Problem.Code.ASPECT_UNKNOWN, asked, aspect));
    Concept heading = named.get().heading();
    fate(asked, heading, named.get().kind());
    List<String> words = HeadingUses.sought(headings.reach(heading, asked.narrower()), asked);
    if (words.stream().noneMatch(word -> lexicon.knows(IndexFields.HEADING_USE, word))) {
      problem(Problem.Code.MATCHES_NOTHING, asked, asked.name());
    }
    return HeadingUses.query(words);
  }

  /** What became of a heading goes on working, and is said (rule H4). */
  private void fate(Term.Heading asked, Concept heading, Headings.Kind kind) {
    if (!heading.fate().replacedBy().isEmpty()) {
      problem(Problem.Code.HEADING_REPLACED, asked, asked.name());
    } else if (heading.fate().retired()) {
      problem(Problem.Code.HEADING_RETIRED, asked, asked.name());
    } else if (kind == Headings.Kind.FORMER) {
      problem(Problem.Code.HEADING_RENAMED, asked, heading.label());
    }
  }

  private void problem(Problem.Code code, Term.Heading asked, String found) {
    problems.add(new Problem(code, asked.span(), found));
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
