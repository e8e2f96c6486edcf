package org.quietlantern.server.meeting;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Zones;
import org.quietlantern.server.review.Decisions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Calls a meeting, begins it, notes who is there, ends it. Any member may. */
@Service
public class Meetings implements CommandKinds {
  private static final int LONGEST_PLACE = 200;

  private final MeetingMapper mapper;
  private final Agenda agenda;
  private final Decisions decisions;
  private final Groups groups;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  private final CommandKind<MeetingGiven, Before> call = kind("call");
  private final CommandKind<MeetingGiven, Before> change = kind("change");
  private final CommandKind<MeetingGiven, Before> callOff = kind("call-off");
  private final CommandKind<MeetingGiven, Before> begin = kind("begin");
  private final CommandKind<MeetingGiven, Before> present = kind("present");
  private final CommandKind<MeetingGiven, Before> takeOn = kind("take-on");
  private final CommandKind<MeetingGiven, Before> end = kind("end");

  /** A meeting that something was done to. */
  public record MeetingGiven(String id) {}

  /**
   * As it was.
   *
   * @param present row numbers of memberships
   * @param works occasions (row numbers) that were put on the agenda
   */
  record Before(MeetingMapper.Row row, List<Integer> present, List<Integer> works) {}

  Meetings(
      MeetingMapper mapper,
      Agenda agenda,
      Decisions decisions,
      Groups groups,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.agenda = agenda;
    this.decisions = decisions;
    this.groups = groups;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  private CommandKind<MeetingGiven, Before> kind(String act) {
    return CommandKind.of("meeting." + act, MeetingGiven.class, Before.class, this::putBack);
  }

  /** When and where: in the group's zone. */
  public record Called(LocalDate day, LocalTime time, String place) {}

  /** Calls the group together. */
  public MeetingGiven call(Member who, UUID command, Called called) {
    Instant at = at(who, called);
    String place = place(called);
    return commands.run(
        who,
        command,
        call,
        () -> {
          String pid = ids.next();
          mapper.add(new MeetingMapper.New(pid, who.group(), at, place, who.id(), calendar.now()));
          MeetingMapper.Row row = find(who, pid);
          return done(row, new Before(row.calledOff(), List.of(), List.of()));
        });
  }

  private static Instant at(Member who, Called called) {
    try {
      return called.day().atTime(called.time()).atZone(who.zoneId()).toInstant();
    } catch (DateTimeException far) {
      throw Refusal.unusable("day", "There is no such day.");
    }
  }

  private static String place(Called called) {
    String place = Text.clean(called.place());
    if (place.length() > LONGEST_PLACE) {
      throw Refusal.unusable("place", "Say where in 200 letters at most.");
    }
    return place;
  }

  /** Another time or place, as long as it has not begun. */
  MeetingGiven change(Member who, UUID command, String meeting, Called called, int version) {
    Instant at = at(who, called);
    String place = place(called);
    return commands.run(
        who,
        command,
        change,
        () -> {
          MeetingMapper.Row row = planned(who, meeting, version);
          mapper.put(row.moved(at, place));
          return done(row, before(row));
        });
  }

  MeetingGiven callOff(Member who, UUID command, String meeting, int version) {
    return commands.run(
        who,
        command,
        callOff,
        () -> {
          MeetingMapper.Row row = planned(who, meeting, version);
          mapper.put(row.calledOff());
          return done(row, before(row));
        });
  }

  /** {@code there}: public ids of members. Its agenda stands from now on. */
  public MeetingGiven begin(
      Member who, UUID command, String meeting, List<String> there, int version) {
    return commands.run(
        who,
        command,
        begin,
        () -> {
          MeetingMapper.Row row = planned(who, meeting, version);
          Before before = before(row);
          List<Agenda.Work> works = agenda.of(who, row);
          put(row, works);
          mapper.put(row.begunOn(calendar.now()));
          setPresent(row, members(who, there));
          return done(row, new Before(before.row(), before.present(), occasions(works)));
        });
  }

  /** Who is there, as long as it is under way. */
  MeetingGiven present(Member who, UUID command, String meeting, List<String> there, int version) {
    return commands.run(
        who,
        command,
        present,
        () -> {
          MeetingMapper.Row row = seen(underWay(who, meeting), version);
          Before before = before(row);
          setPresent(row, members(who, there));
          mapper.put(row);
          return done(row, before);
        });
  }

  /** Takes on what was raised or came into dispute since it began. */
  MeetingGiven takeOn(Member who, UUID command, String meeting) {
    return commands.run(
        who,
        command,
        takeOn,
        () -> {
          MeetingMapper.Row row = underWay(who, meeting);
          List<Agenda.Work> works = agenda.since(who, agenda.of(who, row));
          if (works.isEmpty()) {
            throw Refusal.conflict("nothing-since", "Nothing more stands open.");
          }
          put(row, works);
          mapper.put(row);
          return done(row, new Before(row, mapper.present(row.id()), occasions(works)));
        });
  }

  /** Ends it; its minutes stand then. */
  public MeetingGiven end(Member who, UUID command, String meeting, int version) {
    return commands.run(
        who,
        command,
        end,
        () -> {
          MeetingMapper.Row row = seen(underWay(who, meeting), version);
          mapper.put(row.endedOn(calendar.now(), decisions.lastEvent()));
          return done(row, before(row));
        });
  }

  private void put(MeetingMapper.Row row, List<Agenda.Work> works) {
    mapper.putOn(
        row.id(),
        occasions(works).toArray(Integer[]::new),
        works.stream().map(work -> work.why().word()).toArray(String[]::new));
  }

  private static List<Integer> occasions(List<Agenda.Work> works) {
    return works.stream().map(work -> work.point().occasion()).toList();
  }

  private List<Integer> members(Member who, Collection<String> pids) {
    Map<String, Integer> known =
        groups.members(who.group()).stream()
            .filter(Member::mayWrite)
            .collect(Collectors.toMap(Member::pid, Member::id));
    if (!known.keySet().containsAll(pids)) {
      throw Refusal.unusable("present", "Members of the group are there; guests are not noted.");
    }
    return pids.stream().distinct().map(known::get).toList();
  }

  private void setPresent(MeetingMapper.Row row, List<Integer> members) {
    mapper.nobodyPresent(row.id());
    mapper.addPresent(row.id(), members.toArray(Integer[]::new));
  }

  private Before before(MeetingMapper.Row row) {
    return new Before(row, mapper.present(row.id()), List.of());
  }

  MeetingMapper.Row find(Member who, String pid) {
    return Optional.ofNullable(mapper.find(who.group(), pid)).orElseThrow(Refusal::unknown);
  }

  /** One that is under way; refused otherwise. */
  MeetingMapper.Row underWay(Member who, String pid) {
    return in(who, pid, MeetingMapper.Row::isUnderWay);
  }

  private MeetingMapper.Row planned(Member who, String pid, int version) {
    return seen(in(who, pid, MeetingMapper.Row::isPlanned), version);
  }

  private MeetingMapper.Row in(Member who, String pid, Predicate<MeetingMapper.Row> state) {
    MeetingMapper.Row row = find(who, pid);
    if (!state.test(row)) {
      throw Refusal.conflict("changed-since", "This meeting is " + row.state() + ".");
    }
    return row;
  }

  private static MeetingMapper.Row seen(MeetingMapper.Row row, int version) {
    if (row.version() != version) {
      throw Refusal.conflict(
          "changed-since", "Somebody changed this meeting meanwhile; look at it again.");
    }
    return row;
  }

  private static CommandResult<MeetingGiven, Before> done(MeetingMapper.Row row, Before before) {
    return CommandResult.of(new MeetingGiven(row.pid()), before)
        .changing(Subject.Of.MEETING, row.pid());
  }

  /** What meetings are called, by their public ids. */
  @Transactional(readOnly = true)
  public Map<String, String> names(Member who, Collection<String> pids) {
    if (pids.isEmpty()) {
      return Map.of();
    }
    return mapper.names(who.group(), pids.toArray(String[]::new)).stream()
        .collect(
            Collectors.toMap(
                MeetingMapper.Name::pid,
                row -> "the meeting of " + Zones.day(row.at(), who.zoneId())));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(call, change, callOff, begin, present, takeOn, end);
  }

  private String putBack(Before before) {
    MeetingMapper.Row row = before.row();
    Integer[] works = before.works().toArray(Integer[]::new);
    if (mapper.anyDecided(row.id(), works)) {
      throw Refusal.conflict(
          "changed-since", "Something was decided on since; take that back first.");
    }
    mapper.takeOff(row.id(), works);
    setPresent(row, before.present());
    mapper.putBack(row);
    return "";
  }
}
