package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** What is put right when all is rendered: quotation marks, and punctuation that meets. */
final class Finish {
  private static final String PUNCTUATION = ".,;:!?";
  private static final String OUTSIDE = ":;";

  /** What two that meet come to. */
  private static final Map<String, String> MEET =
      Map.ofEntries(
          Map.entry("!.", "!"),
          Map.entry("!:", "!"),
          Map.entry("?.", "?"),
          Map.entry("?:", "?"),
          Map.entry(":!", "!"),
          Map.entry(":?", "?"),
          Map.entry(":.", ":"),
          Map.entry(";!", "!"),
          Map.entry(";?", "?"),
          Map.entry(";:", ";"),
          Map.entry(";.", ";"));

  /** A stop or a comma, and no row of dots. */
  private static final Pattern CLOSING = Pattern.compile("[.,](?!\\.)");

  private final Locale locale;

  private final boolean tidies;

  private Finish(Locale locale, boolean tidies) {
    this.locale = locale;
    this.tidies = tidies;
  }

  /** {@code tidies}: whether blanks go that a style leaves before a stop where something lacks. */
  static Output finished(Output output, Locale locale, boolean tidies) {
    Finish finish = new Finish(locale, tidies);
    Output.Span root = Output.span().add(output);
    finish.quote(root, 0, null);
    List<Output.Words> words =
        Output.words(root).stream().filter(one -> !one.text.isEmpty()).toList();
    finish.punctuation(words);
    return root;
  }

  /** {@code field}: what it is in; null outside of fields. */
  private void quote(Output.Span span, int level, Field field) {
    int inside = level + (span.quoted ? 1 : 0);
    List<Output> children = new ArrayList<>(span.children);
    span.children.clear();
    if (span.quoted) {
      span.add(mark(level, true));
    }
    for (Output child : children) {
      if (child instanceof Output.Span inner) {
        quote(
            inner,
            inside,
            inner.isField ? new Field(FieldQuotes.of(Output.words(inner)), inside) : field);
        span.add(inner);
      } else if (field == null) {
        Output.Words words = (Output.Words) child;
        if (words.from == Output.Words.From.FIELD) {
          words.text = words.text.replace('\'', '’');
        }
        Raised.split(words).forEach(span::add);
      } else {
        quotes((Output.Words) child, span, field);
      }
    }
    if (span.quoted) {
      span.add(mark(level, false));
    }
  }

  /** A field on its way: where its words have come to. */
  private static final class Field {
    private final FieldQuotes quotes;
    private final int level;
    private int at;

    private Field(FieldQuotes quotes, int level) {
      this.quotes = quotes;
      this.level = level;
    }
  }

  private Output.Words mark(int level, boolean opens) {
    String name = (opens ? "open-" : "close-") + (level % 2 == 0 ? "" : "inner-") + "quote";
    return new Output.Words(
        locale.term(name), opens ? Output.Words.From.OPEN_QUOTE : Output.Words.From.CLOSE_QUOTE);
  }

  /** Marks in a field become those of the language. */
  private void quotes(Output.Words words, Output.Span into, Field field) {
    StringBuilder plain = new StringBuilder();
    for (int i = 0; i < words.text.length(); i++) {
      char c = words.text.charAt(i);
      int deep = field.quotes.at(field.at++);
      if (deep == 0) {
        plain.append(c == '\'' ? '’' : c);
        continue;
      }
      add(plain, into, words.from);
      Output.Words mark = mark(field.level + Math.abs(deep) - 1, deep > 0);
      mark.typed = true;
      into.add(mark);
    }
    add(plain, into, words.from);
  }

  private static void add(StringBuilder plain, Output.Span into, Output.Words.From from) {
    if (plain.length() > 0) {
      Raised.split(new Output.Words(plain.toString(), from)).forEach(into::add);
      plain.setLength(0);
    }
  }

