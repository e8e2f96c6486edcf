package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * Reads the grammar of CQL (OASIS searchRetrieve Part 5, annex A), without proximity, prefix maps
 * and sorting.
 *
 * <pre>
 * query    = clause { ("and" | "or" | "not") clause }      from left to right
 * clause   = "(" query ")" | index relation term | term
 * relation = ( "=" | "==" | "&lt;&gt;" | "&lt;" ... | name ) { "/" name }
 * </pre>
 */
final class CqlParser {
  private static final Set<String> BOOLEANS = Set.of("and", "or", "not");
  private static final int DEEPEST = 60;

  /** Conditions joined in one bracket; no line that can be searched has as many. */
  private static final int MOST_JOINED = 2_000;

  private final String text;
  private final List<Problem> problems;
  private int at;
  private int depth;

  CqlParser(String text, List<Problem> problems) {
    this.text = text;
    this.problems = problems;
  }

  /** A word, a quoted string or a sign. {@code text}: without quotation marks, escapes kept. */
  private record Piece(String text, boolean quoted, Span span) {
    boolean is(String word) {
      return !quoted && text.equalsIgnoreCase(word);
    }

    boolean isBoolean() {
      return !quoted && BOOLEANS.contains(text.toLowerCase(Locale.ROOT));
    }

    boolean isEnd() {
      return !quoted && text.isEmpty();
    }
  }

  /** Empty when there are problems. */
  Optional<Cql> parse() {
    Optional<Cql> query = query();
    Piece rest = peek();
    if (query.isPresent() && problems.isEmpty() && !rest.isEnd()) {
      problem(
          rest.is(")")
              ? Problem.Code.BRACKET_UNOPENED
              : rest.is("prox") || rest.is("sortby")
                  ? Problem.Code.CQL_NOT_SPOKEN
                  : Problem.Code.CQL_UNEXPECTED,
          rest);
    }
    return problems.isEmpty() ? query : Optional.empty();
  }

  private Optional<Cql> query() {
    Optional<Cql> left = clause();
    int joined = 1;
    while (left.isPresent() && peek().isBoolean()) {
      if (joined++ == MOST_JOINED) {
        return problem(Problem.Code.CQL_TOO_MANY, peek());
      }
      String operator = next().text().toLowerCase(Locale.ROOT);
      Optional<Cql> right = clause();
      Cql soFar = left.get();
      left = right.map(r -> new Cql.Joined(operator, soFar, r));
    }
    return left;
  }

  private Optional<Cql> clause() {
    Piece first = next();
    if (first.isEnd() || first.isBoolean() || first.is(")") || isSign(first)) {
      return problem(first.isEnd() ? Problem.Code.CQL_ENDS : Problem.Code.CQL_UNEXPECTED, first);
    }
    if (first.is("(")) {
      return bracket(first);
    }
    Piece relation = peek();
    boolean plain =
        relation.isEnd() || relation.is(")") || relation.isBoolean() || relation.quoted();
    return plain || relation.is("prox") || relation.is("sortby")
        ? Optional.of(
            new Cql.Clause(
                "", "=", List.of(), first.text(), first.span(), first.span(), first.span()))
        : condition(first);
  }

  private Optional<Cql> bracket(Piece open) {
    if (++depth > DEEPEST) {
      return problem(Problem.Code.TOO_DEEP, open);
    }
    Optional<Cql> inside = query();
    if (inside.isPresent() && !peek().is(")")) {
      return problem(Problem.Code.BRACKET_UNCLOSED, open);
    }
    next();
    depth--;
    return inside.map(Cql.Bracket::new);
  }

  private Optional<Cql> condition(Piece index) {
    Piece sign = next();
    String relation = sign.text().toLowerCase(Locale.ROOT);
    List<String> modifiers = new ArrayList<>();
    while (peek().is("/")) {
      next();
      modifiers.add(next().text().toLowerCase(Locale.ROOT));
    }
    Piece term = next();
    if (term.isEnd() || (!term.quoted() && (term.is("(") || term.is(")") || isSign(term)))) {
      return problem(Problem.Code.CQL_ENDS, term);
    }
    Span span = new Span(index.span().start(), term.span().end());
    return Optional.of(
        new Cql.Clause(
            index.text(), relation, modifiers, term.text(), span, sign.span(), term.span()));
  }

  private static boolean isSign(Piece piece) {
    return !piece.quoted() && "=<>/".indexOf(piece.text().charAt(0)) >= 0;
  }

  private <T> Optional<T> problem(Problem.Code code, Piece piece) {
    problems.add(new Problem(code, piece.span(), piece.text()));
    return Optional.empty();
  }

  private Piece peek() {
    int before = at;
    int known = problems.size();
    Piece piece = next();
    at = before;
    problems.subList(known, problems.size()).clear();
    return piece;
  }

  private Piece next() {
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
    if (at == text.length()) {
      return new Piece("", false, new Span(at, at));
    }
    int start = at;
    char c = text.charAt(at);
    if (c == '"') {
      return quoted(start);
    }
    if (c == '(' || c == ')' || c == '/') {
      at++;
    } else if ("=<>".indexOf(c) >= 0) {
      at++;
      while (at < text.length() && "=>".indexOf(text.charAt(at)) >= 0) {
        at++;
      }
    } else {
      while (at < text.length() && !ends(text.charAt(at))) {
        at++;
      }
    }
    return new Piece(text.substring(start, at), false, new Span(start, at));
  }

  private Piece quoted(int start) {
    at++;
    StringBuilder inside = new StringBuilder();
    while (at < text.length() && text.charAt(at) != '"') {
      if (text.charAt(at) == '\\' && at + 1 < text.length()) {
        inside.append(text.charAt(at + 1) == '"' ? "" : "\\");
        at++;
      }
      inside.append(text.charAt(at++));
    }
    if (at >= text.length()) {
      problems.add(
          new Problem(
              Problem.Code.QUOTE_UNCLOSED, new Span(start, start + 1), text.substring(start)));
    }
    at = Math.min(text.length(), at + 1);
    return new Piece(inside.toString(), true, new Span(start, at));
  }

  private static boolean ends(char c) {
    return Character.isWhitespace(c) || "()/=<>\"".indexOf(c) >= 0;
  }
}
