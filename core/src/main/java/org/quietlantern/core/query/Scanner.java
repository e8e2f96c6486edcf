package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Cuts a line into tokens; owns all arithmetic with places in the text. */
final class Scanner {
  private static final Pattern NAME = Pattern.compile("[\\p{L},][\\p{L}\\p{N},]*");
  private static final Pattern HEADING = Pattern.compile("(?i)heading(/[\\p{L}-]+)+");
  private static final String NAMES =
      Arrays.stream(Field.values()).map(Field::word).collect(Collectors.joining("|"));

  /** Names of fields with blanks around commas or before the colon. */
  private static final Pattern SPACED_FIELD =
      Pattern.compile("(?i)(?:%1$s)(?:\\s*,\\s*(?:%1$s))*\\s*:(?!//)".formatted(NAMES));

  /** A word, then blanks, then a colon: somebody means a field. */
  private static final Pattern SPACED_UNKNOWN = Pattern.compile("([\\p{L},]+)\\s+:(?=\\s|$)");

  /** What stands behind the field of years: a side of a year, or one or two ends. */
  private static final Pattern YEARS =
      Pattern.compile(
          "(?:(>=|<=|>|<)\\s*(\\d{4})|(\\d{4})\\s*[-–]\\s*(\\d{4})|(\\d{4})\\s*[-–](?!\\s*\\d)"
              + "|[-–]\\s*(\\d{4}))(?=[\\s()\"“”„«»]|$)");

  private static final String QUOTES = "\"“”„«»";
  private final String text;
  private final boolean withFields;
  private final List<Problem> problems;
  private final List<Token> tokens = new ArrayList<>();
  private int at;
  private int depth;

  /** Whether the field of years stands right before. */
  private boolean yearAhead;

  /** The depth of brackets in which that field holds: 0 for the whole line, -1 nowhere. */
  private int yearsIn = -1;

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
      } else if (years()) {
        yearAhead = false;
      } else if (QUOTES.indexOf(c) >= 0) {
        phrase();
        yearAhead = false;
      } else if (c == '(' || c == ')') {
        bracket(c);
      } else {
        yearAhead = false;
        word();
      }
    }
    tokens.add(new Token(Token.Kind.END, "", new Span(text.length(), text.length())));
    return tokens;
  }

  private void bracket(char c) {
    if (c == '(' && ++depth > 0 && yearAhead && yearsIn < 0) {
      yearsIn = depth;
    } else if (c == ')' && depth-- == yearsIn) {
      yearsIn = -1;
    }
    yearAhead = false;
    add(c == '(' ? Token.Kind.OPEN : Token.Kind.CLOSE, at, at + 1);
    at++;
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
    if (withFields && (spacedField() || spacedUnknown())) {
      return;
    }
    while (at < text.length() && !endsWord(text.charAt(at))) {
      if (withFields && text.charAt(at) == ':' && looksLikeField(start, at)) {
        field(start);
        return;
      }
      at++;
    }
    bare(start, at);
  }

  private boolean spacedField() {
    Matcher names = SPACED_FIELD.matcher(text).region(at, text.length());
    if (!names.lookingAt()) {
      return false;
    }
    String found = names.group().replaceAll("\\s", "");
    tokens.add(
        new Token(
            Token.Kind.FIELD, found.substring(0, found.length() - 1), new Span(at, names.end())));
    at = names.end();
    beginYears(found.substring(0, found.length() - 1));
    return true;
  }

  /** Read as a word, as a colon without the blank would be, and pointed out like that. */
  private boolean spacedUnknown() {
    Matcher name = SPACED_UNKNOWN.matcher(text).region(at, text.length());
    if (!name.lookingAt()) {
      return false;
    }
    problems.add(
        new Problem(Problem.Code.UNKNOWN_FIELD, new Span(at, name.end()), name.group(1) + " :"));
    bare(at, name.end(1));
    at = name.end();
    return true;
  }

  /** Behind {@code year:} signs and open ends belong to the year: 2021-, -2019, >2020. */
  private boolean years() {
    Matcher years = YEARS.matcher(text).region(at, text.length());
    if (!withFields || !(yearAhead || yearsIn >= 0) || !years.lookingAt()) {
      return false;
    }
    tokens.add(new Token(Token.Kind.WORD, ends(years), new Span(at, years.end())));
    at = years.end();
    return true;
  }

  /** A field at the start of a line holds for the line, else for what follows it. */
  private void beginYears(String names) {
    boolean year = names.equalsIgnoreCase(Field.YEAR.word());
    yearAhead = year;
    if (year && tokens.size() == 1) {
      yearsIn = 0;
    }
  }

  private static String ends(Matcher years) {
    if (years.group(1) != null) {
      int year = Integer.parseInt(years.group(2));
      return switch (years.group(1)) {
        case ">" -> (year + 1) + "-";
        case ">=" -> year + "-";
        case "<" -> "-" + (year - 1);
        default -> "-" + year;
      };
    }
    if (years.group(3) != null) {
      return years.group(3) + "-" + years.group(4);
    }
    return years.group(5) != null ? years.group(5) + "-" : "-" + years.group(6);
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
      beginYears(names);
    } else {
      problems.add(new Problem(Problem.Code.UNKNOWN_FIELD, span, names + ":"));
      bare(start, at - 1);
    }
  }

  /** A name, or several with commas, and no slashes (as in an address) after the colon. */
  private boolean looksLikeField(int start, int colon) {
    String before = text.substring(start, colon);
    return (NAME.matcher(before).matches() || HEADING.matcher(before).matches())
        && !text.startsWith("//", colon + 1);
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
