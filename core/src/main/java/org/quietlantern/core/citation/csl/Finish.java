package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

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

  private final Locale locale;

  private Finish(Locale locale) {
    this.locale = locale;
  }

  static Output finished(Output output, Locale locale) {
    Finish finish = new Finish(locale);
    Output.Span root = Output.span().add(output);
    finish.quote(root, 0);
    List<Output.Words> words =
        Output.words(root).stream().filter(one -> !one.text.isEmpty()).toList();
    finish.punctuation(words);
    return root;
  }

  private void quote(Output.Span span, int level) {
    int inside = level + (span.quoted ? 1 : 0);
    List<Output> children = new ArrayList<>(span.children);
    span.children.clear();
    if (span.quoted) {
      span.add(mark(level, true));
    }
    int open = inside;
    for (Output child : children) {
      if (child instanceof Output.Span inner) {
        quote(inner, open);
        span.add(inner);
      } else {
        open = quotes((Output.Words) child, span, open);
      }
    }
    if (span.quoted) {
      span.add(mark(level, false));
    }
  }

  private Output.Words mark(int level, boolean opens) {
    String name = (opens ? "open-" : "close-") + (level % 2 == 0 ? "" : "inner-") + "quote";
    return new Output.Words(
        locale.term(name), opens ? Output.Words.From.OPEN_QUOTE : Output.Words.From.CLOSE_QUOTE);
  }

  /** Straight marks in a field become those of the language; answers how many are open then. */
  private int quotes(Output.Words words, Output.Span into, int level) {
    String text = words.text;
    if (words.from != Output.Words.From.FIELD || !text.matches("(?s).*[\"'“”‘’].*")) {
      Raised.split(words).forEach(into::add);
      return level;
    }
    int open = level;
    StringBuilder plain = new StringBuilder();
    List<Character> pending = new ArrayList<>();
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      char kind = c == '“' || c == '”' ? '"' : c == '‘' || c == '’' ? '\'' : c;
      boolean isMark = kind == '"' || kind == '\'';
      boolean opens = isMark && c != '”' && c != '’' && opens(text, i, kind);
      boolean closes =
          isMark
              && !opens
              && !pending.isEmpty()
              && pending.get(pending.size() - 1) == kind
              && closes(text, i);
      if (opens || closes) {
        if (plain.length() > 0) {
          into.add(Output.field(plain.toString()));
          plain.setLength(0);
        }
        if (opens) {
          into.add(mark(open++, true));
          pending.add(kind);
        } else {
          into.add(mark(--open, false));
          pending.remove(pending.size() - 1);
        }
      } else {
        plain.append(c == '\'' ? '’' : c);
      }
    }
    if (plain.length() > 0) {
      into.add(Output.field(plain.toString()));
    }
    return level;
  }

  private static boolean opens(String text, int at, char kind) {
    boolean begins = at == 0 || " ([/—–-\u00a0\"'“‘".indexOf(text.charAt(at - 1)) >= 0;
    if (!begins || at + 1 >= text.length() || Character.isWhitespace(text.charAt(at + 1))) {
      return false;
    }
    for (int i = at + 1; i < text.length(); i++) {
      char c = text.charAt(i);
      char same = c == '”' ? '"' : c == '’' ? '\'' : c;
      if (same == kind && i > at + 1 && closes(text, i)) {
        return true;
      }
    }
    return false;
  }

  private static boolean closes(String text, int at) {
    return at + 1 >= text.length() || !Character.isLetterOrDigit(text.charAt(at + 1));
  }

  private void punctuation(List<Output.Words> words) {
    for (int i = 1; i < words.size(); i++) {
      Output.Words next = words.get(i);
      int before = i - 1;
      while (before > 0 && words.get(before).text.isEmpty()) {
        before--;
      }
      Output.Words last = words.get(before);
      if (last.text.isEmpty() || next.text.isEmpty()) {
        continue;
      }
      if (last.from == Output.Words.From.CLOSE_QUOTE) {
        behindQuote(words, before, next);
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
