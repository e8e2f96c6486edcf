package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Cuts a line into tokens; owns all arithmetic with places in the text. */
final class Scanner {
  private static final Pattern HEADING = Pattern.compile("(?i)heading(/[\\p{L}-]+)+");
  private static final String QUOTES = "\"“”„«»";
  private final String text;
  private final boolean withFields;
  private final List<Problem> problems;
  private final List<Token> tokens = new ArrayList<>();
  private int at;

  /** A text that can stand between quotation marks. */
  static String withoutQuotes(String text) {
    return text.replaceAll("[" + QUOTES + "]", " ");
  }

  /** {@code withFields} false: a colon is punctuation, as between quotation marks. */
  Scanner(String text, boolean withFields, List<Problem> problems) {
    this.text = text;
    this.withFields = withFields;
    this.problems = problems;
  }

  /** All tokens, the last one an END. */
  List<Token> tokens() {
    while (at < text.length()) {
      char c = text.charAt(at);
      if (isSpace(c)) {
        at++;
      } else if (QUOTES.indexOf(c) >= 0) {
        phrase();
      } else if (c == '(' || c == ')') {
        add(c == '(' ? Token.Kind.OPEN : Token.Kind.CLOSE, at, at + 1);
        at++;
      } else {
        word();
      }
    }
    tokens.add(new Token(Token.Kind.END, "", new Span(text.length(), text.length())));
    return tokens;
  }

  private void phrase() {
    int start = at++;
    while (at < text.length() && QUOTES.indexOf(text.charAt(at)) < 0) {
      at++;
    }
    if (at == text.length()) {
      problems.add(
          new Problem(
              Problem.Code.QUOTE_UNCLOSED, new Span(start, start + 1), text.substring(start)));
      return;
    }
    at++;
    tokens.add(
        new Token(Token.Kind.PHRASE, text.substring(start + 1, at - 1), new Span(start, at)));
  }

  private void word() {
    while (at < text.length() && isMark(text.charAt(at))) {
      at++;
    }
    int start = at;
    while (at < text.length() && !endsWord(text.charAt(at))) {
      if (withFields && text.charAt(at) == ':' && looksLikeField(start, at)) {
        field(start);
        return;
      }
      at++;
    }
    bare(start, at);
  }

  /** Punctuation that cannot belong to a word, and so may stand before a field's name. */
  private static boolean isMark(char c) {
    return !Character.isLetterOrDigit(c)
        && !Character.isSurrogate(c)
        && "*?\\".indexOf(c) < 0
        && !endsWord(c);
  }

  /** A run without spaces, unless punctuation is all there is to it. */
  private void bare(int start, int end) {
    int from = start;
    int to = end;
    while (from < to && isPunctuation(from, start, end)) {
      from++;
    }
    while (to > from && isPunctuation(to - 1, start, end)) {
      to--;
    }
    if (from == to) {
      return;
    }
    String word = text.substring(from, to);
    add(
        switch (word.toLowerCase(Locale.ROOT)) {
          case "and" -> Token.Kind.AND;
          case "or" -> Token.Kind.OR;
          case "not" -> Token.Kind.NOT;
          default -> Token.Kind.WORD;
        },
        from,
        to);
  }

  /** {@code ?} belongs to a word only where a letter touches it. */
  private boolean isPunctuation(int place, int start, int end) {
    char c = text.charAt(place);
    return c == '?'
        ? text.substring(start, end).chars().noneMatch(Character::isLetterOrDigit)
        : isMark(c);
  }

  private void field(int start) {
    String names = text.substring(start, at);
    at++;
    Span span = new Span(start, at);
    String[] parts = names.split(",");
    if (HEADING.matcher(names).matches()) {
      tokens.add(new Token(Token.Kind.FIELD, names.toLowerCase(Locale.ROOT), span));
    } else if (Arrays.stream(parts).allMatch(n -> Field.named(n).isPresent())) {
      tokens.add(new Token(Token.Kind.FIELD, names, span));
    } else {
      problems.add(new Problem(Problem.Code.UNKNOWN_FIELD, span, names + ":"));
      bare(start, at - 1);
    }
  }

  /** Letters with commas, and something that is no slash (as in an address) after the colon. */
  private boolean looksLikeField(int start, int colon) {
    String before = text.substring(start, colon);
    boolean names =
        !before.isEmpty() && before.chars().allMatch(c -> Character.isLetter(c) || c == ',');
    return (names || HEADING.matcher(before).matches()) && !text.startsWith("//", colon + 1);
  }

  private void add(Token.Kind kind, int start, int end) {
    tokens.add(new Token(kind, text.substring(start, end), new Span(start, end)));
  }

  private static boolean endsWord(char c) {
    return isSpace(c) || c == '(' || c == ')' || QUOTES.indexOf(c) >= 0;
  }

  private static boolean isSpace(char c) {
    return Character.isWhitespace(c) || Character.isSpaceChar(c);
  }
}
