package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.util.BytesRef;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Parsed;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.vocabulary.Headings;

/** A strategy as queries, line by line, and what is wrong or worth knowing about each. */
final class StrategyCompiler {
  /** Strategies inside strategies. */
  private static final int DEEPEST = 10;

  /** Lines of a strategy with those of all strategies inside of it, each as often as it stands. */
  private static final int MOST_LINES = 2_000;

  private final IndexState state;
  private final SearchContext circumstances;
  private final Library library;
  private final Lexicon lexicon;
  private final Set<String> holding;
  private final Map<String, Optional<Unfolded>> known;
  private int lines;
  private final Map<Line.Words, Parsed> read = new HashMap<>();
  private final List<Compiled.Placed> problems = new ArrayList<>();
  private final List<Compiled.Cover> covers = new ArrayList<>();

  StrategyCompiler(IndexState state, SearchContext circumstances, Library library) {
    this(state, circumstances, library, Set.of(), new HashMap<>());
  }

  /** A strategy that is held, compiled once however often it stands; {@code lines}: unfolded. */
  private record Unfolded(Query query, int lines) {}

  /**
   * @param holding the strategies that this one is held by
   * @param known those that were compiled already; empty for one that cannot be searched
   */
  private StrategyCompiler(
      IndexState state,
      SearchContext circumstances,
      Library library,
      Set<String> holding,
      Map<String, Optional<Unfolded>> known) {
    this.known = known;
    this.state = state;
    this.circumstances = circumstances;
    this.library = library;
    this.lexicon = state.lexicon();
    this.holding = holding;
  }

  Compiled compile(Strategy strategy) {
    List<Compiled.Part> parts = new ArrayList<>();
    for (Line line : strategy.lines()) {
      if (line.off() && !holding.isEmpty()) {
        // Of no account to whoever holds this, not even for a circle.
        continue;
      }
      lines++;
      int before = problems.size();
      part(line).ifPresent(parts::add);
      if (line.off()) {
        problems.subList(before, problems.size()).clear();
      }
    }
    if (strategy.inForce().stream().allMatch(StrategyCompiler::isBlank)) {
      problem("", Problem.Code.EMPTY, "");
    }
    onlyRulesOut(strategy).ifPresent(line -> problem(line.id(), Problem.Code.ONLY_RULES_OUT, ""));
    List<Compiled.Placed> refusing =
        problems.stream().filter(p -> p.problem().code().refuses()).toList();
    return refusing.isEmpty()
        ? new Compiled.Ready(circumstances, parts, problems, covers)
        : new Compiled.Refused(refusing);
  }

  /** A line that waits for its words is no line yet. */
  static boolean isBlank(Line line) {
    return line instanceof Line.Words words && words.text().isBlank();
  }

  /** The first line of a strategy that only takes away (rule M3). */
  private Optional<Line> onlyRulesOut(Strategy strategy) {
    List<Line> asking =
        strategy.inForce().stream()
            .filter(line -> !isBlank(line) && !(line instanceof Line.Limited))
            .toList();
    return asking.stream().findFirst().filter(first -> asking.stream().allMatch(this::rulesOut));
  }

  private boolean rulesOut(Line line) {
    return line instanceof Line.Words words
        ? parsed(words).rulesOut()
        : line instanceof Line.Held held && held.rulesOut();
  }

  private Optional<Compiled.Part> part(Line line) {
    return line.match(
        new Line.Cases<>() {
          @Override
          public Optional<Compiled.Part> words(Line.Words words) {
            return isBlank(words) ? Optional.empty() : typed(words);
          }

          @Override
          public Optional<Compiled.Part> limit(Line.Limited limited) {
            return Optional.of(limitPart(limited));
          }

          @Override
          public Optional<Compiled.Part> held(Line.Held held) {
            return Optional.of(heldPart(held));
          }
        });
  }

  private Parsed parsed(Line.Words line) {
    return read.computeIfAbsent(line, Line.Words::parsed);
  }

  private Optional<Compiled.Part> typed(Line.Words line) {
    Parsed parsed = parsed(line);
    parsed.problems().forEach(p -> problems.add(new Compiled.Placed(line.id(), p)));
    Headings headings = circumstances.headings().meaning(line.means());
    return parsed
        .tree()
        .map(tree -> Widener.widen(tree, line.widened(), headings, lexicon))
        .map(
            tree ->
                new Compiled.Part(
                    line, query(line, tree, headings), parsed.rulesOut(), Optional.empty()));
  }