  private void punctuation(List<Output.Words> words) {
    for (int i = 1; i < words.size(); i++) {
      Output.Words next = words.get(i);
      int before = i - 1;
      while (before > 0 && words.get(before).text.isEmpty()) {
        before--;
      }
      if (tidies && next.isOfStyle() && CLOSING.matcher(next.text).lookingAt()) {
        before = withoutBlanks(words, before);
      }
      Output.Words last = words.get(before);
      if (last.text.isEmpty() || next.text.isEmpty()) {
        continue;
      }
      if (last.from == Output.Words.From.CLOSE_QUOTE) {
        // What somebody wrote behind a mark of their own stays as they wrote it.
        if (next.isOfStyle() || !last.typed) {
          behindQuote(words, before, next);
        }
      } else if (next.isOfStyle() || last.isOfStyle()) {
        meet(last, next);
        int close = before - 1;
        boolean alone = last.text.length() == 1 && close > 0;
        if (alone && words.get(close).from == Output.Words.From.CLOSE_QUOTE) {
          behindQuote(words, close, last);
        }
      }
    }
  }

  /**
   * No blank of the style stands before a stop or a comma of the style. Answers where the words
   * before are.
   */
  private static int withoutBlanks(List<Output.Words> words, int at) {
    int before = at;
    while (before >= 0 && words.get(before).isOfStyle()) {
      words.get(before).text = words.get(before).text.stripTrailing();
      if (!words.get(before).text.isEmpty()) {
        return before;
      }
      before--;
    }
    return Math.max(0, before);
  }

  private static void meet(Output.Words last, Output.Words next) {
    char a = last.text.charAt(last.text.length() - 1);
    char b = next.text.charAt(0);
    if (a == ' ' && b == ' ') {
      next.text = next.text.replaceFirst("^ +", "");
      return;
    }
    if (PUNCTUATION.indexOf(a) < 0 || PUNCTUATION.indexOf(b) < 0) {
      return;
    }
    String both = a == b ? String.valueOf(a) : MEET.get("" + a + b);
    if (both != null) {
      last.text = last.text.substring(0, last.text.length() - 1) + both;
      next.text = next.text.substring(1);
      if (!next.text.isEmpty()) {
        meet(last, next);
      }
    }
  }

  /** Stops and commas go into the quotation where the language has it so. */
  private void behindQuote(List<Output.Words> words, int close, Output.Words next) {
    int inside = close - 1;
    while (inside > 0
        && (words.get(inside).text.isEmpty()
            || words.get(inside).from == Output.Words.From.CLOSE_QUOTE)) {
      inside--;
    }
    Output.Words quoted = words.get(inside);
    char b = next.text.charAt(0);
    if (quoted.text.isEmpty() || PUNCTUATION.indexOf(b) < 0) {
      return;
    }
    char a = quoted.text.charAt(quoted.text.length() - 1);
    if (locale.punctuationInQuote()) {
      inside(quoted, next, a, b);
    } else if (PUNCTUATION.indexOf(a) >= 0 && (a == b || (b == '.' && "!?".indexOf(a) >= 0))) {
      next.text = next.text.substring(1);
    }
  }

  /** Stops, commas and marks go into the quotation, colons and semicolons out of it. */
  private static void inside(Output.Words quoted, Output.Words next, char a, char b) {
    String rest = next.text.substring(1);
    boolean met = PUNCTUATION.indexOf(a) >= 0;
    String before = met ? quoted.text.substring(0, quoted.text.length() - 1) : quoted.text;
    String both = !met ? String.valueOf(b) : a == b ? String.valueOf(a) : MEET.get("" + a + b);
    String together = both == null ? "" + a + b : both;
    boolean out = OUTSIDE.indexOf(together.charAt(0)) >= 0;
    int in =
        out
            ? 0
            : OUTSIDE.indexOf(together.charAt(together.length() - 1)) >= 0
                ? together.length() - 1
                : together.length();
    quoted.text = before + together.substring(0, in);
    next.text = together.substring(in) + rest;
  }
}
