package org.quietlantern.server.membership;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Absences;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who is in a group and as what: changed by its coordinators; everybody may leave (R1, R2). */
@Service
public class Memberships implements CommandKinds {
  private final CommandKind<MemberChanged, Role> change =
      new CommandKind<>("member.role", MemberChanged.class, Role.class, this::roleBack);
  private final CommandKind<MemberChanged, Ended> end =
      new CommandKind<>("member.end", MemberChanged.class, Ended.class, this::bringBack);

  private final Groups groups;
  private final Absences absences;
  private final Commands commands;

  /** {@code id}: public id of the membership. */
  public record MemberChanged(String id) {}

  /** Row number of the membership; {@code onlyFolders}: absent in what was noted before V40. */
  record Role(int id, String role, @Nullable Boolean onlyFolders) {}

  record Ended(int id) {}

  /**
   * Somebody who is in the group.
   *
   * @param onlyFolders whether they were asked to single folders and see nothing else
   * @param email for coordinators and oneself; else absent
   * @param joined when they joined, the last time
   * @param away when they are away or were, for coordinators and oneself; else empty
   */
  public record MemberShown(
      String id,
      String name,
      String role,
      boolean onlyFolders,
      @Nullable String email,
      Instant joined,
      List<AwayShown> away,
      boolean me) {}

  /** Days on which somebody is away; {@code to}: the last, absent until further notice. */
  public record AwayShown(String id, LocalDate from, @Nullable LocalDate to) {}

  Memberships(Groups groups, Absences absences, Commands commands) {
    this.groups = groups;
    this.absences = absences;
    this.commands = commands;
  }

  /** In order of joining. */
  @Transactional(readOnly = true)
  public List<MemberShown> list(Member who) {
    Map<Integer, List<AwayShown>> away =
        absences.of(who.group()).stream()
            .collect(
                Collectors.groupingBy(
                    Absences.Away::membership,
                    Collectors.mapping(
                        one -> new AwayShown(one.pid(), one.fromDay(), one.toDay()),
                        Collectors.toList())));
    return groups.people(who.group()).stream()
        .map(
            row ->
                new MemberShown(
                    row.pid(),
                    row.name(),
                    row.role(),
                    row.onlyFolders(),
                    who.coordinates() || row.id() == who.id() ? row.email() : null,
                    row.joined(),
                    who.coordinates() || row.id() == who.id()
                        ? away.getOrDefault(row.id(), List.of())
                        : List.of(),
                    row.id() == who.id()))
        .toList();
  }

  /** Gives a member another role. */
  public MemberChanged role(Member who, UUID command, String pid, String role) {
    who.requireCoordinator("A coordinator of the group gives roles.");
    Invitations.refuseUnknownRole(role);
    return commands.run(
        who,
        command,
        change,
        () -> {
          Member member = groups.member(who.group(), pid);
          if (!role.equals("coordinator")) {
            refuseLast(member);
          }
          groups.setRole(member, role, false);
          return done(member, new Role(member.id(), member.role(), member.onlyFolders()))
              .differing(Aspect.ROLE, member.role(), role);
        });
  }

  /** A group keeps a coordinator (R2). */
  private void refuseLast(Member member) {
    if (groups.isLastCoordinator(member)) {
      throw Refusal.conflict(
          "last-coordinator", "A group keeps a coordinator; make somebody else one first.");
    }
  }

  /**
   * Ends a membership: a coordinator anybody's, everybody their own. Marks and notes stay, what is
   * owed ends (V5).
   */
  public MemberChanged end(Member who, UUID command, String pid) {
    if (!who.pid().equals(pid)) {
      who.requireCoordinator("A coordinator of the group ends memberships.");
    }
    return commands.run(
        who,
        command,
        end,
        () -> {
          Member member = groups.member(who.group(), pid);
          refuseLast(member);
          groups.end(member);
          return done(member, new Ended(member.id()));
        });
  }

  private static <B> CommandResult<MemberChanged, B> done(Member member, B before) {
    return CommandResult.of(new MemberChanged(member.pid()), before)
        .changing(Subject.Of.PERSON, member.pid());
  }

  private String roleBack(Member who, UUID command, Role before) {
    groups
        .inGroup(who.group(), before.id())
        .ifPresent(
            member -> {
              if (!before.role().equals("coordinator")) {
                refuseLast(member);
              }
              groups.setRole(member, before.role(), Boolean.TRUE.equals(before.onlyFolders()));
            });
    return "";
  }

  private String bringBack(Member who, UUID command, Ended before) {
    groups.bringBack(who.group(), before.id());
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(change, end);
  }
}