  private Query query(Line.Words of, Term tree, Headings headings) {
    String line = of.id();
    TermCompiler compiler =
        new TermCompiler(
            lexicon,
            headings,
            circumstances.texts(),
            of.widened().contains(Widening.TEXT),
            List.of());
    Query query = tree.match(compiler);
    compiler.problems().forEach(p -> problems.add(new Compiled.Placed(line, p)));
    compiler
        .covers()
        .forEach(
            (cut, words) -> covers.add(new Compiled.Cover(line, cut.typed(), cut.span(), words)));
    return query;
  }

  private Compiled.Part limitPart(Line.Limited line) {
    Limit limit = line.limit();
    if (!limit.range().equals(limit.range().ordered(limit.property()))) {
      problem(line.id(), Problem.Code.RANGE_REVERSED, limit.range().to());
    }
    limit.contradicted().forEach(value -> problem(line.id(), Problem.Code.CHOSEN_AND_OUT, value));
    Query query = new LimitQuery(limit, circumstances, state.columns());
    return new Compiled.Part(line, query, false, inactive(limit));
  }

  private Optional<Compiled.Inactive> inactive(Limit limit) {
    if (!limit.asks()) {
      return Optional.of(Compiled.Inactive.NOTHING_CHOSEN);
    }
    Query unknown = unknown(limit, circumstances, state.columns());
    boolean supplied = state.sets().of(unknown).count() < state.reader().numDocs();
    return supplied ? Optional.empty() : Optional.of(Compiled.Inactive.NOT_SUPPLIED);
  }

  /** What has no value for the property of a limit. */
  static Query unknown(Limit limit, SearchContext circumstances, Columns columns) {
    return new LimitQuery(Limit.any(limit.property(), Limit.UNKNOWN), circumstances, columns);
  }

  private Compiled.Part heldPart(Line.Held line) {
    List<Query> any = line.strategies().stream().distinct().map(name -> held(line, name)).toList();
    return new Compiled.Part(
        line, TermCompiler.joined(any, Occur.SHOULD), line.rulesOut(), Optional.empty());
  }

  private Query held(Line.Held line, String name) {
    if (Line.Held.followsFolder(name)) {
      return inFolder(line, name);
    }
    Optional<Strategy> strategy = library.find(name);
    if (strategy.isEmpty()) {
      problem(line.id(), Problem.Code.HELD_UNKNOWN, name);
    } else if (holding.contains(name) || holding.size() >= DEEPEST) {
      problem(line.id(), Problem.Code.HELD_IN_A_CIRCLE, name);
    } else {
      Optional<Unfolded> unfolded =
          lines > MOST_LINES ? Optional.empty() : unfold(name, strategy.get());
      lines += unfolded.map(Unfolded::lines).orElse(0);
      if (lines > MOST_LINES) {
        problem(line.id(), Problem.Code.HELD_TOO_LARGE, name);
      } else if (unfolded.isEmpty()) {
        problem(line.id(), Problem.Code.HELD_REFUSED, name);
      } else {
        return unfolded.get().query();
      }
    }
    return new MatchNoDocsQuery("cannot be held");
  }

  private Query inFolder(Line.Held line, String name) {
    Optional<Library.Listed> listed = library.listed(name);
    if (listed.isEmpty()) {
      problem(line.id(), Problem.Code.HELD_FOLDER_UNKNOWN, name);
    }
    return listed
        .<Query>map(
            works ->
                new TermInSetQuery(
                    IndexFields.whole(works.field()),
                    works.values().stream()
                        .map(value -> new BytesRef(value.toLowerCase(Locale.ROOT)))
                        .toList()))
        .orElseGet(() -> new MatchNoDocsQuery("no such folder"));
  }

  /** Empty for one that cannot be searched. */
  private Optional<Unfolded> unfold(String name, Strategy strategy) {
    if (!known.containsKey(name)) {
      Set<String> deeper = new LinkedHashSet<>(holding);
      deeper.add(name);
      StrategyCompiler inner = new StrategyCompiler(state, circumstances, library, deeper, known);
      known.put(
          name,
          inner.compile(strategy) instanceof Compiled.Ready ready
              ? Optional.of(new Unfolded(ready.query(), inner.lines))
              : Optional.empty());
    }
    return known.get(name);
  }

  private void problem(String line, Problem.Code code, String found) {
    problems.add(new Compiled.Placed(line, new Problem(code, new Span(0, 0), found)));
  }
}
