package org.quietlantern.server.meeting;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.quietlantern.server.arrival.ArrivalList;
import org.quietlantern.server.platform.Nullable;

/**
 * A meeting; the works of its agenda are asked for on their own.
 *
 * @param present ids of the members who are there
 * @param outcomes what it came to, where something was written down
 * @param more how many works stand open that the agenda has no room for
 * @param since how many stand open since it began and are not on its agenda
 */
public record MeetingShown(
    MeetingLine meeting, List<String> present, List<OutcomeShown> outcomes, int more, int since) {

  /**
   * A meeting in a list.
   *
   * @param day when it is held, in the group's zone
   * @param by who called it
   * @param state {@code planned}, {@code under way}, {@code over} or {@code called off}
   * @param sent when its agenda last went out by mail
   * @param works on its agenda; {@code decided}: kept or passed of them
   * @param version to be given with any change
   */
  public record MeetingLine(
      String id,
      LocalDate day,
      LocalTime time,
      String place,
      String by,
      String state,
      @Nullable Instant sent,
      @Nullable Instant begun,
      @Nullable Instant ended,
      int works,
      int decided,
      int version) {}

  /** A work on the agenda; {@code why}: {@code raised} or {@code disputed}. */
  public record AgendaWork(ArrivalList.ArrivalListed work, String why) {}

  /**
   * What was written down.
   *
   * @param work as the arrival on the agenda is named
   * @param what {@code keep}, {@code pass} or {@code open}
   * @param by who wrote it down
   */
  public record OutcomeShown(String work, String what, String words, String by, Instant at) {}
}
