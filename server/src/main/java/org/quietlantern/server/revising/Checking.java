package org.quietlantern.server.revising;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A revision is given to a colleague, who looks at it and says so. Nobody checks their own. */
@Service
public class Checking implements CommandKinds {
  private final RevisingMapper mapper;
  private final Revisions revisions;
  private final Groups groups;
  private final Commands commands;
  private final Calendar calendar;

  private final CommandKind<Boolean, Before> check =
      new CommandKind<>("search.check", Boolean.class, Before.class, this::takeBack);

  /** A revision that waits for the member's check. */
  public record ToCheck(String search, String name, int n, String by, Instant at) {}

  /** {@code known}: the check as it was; none if nobody had asked. Row numbers. */
  record Before(int revision, int checker, @Nullable RevisingMapper.Check known) {}

  Checking(
      RevisingMapper mapper,
      Revisions revisions,
      Groups groups,
      Commands commands,
      Calendar calendar) {
    this.mapper = mapper;
    this.revisions = revisions;
    this.groups = groups;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** What waits for the member's check, the longest waiting first. */
  @Transactional(readOnly = true)
  public List<ToCheck> waitingFor(Member who) {
    Map<Integer, String> names = groups.names(who.group());
    return mapper.waiting(who.id()).stream()
        .map(
            row ->
                new ToCheck(
                    row.pid(),
                    row.name(),
                    row.n(),
                    names.getOrDefault(row.askedBy(), "a former member"),
                    row.asked()))
        .toList();
  }

  /** Gives a revision to a colleague. {@code colleague}: public id of the membership. */
  public void give(Member who, UUID command, String search, int n, String colleague) {
    commands.run(
        who,
        command,
        check,
        () -> {
          Member checker = groups.member(who.group(), colleague);
          return step(
              who,
              search,
              n,
              checker,
              (known, revision) ->
                  new RevisingMapper.Check(
                      revision,
                      checker.id(),
                      who.id(),
                      calendar.now(),
                      known == null ? null : known.checked()));
        });
  }

  /** The member looked at a revision whole. */
  public void checked(Member who, UUID command, String search, int n) {
    commands.run(
        who,
        command,
        check,
        () ->
            step(
                who,
                search,
                n,
                who,
                (known, revision) ->
                    new RevisingMapper.Check(
                        revision,
                        who.id(),
                        known == null ? null : known.askedBy(),
                        known == null ? null : known.asked(),
                        calendar.now())));
  }

  private interface Step {
    RevisingMapper.Check after(RevisingMapper.Check known, int revision);
  }

  private CommandResult<Boolean, Before> step(
      Member who, String search, int n, Member checker, Step step) {
    Revisions.Revision revision = revisions.get(who, search, n);
    if (revision.membership() == checker.id()) {
      throw Refusal.unusable("own-revision", "A revision is checked by somebody else.");
    }
    if (!checker.mayWrite()) {
      throw Refusal.unusable("guest", "A guest cannot check.");
    }
    RevisingMapper.Check known = mapper.check(revision.row(), checker.id());
    mapper.setCheck(step.after(known, revision.row()));
    return CommandResult.of(true, new Before(revision.row(), checker.id(), known))
        .changing(List.of("check:" + revision.row() + ":" + checker.id()))
        .about(Subject.Of.SEARCH, List.of(search))
        .about(Subject.Of.PERSON, List.of(checker.pid()));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(check);
  }

  private String takeBack(Member who, UUID command, Before before) {
    if (before.known() == null) {
      mapper.removeCheck(before.revision(), before.checker());
    } else {
      mapper.setCheck(before.known());
    }
    return "";
  }
}
