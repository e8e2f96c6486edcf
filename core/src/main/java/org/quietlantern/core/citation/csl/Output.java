package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;

/**
 * What is rendered: words, and spans of them that look alike. It is finished in place, so its words
 * can be changed.
 */
abstract sealed class Output {
  /** Words. */
  static final class Words extends Output {
    /** Where words come from, for what may be changed at them. */
    enum From {
      FIELD,
      STYLE,
      TERM,
      OPEN_QUOTE,
      CLOSE_QUOTE
    }

    String text;
    final From from;

    /** Of a mark of quotation: whether it stands in a field. */
    boolean typed;

    boolean isOfStyle() {
      return from == From.STYLE || from == From.TERM;
    }

    Words(String text, From from) {
      this.text = text;
      this.from = from;
    }
  }

  /** A part that looks alike. */
  static final class Span extends Output {
    final List<Output> children = new ArrayList<>();
    final List<String> decorations;
    final String display;

    /** Whether the decorations were in a field; those turn over within the same. */
    final boolean ofField;

    boolean quoted;

    /** Whether it is a field with all its markup. */
    boolean isField;

    Span(List<String> decorations, String display, boolean ofField) {
      this.decorations = decorations;
      this.display = display;
      this.ofField = ofField;
    }

    /** Null, what came to nothing, is left out. */
    Span add(Output child) {
      if (child != null) {
        children.add(child);
      }
      return this;
    }
  }

  static Words field(String text) {
    return new Words(text, Words.From.FIELD);
  }

  /** Null for no words, which {@link Span#add} leaves out. */
  static Words style(String text) {
    return text.isEmpty() ? null : new Words(text, Words.From.STYLE);
  }

  static Span span() {
    return new Span(List.of(), "", false);
  }

  /** All words in their order. */
  static List<Words> words(Output of) {
    List<Words> words = new ArrayList<>();
    collect(of, words);
    return words;
  }

  private static void collect(Output of, List<Words> into) {
    if (of instanceof Words words) {
      into.add(words);
    } else if (of instanceof Span span) {
      span.children.forEach(child -> collect(child, into));
    }
  }

  static String plain(Output of) {
    StringBuilder text = new StringBuilder();
    append(of, text);
    return text.toString();
  }

  private static void append(Output of, StringBuilder text) {
    if (of instanceof Words words) {
      text.append(words.text);
    } else {
      ((Span) of).children.forEach(child -> append(child, text));
    }
  }

  static boolean isEmpty(Output of) {
    if (of instanceof Words words) {
      return words.text.isEmpty();
    }
    for (Output child : ((Span) of).children) {
      if (!isEmpty(child)) {
        return false;
      }
    }
    return true;
  }
}
