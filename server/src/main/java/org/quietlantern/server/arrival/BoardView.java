package org.quietlantern.server.arrival;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.quietlantern.server.platform.Nullable;

/**
 * How far the group is with what came in a stretch of days: members across, what came down.
 *
 * @param by {@code round}, {@code week} or {@code alert}: what a row is
 * @param from the first day, in the group's zone; {@code to}: the last
 * @param earliest the first day of which there is something; none where nothing came yet
 * @param only name of the alert that it is of; none: of all
 * @param rows the first that came is first
 * @param notes who came, went or was away in these days, in their order
 */
public record BoardView(
    String by,
    LocalDate from,
    LocalDate to,
    LocalDate today,
    @Nullable LocalDate earliest,
    @Nullable String only,
    List<BoardRow> rows,
    List<BoardNote> notes) {

  /**
   * A round, or all rounds of a week or of an alert together.
   *
   * @param round the round, where the row is one; {@code alert}: whose, where it is of one
   * @param name of the alert; empty where it is of several
   * @param from when it began to gather, or the first day of the week; {@code to}: when it closed,
   *     or the last day of the week; none as long as something of it gathers
   * @param rounds how many there are
   * @param reviewed how many each member has reviewed, by the member's id; {@code shares}: how many
   *     are the member's to review
   * @param covered how many have as many lit lamps as are asked for; {@code nobody}: how many none
   * @param waitingSince when the oldest came that is not covered
   */
  public record BoardRow(
      @Nullable String round,
      @Nullable String alert,
      String name,
      LocalDate from,
      @Nullable LocalDate to,
      int rounds,
      int arrivals,
      Map<String, Integer> reviewed,
      Map<String, Integer> shares,
      int covered,
      int nobody,
      @Nullable Instant waitingSince) {}

  /**
   * Why somebody owes less than others.
   *
   * @param member none of whoever is no member any more
   * @param what {@code joined}, {@code left} or {@code away}
   * @param to the last day away; none: until further notice, or it was one day
   */
  public record BoardNote(
      @Nullable String member, String what, LocalDate from, @Nullable LocalDate to) {}
}
