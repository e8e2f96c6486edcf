package org.quietlantern.core.citation.csl;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Marks of quotation in a field, straight or not: which of them are pairs, and how deep each stands
 * in others. What has no partner stays as it is; single ones are apostrophes.
 */
final class FieldQuotes {
  private static final String BEFORE = " ([/—–-\u00a0";
  private final String text;

  /** Of the marks that are pairs: how deep, by their place; closing ones negative, from 1. */
  private final Map<Integer, Integer> pairs = new HashMap<>();

  private record Open(int at, char kind) {}

  private FieldQuotes(String text) {
    this.text = text;
    Deque<Open> open = new ArrayDeque<>();
    List<int[]> found = new ArrayList<>();
    for (int i = 0; i < text.length(); i++) {
      char kind = kind(text.charAt(i));
      if (kind == ' ') {
        continue;
      }
      boolean closes = closes(i) && !open.isEmpty() && open.peek().kind() == kind;
      if (closes) {
        found.add(new int[] {open.pop().at(), i});
      } else if (opens(i, !open.isEmpty() && open.peek().at() == i - 1)) {
        open.push(new Open(i, kind));
      }
    }
    for (int[] pair : found) {
      int deep = (int) found.stream().filter(one -> one[0] < pair[0] && one[1] > pair[1]).count();
      pairs.put(pair[0], deep + 1);
      pairs.put(pair[1], -(deep + 1));
    }
  }

  /** Of a field with all its words. */
  static FieldQuotes of(List<Output.Words> words) {
    StringBuilder text = new StringBuilder();
    words.forEach(one -> text.append(one.text));
    return new FieldQuotes(text.toString());
  }

  /** At a place of the whole field: 0 for no mark, else how deep from 1, negative for a close. */
  int at(int place) {
    return pairs.getOrDefault(place, 0);
  }

  private static char kind(char c) {
    return switch (c) {
      case '"', '“', '”' -> '"';
      case '\'', '‘', '’' -> '\'';
      default -> ' ';
    };
  }

  /** {@code behindOpen}: whether a mark that opens stands before it. */
  private boolean opens(int at, boolean behindOpen) {
    char c = text.charAt(at);
    boolean begins = at == 0 || behindOpen || BEFORE.indexOf(text.charAt(at - 1)) >= 0;
    boolean goesOn = at + 1 < text.length() && !Character.isWhitespace(text.charAt(at + 1));
    return begins && goesOn && c != '”' && c != '’';
  }

  private boolean closes(int at) {
    boolean before = at > 0 && !Character.isWhitespace(text.charAt(at - 1));
    boolean ends = at + 1 >= text.length() || !Character.isLetterOrDigit(text.charAt(at + 1));
    return before && ends;
  }
}
