package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Reads a typed line. Never throws on text: it returns problems with their places.
 *
 * <pre>
 * line    = [ "not" ] [ fields ] joined       fields at the start of a line hold for the line
 * joined  = run { ( "and" | "or" | "not" | "and" "not" ) run }     from left to right
 * run     = unit { unit }                      neighbours mean all of them and bind tightest
 * unit    = [ fields ] ( word | cut | phrase | "(" joined ")" ) | heading ( word | phrase )
 * fields  = name { "," name } ":"
 * heading = "heading" "/" name { "/" name } ":"
 * </pre>
 */
public final class Parser {
  /** Characters of one line. */
  public static final int LONGEST_LINE = 2000;

  private static final int DEEPEST = 40;
  private final List<Problem> problems = new ArrayList<>();
  private final Words words = new Words(problems);
  private List<Token> tokens = List.of();
  private int at;
  private int depth;

  private Parser() {}

  public static Parsed parse(String line) {
    return new Parser().line(line);
  }

  private Parsed line(String line) {
    if (line.length() > LONGEST_LINE) {
      Span cut = new Span(LONGEST_LINE, line.length());
      return Parsed.refused(List.of(new Problem(Problem.Code.TOO_LONG, cut, "")));
    }
    tokens = new Scanner(line, true, problems).tokens();
    if (peek().is(Token.Kind.END) && sound()) {
      problem(Problem.Code.EMPTY, peek());
    }
    boolean rulesOut = peek().is(Token.Kind.NOT);
    if (rulesOut) {
      leadingNot();
    }
    Optional<Term> tree = sound() ? wholeLine() : Optional.empty();
    while (sound() && peek().is(Token.Kind.CLOSE)) {
      problem(Problem.Code.BRACKET_UNOPENED, peek());
    }
    return sound()
        ? new Parsed(tree, rulesOut, problems.stream().map(p -> withBrackets(p, tree)).toList())
        : Parsed.refused(problems);
  }

  /** Mixed joins are shown as they were read (rule M3). */
  private static Problem withBrackets(Problem problem, Optional<Term> tree) {
    return problem.code() == Problem.Code.MIXED_JOINS && tree.isPresent()
        ? new Problem(problem.code(), problem.span(), Printer.print(tree.get()))
        : problem;
  }

  private void leadingNot() {
    Token not = next();
    if (peek().is(Token.Kind.NOT)) {
      problem(Problem.Code.RULED_OUT_TWICE, peek());
    } else if (peek().is(Token.Kind.END)) {
      problem(Problem.Code.NOTHING_AFTER, not);
    }
  }

  private Optional<Term> wholeLine() {
    if (!peek().is(Token.Kind.FIELD) || peek().isHeading()) {
      return joined();
    }
    Token field = next();
    return standsAlone(field)
        ? Optional.empty()
        : joined().map(term -> new Term.In(fields(field), term));
  }

  private Optional<Term> joined() {
    Token first = peek();
    if (first.joins()) {
      problem(Problem.Code.NOTHING_BEFORE, first);
      return Optional.empty();
    }
    Optional<Term> left = run();
    Joins joins = new Joins();
    while (sound() && peek().joins()) {
      Token operator = operator();
      Optional<Term> right = sound() ? run() : Optional.empty();
      if (left.isPresent() && right.isPresent()) {
        if (joins.mixes(operator.kind())) {
          problem(Problem.Code.MIXED_JOINS, operator);
        }
        left = Optional.of(Joins.join(left.get(), operator.kind(), right.get()));
      }
    }
    return sound() ? left : Optional.empty();
  }

  /** One joining word, <i>and not</i> counting as <i>not</i>; refuses any other two in a row. */
  private Token operator() {
    Token operator = next();
    if (operator.is(Token.Kind.AND) && peek().is(Token.Kind.NOT)) {
      operator = next();
    }
    if (peek().joins()) {
      boolean twice = operator.is(Token.Kind.NOT) && peek().is(Token.Kind.NOT);
      problem(twice ? Problem.Code.RULED_OUT_TWICE : Problem.Code.TWO_OPERATORS, peek());
    } else if (!peek().startsUnit()) {
      problem(Problem.Code.NOTHING_AFTER, operator);
    }
    return operator;
  }

  private Optional<Term> run() {
    List<Term> units = new ArrayList<>();
    while (sound() && peek().startsUnit()) {
      unit().ifPresent(units::add);
    }
    if (units.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(units.size() == 1 ? units.get(0) : new Term.And(units));
  }

  private Optional<Term> unit() {
    Token token = next();
    return switch (token.kind()) {
      case WORD -> words.word(token.text(), token.span());
      case PHRASE -> words.phrase(token);
      case OPEN -> bracket(token);
      default -> inFields(token);
    };
  }

  private Optional<Term> inFields(Token field) {
    return field.isHeading() ? heading(field) : inTexts(field);
  }

  private Optional<Term> heading(Token field) {
    if (!peek().is(Token.Kind.PHRASE) && !peek().is(Token.Kind.WORD)) {
      problem(Problem.Code.HEADING_ALONE, field);
      return Optional.empty();
    }
    Token name = next();
    if (name.text().isBlank()) {
      problem(Problem.Code.QUOTE_EMPTY, name);
      return Optional.empty();
    }
    String[] modifiers = field.text().split("/");
    return Optional.of(
        Term.Heading.of(
            name.text().strip(),
            List.of(modifiers).subList(1, modifiers.length),
            field.span().upTo(name.span())));
  }

  private Optional<Term> inTexts(Token field) {
    return standsAlone(field)
        ? Optional.empty()
        : unit().map(term -> new Term.In(fields(field), term));
  }

  private boolean standsAlone(Token field) {
    boolean alone = !peek().startsUnit() || peek().is(Token.Kind.FIELD);
    if (alone) {
      problem(Problem.Code.FIELD_ALONE, field);
    }
    return alone;
  }

  private Optional<Term> bracket(Token open) {
    if (++depth > DEEPEST) {
      problem(Problem.Code.TOO_DEEP, open);
      return Optional.empty();
    }
    if (peek().is(Token.Kind.CLOSE)) {
      problem(Problem.Code.BRACKET_EMPTY, open);
      return Optional.empty();
    }
    Optional<Term> inside = peek().is(Token.Kind.END) ? Optional.empty() : joined();
    if (sound() && !peek().is(Token.Kind.CLOSE)) {
      problem(Problem.Code.BRACKET_UNCLOSED, open);
    }
    next();
    depth--;
    return inside;
  }

  private static List<Field> fields(Token token) {
    return Arrays.stream(token.text().split(","))
        .flatMap(name -> Field.named(name).stream())
        .distinct()
        .toList();
  }

  private boolean sound() {
    return problems.stream().noneMatch(p -> p.code().refuses());
  }

  private void problem(Problem.Code code, Token token) {
    problems.add(new Problem(code, token.span(), token.text()));
  }

  private Token peek() {
    return tokens.get(at);
  }

  private Token next() {
    Token token = tokens.get(at);
    if (at < tokens.size() - 1) {
      at++;
    }
    return token;
  }
}
