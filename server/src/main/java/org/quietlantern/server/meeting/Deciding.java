package org.quietlantern.server.meeting;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.review.Outcome;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Decisions;
import org.quietlantern.server.review.Decisions.Decision;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;

/**
 * What a meeting comes to on a work. It is the group's: what was raised and disputed till then is
 * settled, a keep goes into a folder in the group's name, and whoever is there and had said nothing
 * has seen the work. What members said stays as it is.
 */
@Service
public class Deciding implements CommandKinds {
  private static final int LONGEST = 4000;

  private final Meetings meetings;
  private final MeetingMapper mapper;
  private final Agenda agenda;
  private final Decisions decisions;
  private final Reviews reviews;
  private final Publications publications;
  private final DecidedFolders folders;
  private final Groups groups;
  private final Commands commands;
  private final Calendar calendar;

  private final CommandKind<WrittenDown, Before> decide =
      new CommandKind<>("meeting.decide", WrittenDown.class, Before.class, this::takeBack);

  /**
   * What is decided.
   *
   * @param publication its id; with an occasion behind an {@code @} as it comes again
   * @param what {@code keep}, {@code pass} or {@code open}
   * @param was what stood there before, as whoever decides has seen it; empty for nothing
   * @param folder into which a keep goes: of a work that first comes, needed
   * @param outOf folders that a passed work leaves
   */
  public record Wanted(
      String publication,
      String what,
      String words,
      String was,
      @Nullable String folder,
      List<String> outOf) {}

  /** {@code note}: what became of it in folders; may be empty. */
  public record WrittenDown(String what, String note) {}

  /** A member (row number) who has seen the work by it, and their mark. */
  record Seen(int membership, int event) {}

  /** For an undo. {@code former}: the decision that it took the place of. */
  record Before(
      int work,
      int decision,
      DecidedFolders.Moved moved,
      List<Seen> seen,
      @Nullable Decision former) {}

  Deciding(
      Meetings meetings,
      MeetingMapper mapper,
      Agenda agenda,
      Decisions decisions,
      Reviews reviews,
      Publications publications,
      DecidedFolders folders,
      Groups groups,
      Commands commands,
      Calendar calendar) {
    this.meetings = meetings;
    this.mapper = mapper;
    this.agenda = agenda;
    this.decisions = decisions;
    this.reviews = reviews;
    this.publications = publications;
    this.folders = folders;
    this.groups = groups;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** Writes down what it came to on a work. */
  public WrittenDown decide(Member who, UUID command, String meeting, Wanted wanted) {
    Outcome outcome =
        Outcome.named(wanted.what())
            .orElseThrow(() -> Refusal.unusable("what", "A meeting keeps, passes or leaves open."));
    if (wanted.words().length() > LONGEST) {
      throw Refusal.unusable("words", "What is noted has at most 4,000 characters.");
    }
    return commands.run(
        who, command, decide, () -> decided(who, command, meeting, outcome, wanted));
  }

  private CommandResult<WrittenDown, Before> decided(
      Member who, UUID command, String pid, Outcome outcome, Wanted wanted) {
    MeetingMapper.Row meeting = meetings.underWay(who, pid);
    Coming.Of named = named(wanted.publication());
    StoredPublication work = publications.get(Viewer.of(who), named.work());
    Reviews.Comes comes = new Reviews.Comes(work.id(), named.on());
    int occasion = occasion(who, meeting, comes);
    Decision former = decisions.ofMeeting(meeting.id()).get(occasion);
    if (!wanted.was().equals(former == null ? "" : former.what())) {
      throw Refusal.conflict(
          "changed-since", "Somebody wrote down what you came to on this work meanwhile.");
    }
    DecidedFolders.Moved moved =
        folders.carryOut(who, work, outcome, wanted, named.on().isFirst(), former);
    int event = decisions.lastEvent();
    List<Seen> seen = outcome.settles() ? seen(who, command, meeting, comes) : List.of();
    int decision =
        decisions.add(
            who.group(),
            work.id(),
            new Decision(
                0,
                meeting.id(),
                occasion,
                outcome.word(),
                wanted.words().strip(),
                event,
                who.id(),
                calendar.now(),
                moved.folder(),
                moved.reason(),
                null));
    Before before = new Before(work.id(), decision, moved, seen, former);
    return CommandResult.of(new WrittenDown(outcome.word(), moved.note()), before)
        .changing(List.of("decision:" + meeting.id() + ":" + named.on().text() + ":" + work.id()))
        .about(Subject.Of.PUBLICATION, List.of(work.pid()))
        .about(Subject.Of.MEETING, List.of(pid));
  }

  private static Coming.Of named(String publication) {
    try {
      return Coming.Of.named(publication);
    } catch (RuntimeException unknown) {
      throw Refusal.unusable("publication", "There is no such occasion.");
    }
  }

  private int occasion(Member who, MeetingMapper.Row meeting, Reviews.Comes comes) {
    return agenda.of(who, meeting).stream()
        .filter(one -> one.place().equals(new Agenda.Place(comes.publication(), comes.on())))
        .map(one -> one.point().occasion())
        .findFirst()
        .orElseThrow(Refusal::unknown);
  }

  /** Whoever is there and had said nothing has seen it now. */
  private List<Seen> seen(
      Member who, UUID command, MeetingMapper.Row meeting, Reviews.Comes comes) {
    if (!comes.on().occasion().isToReview()) {
      return List.of();
    }
    Set<Integer> present = Set.copyOf(mapper.present(meeting.id()));
    return groups.members(who.group()).stream()
        .filter(one -> one.mayWrite() && present.contains(one.id()))
        .filter(one -> reviews.on(one, comes).filter(said -> said.mark() != Mark.REST).isEmpty())
        .map(one -> new Seen(one.id(), reviews.mark(one, command, comes, Mark.SEEN, "")))
        .toList();
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(decide);
  }

  private String takeBack(Member who, UUID command, Before before) {
    for (Seen one : before.seen()) {
      groups
          .inGroup(who.group(), one.membership())
          .ifPresent(member -> reviews.takeBack(member, command, before.work(), one.event()));
    }
    decisions.remove(who.group(), before.work(), before.decision());
    return publications.byId(Viewer.of(who), List.of(before.work())).stream()
        .map(work -> folders.takeBack(who, work, before.moved(), before.former()))
        .collect(Collectors.joining());
  }
}
