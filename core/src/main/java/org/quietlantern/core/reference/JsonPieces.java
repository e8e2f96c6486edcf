package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The objects of a list of JSON, as they stand in the text. One that cannot be read is passed over
 * with its line, and the next begins behind it, or within it where it has no end.
 */
final class JsonPieces {
  /** Letters of one object. */
  private static final int LONGEST = 2_000_000;

  private static final int DEEPEST = 50;

  /** So many broken ones are no accident. */
  private static final int MOST_BROKEN = 1_000;

  private final String text;
  private final List<ReadFile.Problem> problems = new ArrayList<>();
  private int at;
  private int begun;
  private int line = 1;
  private int counted;
  private int broken;

  /** Whether the last one was broken, and nothing was read since. */
  private boolean lost;

  /** {@code line}: on which it begins, from 1. */
  record Piece(String text, int line) {}

  JsonPieces(String text) {
    this.text = text;
  }

  List<ReadFile.Problem> problems() {
    return problems;
  }

  /** The next; empty behind the last. */
  Optional<Piece> next() {
    while (broken < MOST_BROKEN) {
      begun = begin(at);
      if (begun < 0) {
        return Optional.empty();
      }
      int end = end(begun);
      if (end > 0) {
        at = end;
        return Optional.of(new Piece(text.substring(begun, end), line(begun)));
      }
      at = begun + 1;
      tell();
    }
    problems.add(new ReadFile.Problem(line(begun), "Too much is broken; the rest was not read."));
    return Optional.empty();
  }

  /** Whether the piece that came last could be read; if not, the next may begin within it. */
  void taken(boolean read) {
    if (read) {
      lost = false;
    } else {
      at = begun + 1;
      tell();
    }
  }

  private void tell() {
    broken++;
    if (!lost) {
      problems.add(new ReadFile.Problem(line(begun), "An item is no JSON from here on."));
    }
    lost = true;
  }

  /**
   * Where an object of the list begins. Behind a broken one only one that begins like an item of a
   * list does: what lies within is none.
   */
  private int begin(int from) {
    int found = text.indexOf('{', from);
    while (lost && found >= 0 && !beginsAnItem(found)) {
      found = text.indexOf('{', found + 1);
    }
    return found;
  }

  /** An item begins behind the end of another, with one of the names that items have. */
  private boolean beginsAnItem(int brace) {
    int before = brace - 1;
    while (before >= 0 && Character.isWhitespace(text.charAt(before))) {
      before--;
    }
    String begins = text.substring(brace, Math.min(text.length(), brace + 60));
    return (before < 0 || ",[}".indexOf(text.charAt(before)) >= 0)
        && begins.matches("(?s)\\{\\s*\"(?:id|type|title|DOI|author|issued)\"\\s*:.*");
  }

  /** Behind the brace that closes it; -1 where there is none. */
  private int end(int from) {
    int depth = 0;
    boolean quoted = false;
    int most = Math.min(text.length(), from + LONGEST);
    for (int i = from; i < most; i++) {
      char letter = text.charAt(i);
      if (quoted) {
        if (letter == '\\') {
          i++;
        } else {
          quoted = letter != '"';
        }
      } else if (letter == '"') {
        quoted = true;
      } else if (letter == '{' || letter == '[') {
        if (++depth > DEEPEST) {
          return -1;
        }
      } else if ((letter == '}' || letter == ']') && --depth == 0) {
        return i + 1;
      }
    }
    return -1;
  }

  private int line(int position) {
    for (; counted < position; counted++) {
      if (text.charAt(counted) == '\n') {
        line++;
      }
    }
    return line;
  }
}
