package org.quietlantern.server.membership;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Absences;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/**
 * Members say when they are away, coordinators for anybody: what comes on those days is not theirs
 * to review (rule V5).
 */
@Service
public class BeingAway implements CommandKinds {
  private static final int MOST = 100;
  private final CommandKind<AwayNoted, Absences.Away> add =
      new CommandKind<>("member.away", AwayNoted.class, Absences.Away.class, this::forget);
  private final CommandKind<AwayNoted, Absences.Away> remove =
      new CommandKind<>("member.here", AwayNoted.class, Absences.Away.class, this::noteAgain);

  private final Absences absences;
  private final Groups groups;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /** {@code id}: of the absence. */
  public record AwayNoted(String id) {}

  BeingAway(Absences absences, Groups groups, Commands commands, PublicIds ids, Calendar calendar) {
    this.absences = absences;
    this.groups = groups;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** {@code to}: the last day; absent: until further notice. */
  public AwayNoted add(
      Member who, UUID command, String member, LocalDate from, @Nullable LocalDate to) {
    requireOwn(who, member);
    if (from == null || (to != null && to.isBefore(from))) {
      throw Refusal.unusable("to", "The last day of being away lies before the first.");
    }
    return commands.run(
        who,
        command,
        add,
        () -> {
          Member away = groups.member(who.group(), member);
          if (absences.of(who.group()).stream().filter(one -> one.membership() == away.id()).count()
              >= MOST) {
            throw Refusal.unusable("from", "A hundred absences are noted; take old ones away.");
          }
          Absences.Away noted = new Absences.Away(ids.next(), away.id(), from, to, calendar.now());
          absences.add(who.group(), noted);
          return done(away, noted).differing(Aspect.AWAY, "", days(noted));
        });
  }

  /** Somebody is not away on some days after all. */
  public AwayNoted remove(Member who, UUID command, String absence) {
    return commands.run(
        who,
        command,
        remove,
        () -> {
          Absences.Away noted =
              absences.of(who.group()).stream()
                  .filter(one -> one.pid().equals(absence))
                  .findFirst()
                  .orElseThrow(Refusal::unknown);
          Member away =
              groups.inGroup(who.group(), noted.membership()).orElseThrow(Refusal::unknown);
          requireOwn(who, away.pid());
          absences.remove(who.group(), absence);
          return done(away, noted).differing(Aspect.AWAY, days(noted), "");
        });
  }

  private static void requireOwn(Member who, String member) {
    if (!who.pid().equals(member)) {
      who.requireCoordinator("A coordinator says when others are away.");
    }
  }

  private static CommandResult<AwayNoted, Absences.Away> done(Member away, Absences.Away noted) {
    return CommandResult.of(new AwayNoted(noted.pid()), noted)
        .changing(List.of("absence:" + noted.pid()))
        .about(Subject.Of.PERSON, List.of(away.pid()));
  }

  private static String days(Absences.Away away) {
    return away.toDay() == null ? "from " + away.fromDay() : away.fromDay() + " to " + away.toDay();
  }

  private String forget(Member who, UUID command, Absences.Away noted) {
    absences.remove(who.group(), noted.pid());
    return "";
  }

  private String noteAgain(Member who, UUID command, Absences.Away noted) {
    absences.add(who.group(), noted);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(add, remove);
  }
}
