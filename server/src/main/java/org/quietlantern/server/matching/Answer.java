package org.quietlantern.server.matching;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.search.LineHelp;
import org.quietlantern.core.search.WaysOut;
import org.quietlantern.server.platform.Nullable;

/**
 * What a search found.
 *
 * @param count exact
 * @param listed how many of them a filter of the list leaves; all without one
 * @param asOf names the state that it was counted in
 * @param at when it was counted, by the calendar
 * @param number the last change of the catalogue in that state
 * @param ids the first 1,000 of those, in order
 * @param lines counts of the lines, in their order; without lines that wait for their words
 * @param notes things worth pointing out in the text
 * @param covers how many words each cut word covers
 * @param unheaded of a strategy of headings only: how many came lately, meet its other lines and
 *     have no headings
 */
public record Answer(
    int count,
    int listed,
    String asOf,
    Instant at,
    long number,
    List<String> ids,
    List<LineCounted> lines,
    List<Note> notes,
    List<Cut> covers,
    @Nullable Integer unheaded) {

  /** Something about a line. {@code column} counts from 1. */
  public record Note(String line, String code, int column, Span span, String sentence) {}

  /** A cut word and what it covers. */
  public record Cut(String line, String typed, int words) {}

  /**
   * Counts of a line, all of one state.
   *
   * @param alone what it finds by itself; for a line that rules out, what there is to rule out
   * @param left what the lines in force down to it find together; none for a line not in force
   * @param without what the search would find without it
   * @param rulesOut whether it takes away
   * @param costsMost whether no other line costs more results than it
   * @param unknown what a limit leaves out only because its value is not known
   * @param inactive why a limit does not act, as a sentence
   * @param says the present dates of a rolling limit and the like
   * @param forms written forms that its words meet
   * @param offers what has to be said at once of its words: spellings, capitals
   */
  public record LineCounted(
      String line,
      int alone,
      @Nullable Integer left,
      @Nullable Integer without,
      boolean rulesOut,
      boolean costsMost,
      @Nullable Integer unknown,
      @Nullable String inactive,
      @Nullable String says,
      List<Met> forms,
      List<Offer> offers) {}

  /** An unquoted word and the forms that it meets. */
  public record Met(String typed, List<String> forms) {}

  /**
   * Something to put into a line: {@code text} beside what stands at {@code span}, or {@code
   * inPlace} of it.
   *
   * @param count what the text finds alone
   * @param line the text of the line then
   */
  public record Offer(
      String kind, Span span, String text, int count, boolean inPlace, String line) {
    public static Offer of(Line.Words line, LineHelp.Offer offer) {
      boolean inPlace = offer.kind().inPlace();
      return new Offer(
          offer.kind().name().toLowerCase(Locale.ROOT),
          offer.span(),
          offer.text(),
          offer.count(),
          inPlace,
          WaysOut.putInto(line.text(), offer.span(), offer.text(), inPlace));
    }
  }
}
