package org.quietlantern.server.matching;

import java.util.List;
import org.quietlantern.core.query.Span;

/**
 * What a search found.
 *
 * @param count exact
 * @param asOf names the state of the catalogue that it was counted in
 * @param number the last change of the catalogue in that state
 * @param ids the first 1,000, in order
 * @param notes things worth pointing out in the text
 * @param covers how many words each cut word covers
 */
public record Answer(
    int count, String asOf, long number, List<String> ids, List<Note> notes, List<Cut> covers) {

  /** Something about a line. {@code column} counts from 1. */
  public record Note(String line, String code, int column, Span span, String sentence) {}

  /** A cut word and what it covers. */
  public record Cut(String line, String typed, int words) {}
}
