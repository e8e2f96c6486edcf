package org.quietlantern.server.meeting;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/meetings")
class MeetingController {
  private final Meetings meetings;
  private final MeetingPages pages;
  private final Deciding deciding;
  private final AgendaLetters letters;

  /** When and where, in the group's zone. */
  record NewMeeting(LocalDate day, LocalTime time, String place) {
    Meetings.Called called() {
      return new Meetings.Called(day, time, place);
    }
  }

  record MeetingMoved(LocalDate day, LocalTime time, String place, int version) {
    Meetings.Called called() {
      return new Meetings.Called(day, time, place);
    }
  }

  /** {@code present}: ids of members. */
  record MeetingPresent(List<String> present, int version) {}

  record MeetingSeen(int version) {}

  /**
   * What a meeting came to on a work.
   *
   * @param publication its id; with an occasion behind an {@code @} as it comes again
   * @param what {@code keep}, {@code pass} or {@code open}
   * @param was what stood there before; empty for nothing
   * @param folder where a keep goes
   * @param outOf folders that a passed work leaves; absent: none
   */
  record NewDecision(
      String publication,
      String what,
      String words,
      String was,
      @Nullable String folder,
      @Nullable List<String> outOf) {}

  MeetingController(
      Meetings meetings, MeetingPages pages, Deciding deciding, AgendaLetters letters) {
    this.meetings = meetings;
    this.pages = pages;
    this.deciding = deciding;
    this.letters = letters;
  }

  /** Meetings ahead, and those of before, thirty at a time; {@code before}: the last seen. */
  @GetMapping
  MeetingPages.MeetingsPage meetings(
      Member me, @RequestParam(required = false) @Nullable String before) {
    return pages.page(me, before);
  }

  /** A meeting: when and where, who is there, how much stands open beside its agenda. */
  @GetMapping("/{meeting}")
  MeetingShown meeting(Member me, @PathVariable String meeting) {
    return pages.get(me, meeting);
  }

  /** Its agenda: until it begins what stands open now. With what was decided on each. */
  @GetMapping("/{meeting}/works")
  List<MeetingShown.AgendaWork> agenda(Member me, @PathVariable String meeting) {
    return pages.works(me, meeting);
  }

  /** Calls the group together. */
  @PostMapping
  Meetings.MeetingGiven callMeeting(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody NewMeeting body) {
    return meetings.call(me, command, body.called());
  }

  /** Another time or place, before it begins. */
  @PutMapping("/{meeting}")
  Meetings.MeetingGiven moveMeeting(
      Member me,
      @PathVariable String meeting,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody MeetingMoved body) {
    return meetings.change(me, command, meeting, body.called(), body.version());
  }

  /** Calls a meeting off that has not begun. */
  @DeleteMapping("/{meeting}")
  Meetings.MeetingGiven callMeetingOff(
      Member me,
      @PathVariable String meeting,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody MeetingSeen body) {
    return meetings.callOff(me, command, meeting, body.version());
  }

  /** Sends the agenda to all members by mail. */
  @PostMapping("/{meeting}/letters")
  AgendaLetters.AgendaSent mailAgenda(
      Member me, @PathVariable String meeting, @RequestHeader("Command-Id") UUID command) {
    return letters.send(me, command, meeting);
  }

  /** Begins it: what stands open now is its agenda. */
  @PutMapping("/{meeting}/begin")
  Meetings.MeetingGiven beginMeeting(
      Member me,
      @PathVariable String meeting,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody MeetingPresent body) {
    return meetings.begin(me, command, meeting, body.present(), body.version());
  }

  /** Notes who is there. */
  @PutMapping("/{meeting}/present")
  Meetings.MeetingGiven present(
      Member me,
      @PathVariable String meeting,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody MeetingPresent body) {
    return meetings.present(me, command, meeting, body.present(), body.version());
  }

  /** Takes on what has come to stand open since it began. */
  @PostMapping("/{meeting}/works")
  Meetings.MeetingGiven takeOn(
      Member me, @PathVariable String meeting, @RequestHeader("Command-Id") UUID command) {
    return meetings.takeOn(me, command, meeting);
  }

  /** Writes down what it came to on a work. */
  @PostMapping("/{meeting}/decisions")
  Deciding.WrittenDown decide(
      Member me,
      @PathVariable String meeting,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody NewDecision body) {
    return deciding.decide(
        me,
        command,
        meeting,
        new Deciding.Wanted(
            body.publication(),
            body.what(),
            body.words(),
            body.was(),
            body.folder(),
            body.outOf() == null ? List.of() : body.outOf()));
  }

  /** Ends it; its minutes stand then. */
  @PutMapping("/{meeting}/end")
  Meetings.MeetingGiven endMeeting(
      Member me,
      @PathVariable String meeting,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody MeetingSeen body) {
    return meetings.end(me, command, meeting, body.version());
  }
}
