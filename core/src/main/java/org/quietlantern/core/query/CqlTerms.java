package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** A words line out of CQL. */
final class CqlTerms {
  private static final Set<String> WORDS = Set.of("=", "all", "scr", "cql.scr");
  private static final Set<String> EXACT = Set.of("==", "exact");
  private static final Map<String, String> SIDES =
      Map.of("<", "<", "<=", "<=", ">", ">", ">=", ">=");
  private final List<Problem> problems;

  CqlTerms(List<Problem> problems) {
    this.problems = problems;
  }

  Optional<Term> term(Cql query) {
    Cql bare = query.bare();
    if (bare instanceof Cql.Clause clause) {
      return clause(clause);
    }
    Cql.Joined joined = (Cql.Joined) bare;
    Optional<Term> left = term(joined.left());
    Optional<Term> right = term(joined.right());
    if (left.isEmpty() || right.isEmpty()) {
      return Optional.empty();
    }
    Token.Kind operator = Token.Kind.valueOf(joined.operator().toUpperCase(Locale.ROOT));
    return Optional.of(Joins.join(left.get(), operator, right.get()));
  }

  private Optional<Term> clause(Cql.Clause clause) {
    return isHeading(clause) ? heading(clause) : words(clause);
  }

  /** {@code ==} asks for a heading as a whole; {@code =} for words in one. */
  static boolean isHeading(Cql.Clause clause) {
    return CqlIndexes.isHeading(clause.index()) && EXACT.contains(clause.relation());
  }

  private Optional<Term> heading(Cql.Clause clause) {
    List<String> modifiers =
        clause.modifiers().stream().filter(m -> Widening.ofModifier(m).isEmpty()).toList();
    Optional<String> unspeakable =
        modifiers.stream().filter(m -> !m.matches("[\\p{L}-]+")).findFirst();
    if (unspeakable.isPresent()) {
      return problem(Problem.Code.CQL_NOT_SPOKEN, clause.relationAt(), "/" + unspeakable.get());
    }
    String name = Scanner.withoutQuotes(clause.term()).strip();
    return name.isEmpty()
        ? problem(Problem.Code.CQL_ENDS, clause, "")
        : Optional.of(Term.Heading.of(name, modifiers, clause.span()));
  }

  private Optional<Term> words(Cql.Clause clause) {
    boolean anywhere = CqlIndexes.isAnywhere(clause.index());
    Optional<List<Field>> fields = CqlIndexes.fields(clause.index());
    if (!anywhere && fields.isEmpty()) {
      return problem(Problem.Code.CQL_UNKNOWN_INDEX, clause, clause.index());
    }
    Optional<Term> term = inAnyField(clause);
    return anywhere ? term : term.map(found -> new Term.In(fields.orElseThrow(), found));
  }

  private Optional<Term> inAnyField(Cql.Clause clause) {
    List<String> words =
        Arrays.stream(clause.term().replace("\\^", "^").strip().split("\\s+")).toList();
    if (clause.term().isBlank()) {
      return problem(Problem.Code.CQL_ENDS, clause.termAt(), "");
    }
    if (clause.term().matches("\\^.*|.*(?<!\\\\)\\^")) {
      return problem(Problem.Code.CQL_NOT_SPOKEN, clause.termAt(), "^");
    }
    if (clause.relation().equals("adj")) {
      return phrase(clause, words);
    }
    if (CqlIndexes.isYear(clause.index())
        && (clause.relation().equals("within") || SIDES.containsKey(clause.relation()))) {
      return years(clause, words);
    }
    if (clause.relation().equals("any")) {
      return joined(clause, words, Term.Or::new);
    }
    if (EXACT.contains(clause.relation()) && CqlIndexes.isWhole(clause.index())) {
      return phrase(clause, words);
    }
    return WORDS.contains(clause.relation())
        ? joined(clause, words, Term.And::new)
        : problem(Problem.Code.CQL_NOT_SPOKEN, clause.relationAt(), clause.relation());
  }

  /** {@code year within "2020 2024"}, {@code year > 2020}: as the sheet writes it. */
  private Optional<Term> years(Cql.Clause clause, List<String> words) {
    boolean within = clause.relation().equals("within");
    String typed =
        within && words.size() == 2
            ? words.get(0).replace("*", "") + "-" + words.get(1).replace("*", "")
            : within ? "" : clause.relation() + clause.term().strip();
    Optional<Term> read =
        Parser.parse("year: " + typed)
            .tree()
            .filter(Term.In.class::isInstance)
            .map(term -> ((Term.In) term).term())
            .filter(Term.Word.class::isInstance);
    return typed.matches("[<>=]*\\d{4}|\\d{4}-|-\\d{4}|\\d{4}-\\d{4}") && read.isPresent()
        ? read
        : problem(Problem.Code.YEAR_UNREADABLE, clause.termAt(), clause.term());
  }

  private Optional<Term> joined(
      Cql.Clause clause, List<String> words, Function<List<Term>, Term> join) {
    List<Term> terms = new ArrayList<>();
    for (String word : words) {
      word(clause, word).ifPresent(terms::add);
    }
    if (terms.size() < words.size()) {
      return Optional.empty();
    }
    return Optional.of(terms.size() == 1 ? terms.get(0) : join.apply(terms));
  }

  /** As it would be read on the sheet; what would be read as something else is taken as written. */
  private Optional<Term> word(Cql.Clause clause, String word) {
    Parsed parsed = Parser.parse(word);
    Optional<Term> tree = parsed.tree();
    boolean isOne =
        !parsed.rulesOut()
            && parsed.problems().isEmpty()
            && tree.filter(t -> t instanceof Term.Word || t instanceof Term.Cut).isPresent();
    return isOne ? tree : phrase(clause, List.of(word));
  }

  private Optional<Term> phrase(Cql.Clause clause, List<String> words) {
    String quoted = "\"" + String.join(" ", words).replace("\"", " ") + "\"";
    Parsed parsed = Parser.parse(quoted);
    if (parsed.tree().isEmpty()) {
      problems.add(
          new Problem(
              parsed.problems().get(0).code(), clause.termAt(), parsed.problems().get(0).found()));
    }
    return parsed.tree();
  }

  private <T> Optional<T> problem(Problem.Code code, Cql.Clause clause, String found) {
    return problem(code, clause.span(), found);
  }

  private <T> Optional<T> problem(Problem.Code code, Span at, String found) {
    problems.add(new Problem(code, at, found));
    return Optional.empty();
  }
}
