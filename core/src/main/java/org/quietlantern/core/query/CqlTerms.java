package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** A words line out of CQL. */
final class CqlTerms {
  private static final Set<String> ANYWHERE =
      Set.of(
          "",
          "any",
          "cql.serverchoice",
          "cql.anywhere",
          "cql.anyindexes",
          "cql.keywords",
          "cql.allindexes");
  private static final Set<String> WORDS = Set.of("=", "==", "all", "scr", "cql.scr", "exact");
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
    return clause.index().equalsIgnoreCase(Field.HEADING.word()) && clause.relation().equals("==");
  }

  private Optional<Term> heading(Cql.Clause clause) {
    List<String> modifiers =
        clause.modifiers().stream().filter(m -> Widening.ofModifier(m).isEmpty()).toList();
    Optional<String> unspeakable =
        modifiers.stream().filter(m -> !m.matches("[\\p{L}-]+")).findFirst();
    if (unspeakable.isPresent()) {
      return problem(Problem.Code.CQL_NOT_SPOKEN, clause, unspeakable.get());
    }
    String name = Scanner.withoutQuotes(clause.term()).strip();
    return name.isEmpty()
        ? problem(Problem.Code.CQL_ENDS, clause, "")
        : Optional.of(Term.Heading.of(name, modifiers, clause.span()));
  }

  private Optional<Term> words(Cql.Clause clause) {
    Optional<Term> term = inAnyField(clause);
    String index = clause.index().toLowerCase(Locale.ROOT);
    if (term.isEmpty() || ANYWHERE.contains(index)) {
      return term;
    }
    List<Optional<Field>> fields = Arrays.stream(index.split(",")).map(Field::named).toList();
    if (fields.isEmpty() || fields.stream().anyMatch(Optional::isEmpty)) {
      return problem(Problem.Code.CQL_UNKNOWN_INDEX, clause, clause.index());
    }
    return Optional.of(
        new Term.In(fields.stream().map(Optional::orElseThrow).distinct().toList(), term.get()));
  }

  private Optional<Term> inAnyField(Cql.Clause clause) {
    List<String> words = Arrays.stream(clause.term().strip().split("\\s+")).toList();
    if (clause.term().isBlank()) {
      return problem(Problem.Code.CQL_ENDS, clause, "");
    }
    if (clause.relation().equals("adj")) {
      return phrase(clause, words);
    }
    if (clause.relation().equals("within") && clause.index().equals("year") && words.size() == 2) {
      return Optional.of(new Term.Word(words.get(0) + "-" + words.get(1), clause.span()));
    }
    if (clause.relation().equals("any")) {
      return joined(clause, words, Term.Or::new);
    }
    return WORDS.contains(clause.relation())
        ? joined(clause, words, Term.And::new)
        : problem(Problem.Code.CQL_NOT_SPOKEN, clause, clause.relation());
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
              parsed.problems().get(0).code(), clause.span(), parsed.problems().get(0).found()));
    }
    return parsed.tree();
  }

  private <T> Optional<T> problem(Problem.Code code, Cql.Clause clause, String found) {
    problems.add(new Problem(code, clause.span(), found));
    return Optional.empty();
  }
}
