package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.quietlantern.server.arrival.ArrivalList;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.meeting.Deciding;
import org.quietlantern.server.meeting.MeetingPages;
import org.quietlantern.server.meeting.MeetingShown.AgendaWork;
import org.quietlantern.server.meeting.Meetings;
import org.quietlantern.server.platform.Calendar;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** A meeting that the first made-up group has held, and the next one. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoMeeting {
  private record Came(String what, String words) {}

  private static final List<Came> CAME_TO =
      List.of(
          new Came("keep", "It has the counts by hour that we lack."),
          new Came("pass", "Nothing in it is dimmed."),
          new Came("open", "When somebody has read the supplement."));

  private final DemoMembers members;
  private final Meetings meetings;
  private final MeetingPages pages;
  private final Deciding deciding;
  private final Calendar calendar;

  DemoMeeting(
      DemoMembers members,
      Meetings meetings,
      MeetingPages pages,
      Deciding deciding,
      Calendar calendar) {
    this.members = members;
    this.meetings = meetings;
    this.pages = pages;
    this.deciding = deciding;
    this.calendar = calendar;
  }

  /** {@code left}: days until the past ends. */
  void live(long left) {
    LocalDate today = LocalDate.ofInstant(calendar.now(), ZoneOffset.UTC);
    if (left == 5) {
      held(called("Maren", today, LocalTime.of(13, 30)));
    }
    if (left == 1) {
      called("Ilse", today.plusDays(3), LocalTime.of(14, 0));
    }
  }

  private String called(String given, LocalDate day, LocalTime time) {
    Meetings.Called called = new Meetings.Called(day, time, "Room 214, Tern Hollow");
    return meetings.call(members.named(given), command("call " + day), called).id();
  }

  private void held(String meeting) {
    Member maren = members.named("Maren");
    List<String> there =
        Stream.of("Ilse", "Teodor", "Maren").map(members::named).map(Member::pid).toList();
    meetings.begin(maren, command("begin " + meeting), meeting, there, version(maren, meeting));
    List<AgendaWork> works = pages.works(maren, meeting);
    for (int n = 0; n < Math.min(CAME_TO.size(), works.size()); n++) {
      decide(maren, meeting, works.get(n).work(), CAME_TO.get(n));
    }
    meetings.end(maren, command("end " + meeting), meeting, version(maren, meeting));
  }

  private void decide(Member who, String meeting, ArrivalList.ArrivalListed work, Came came) {
    ArrivalList.InRound round = work.round();
    // Kept is what an alert found: it has a folder for it.
    if (round == null && came.what().equals("keep")) {
      return;
    }
    String name = work.arrival().id();
    deciding.decide(
        who,
        command(meeting + name),
        meeting,
        new Deciding.Wanted(
            name,
            came.what(),
            came.words(),
            "",
            round == null ? null : round.folder().id(),
            List.of()));
  }

  private int version(Member who, String meeting) {
    return pages.get(who, meeting).meeting().version();
  }

  private static UUID command(String what) {
    return UUID.nameUUIDFromBytes(("demo meets\n" + what).getBytes(StandardCharsets.UTF_8));
  }
}
