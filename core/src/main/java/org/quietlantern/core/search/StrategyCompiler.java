package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.List;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Query;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Parsed;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;

/** A strategy as one query: lines joined by <i>and</i>, what rules out taken from the whole. */
final class StrategyCompiler {
  private final IndexReader reader;
  private final List<Compiled.Placed> problems = new ArrayList<>();
  private final List<Compiled.Cover> covers = new ArrayList<>();

  StrategyCompiler(IndexReader reader) {
    this.reader = reader;
  }

  Compiled compile(Strategy strategy) {
    BooleanQuery.Builder whole = new BooleanQuery.Builder();
    boolean onlyRulesOut = true;
    for (Line line : strategy.inForce()) {
      Parsed parsed = parse(line);
      if (parsed.tree().isPresent()) {
        Query query = compile(line.id(), parsed.tree().get());
        whole.add(query, parsed.rulesOut() ? Occur.MUST_NOT : Occur.MUST);
        onlyRulesOut &= parsed.rulesOut();
      }
    }
    if (strategy.inForce().isEmpty()) {
      problems.add(new Compiled.Placed("", new Problem(Problem.Code.EMPTY, new Span(0, 0), "")));
    }
    if (problems.stream().anyMatch(p -> p.problem().code().refuses())) {
      return new Compiled.Refused(
          problems.stream().filter(p -> p.problem().code().refuses()).toList());
    }
    if (onlyRulesOut) {
      whole.add(new MatchAllDocsQuery(), Occur.MUST);
    }
    return new Compiled.Ready(whole.build(), problems, covers);
  }

  private Parsed parse(Line line) {
    // One kind of line so far; a new kind will not compile until it has its case here.
    Parsed parsed = ((Line.Words) line).parsed();
    parsed.problems().forEach(p -> problems.add(new Compiled.Placed(line.id(), p)));
    return parsed;
  }

  private Query compile(String line, Term tree) {
    TermCompiler compiler = new TermCompiler(new Lexicon(reader), List.of());
    Query query = tree.match(compiler);
    compiler.problems().forEach(p -> problems.add(new Compiled.Placed(line, p)));
    compiler
        .covers()
        .forEach(
            (cut, words) -> covers.add(new Compiled.Cover(line, cut.typed(), cut.span(), words)));
    return query;
  }
}
