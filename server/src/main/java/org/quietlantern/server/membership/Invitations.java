package org.quietlantern.server.membership;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.quietlantern.core.mail.MailAddress;
import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.mail.Outbox;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Codes;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.Zones;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * People are asked in by mail: into the group by its coordinators, to read or remark on one folder
 * by whoever may change that (rule R4).
 */
@Service
public class Invitations implements CommandKinds {
  private static final Set<String> ROLES = Set.of("coordinator", "member", "guest");
  private static final Set<String> MAY = Set.of("read", "remark");
  private static final Duration OPEN = Duration.ofDays(7);
  private static final String WHO = "A coordinator of the group asks people in.";
  private final CommandKind<InvitationMade, Made> invite =
      CommandKind.of("invitation.write", InvitationMade.class, Made.class, this::takeBack);
  private final CommandKind<InvitationMade, Made> inviteTo =
      CommandKind.of("folder.invite", InvitationMade.class, Made.class, this::takeBack);
  private final CommandKind<InvitationMade, Back> takeBack =
      CommandKind.of("invitation.take-back", InvitationMade.class, Back.class, this::openAgain);

  private final InvitationMapper mapper;
  private final Groups groups;
  private final Folders folders;
  private final Accounts accounts;
  private final Outbox outbox;
  private final Commands commands;
  private final PublicIds ids;
  private final LanternProperties properties;
  private final Calendar calendar;
  private final SystemTime system;

  public record InvitationMade(String id) {}

  /** {@code replaced}: the one for the same address that was open before; row numbers. */
  record Made(int id, @Nullable Integer replaced) {}

  /** {@code folder}: absent where somebody was asked into the group. */
  record Back(int id, int group, String email, @Nullable Integer folder) {}

  /**
   * Somebody who was asked and did not come yet.
   *
   * @param may what they may in the folder to which alone they are asked; absent: in the group
   * @param letter waiting, sent or given up
   * @param trouble why the letter could not be handed over
   * @param expired whether its seven days are over
   */
  public record InvitationShown(
      String id,
      String email,
      String role,
      @Nullable String may,
      String by,
      Instant at,
      Instant until,
      boolean expired,
      String letter,
      @Nullable String trouble) {}

  Invitations(
      InvitationMapper mapper,
      Groups groups,
      Folders folders,
      Accounts accounts,
      Outbox outbox,
      Commands commands,
      PublicIds ids,
      LanternProperties properties,
      Calendar calendar,
      SystemTime system) {
    this.mapper = mapper;
    this.groups = groups;
    this.folders = folders;
    this.accounts = accounts;
    this.outbox = outbox;
    this.commands = commands;
    this.ids = ids;
    this.properties = properties;
    this.calendar = calendar;
    this.system = system;
  }

  /** Who was asked into the group and did not come yet; members see whom they asked themselves. */
  @Transactional(readOnly = true)
  public List<InvitationShown> open(Member who) {
    return shown(
        who.coordinates() ? mapper.open(who.group(), null) : mapper.openBy(who.group(), who.id()));
  }

  /** Who was asked to a folder and did not come yet; for whoever may change it. */
  @Transactional(readOnly = true)
  public List<InvitationShown> open(Member who, String folder) {
    return shown(mapper.open(who.group(), folders.idToEdit(who, folder)));
  }

  private List<InvitationShown> shown(List<InvitationMapper.Row> rows) {
    Map<Long, Outbox.LetterState> letters =
        outbox.states(rows.stream().map(InvitationMapper.Row::letter).toList());
    return rows.stream().map(row -> shown(row, letters.get(row.letter()))).toList();
  }

  private InvitationShown shown(InvitationMapper.Row row, Outbox.LetterState letter) {
    return new InvitationShown(
        row.pid(),
        row.email(),
        row.role(),
        row.may(),
        row.by() == null ? "a former member" : row.by(),
        row.at(),
        row.systemUntil(),
        !row.systemUntil().isAfter(system.now()),
        letter.state(),
        letter.trouble());
  }

  /**
   * Asks somebody in; a second letter to the same address makes the first one's link void. Members
   * do so where the group has set it, and make nobody a coordinator.
   */
  public InvitationMade invite(Member who, UUID command, String email, String role) {
    if (!groups.settings(who.group()).membersInvite() || "coordinator".equals(role)) {
      who.requireCoordinator(WHO);
    }
    MailAddress to = Letter.to(email);
    refuseUnknownRole(role);
    return commands.run(who, command, invite, () -> made(who, to, role, null));
  }

  /** Asks somebody from outside to read a folder, or to remark on what is in it. */
  public InvitationMade inviteTo(
      Member who, UUID command, String folder, String email, String may) {
    MailAddress to = Letter.to(email);
    if (may == null || !MAY.contains(may)) {
      throw Refusal.unusable("may", "Whoever comes from outside reads, or remarks.");
    }
    return commands.run(
        who,
        command,
        inviteTo,
        () -> {
          if (folders.isPile(who, folder)) {
            throw Refusal.unusable("pile", "Your pile is yours alone.");
          }
          Asked asked = new Asked(folders.idToEdit(who, folder), folder, may);
          return made(who, to, "guest", asked);
        });
  }

  /** A folder to which alone somebody is asked, by row number and public id. */
  private record Asked(int folder, String pid, String may) {}

  private CommandResult<InvitationMade, Made> made(
      Member who, MailAddress to, String role, @Nullable Asked asked) {
    refuseMember(who, to);
    Integer folder = asked == null ? null : asked.folder();
    Integer replaced = mapper.openFor(who.group(), to.text(), folder);
    Instant now = calendar.now();
    if (replaced != null) {
      mapper.takeBack(replaced, now);
    }
    String code = Codes.ofLink();
    Instant until = system.now().plus(OPEN);
    String pid = ids.next();
    int id =
        mapper.add(
            new InvitationMapper.NewInvitation(
                pid,
                who.group(),
                to.text(),
                role,
                folder,
                asked == null ? null : asked.may(),
                Codes.hash(code),
                who.id(),
                outbox.write(letter(who, to, role, asked, code, until)),
                now,
                until));
    return done(who.group(), to.text(), folder, pid, new Made(id, replaced))
        .about(Subject.Of.FOLDER, asked == null ? List.of() : List.of(asked.pid()));
  }

  static void refuseUnknownRole(@Nullable String role) {
    if (role == null || !ROLES.contains(role)) {
      throw Refusal.unusable("role", "There is no such role.");
    }
  }

  private void refuseMember(Member who, MailAddress to) {
    Optional<Integer> account = accounts.find(to.text());
    if (account.flatMap(one -> groups.findMember(who.groupPid(), one)).isPresent()) {
      throw Refusal.conflict(
          "member-already",
          "Whoever has this address is in the group already; a folder can be opened to them by name.");
    }
  }

  private Letter letter(
      Member who, MailAddress to, String role, @Nullable Asked asked, String code, Instant until) {
    String group = groups.name(who.group());
    String folder =
        asked == null ? "" : folders.names(who, List.of(asked.pid())).getOrDefault(asked.pid(), "");
    return new Letter(
        to,
        asked == null
            ? "%s asks you into “%s”".formatted(who.name(), group)
            : "%s asks you to a folder of “%s”".formatted(who.name(), group),
        asked == null ? "invitation" : "folder-invitation",
        Map.of(
            "by",
            who.name(),
            "group",
            group,
            "role",
            role,
            "folder",
            folder,
            "may",
            asked == null ? "" : asked.may().equals("read") ? "read" : "read and remark on",
            "until",
            Zones.day(until, who.zoneId()),
            "link",
            properties.baseUrl() + "/join#" + code),
        who.group());
  }

  private static <B> CommandResult<InvitationMade, B> done(
      int group, String email, @Nullable Integer folder, String pid, B before) {
    String to = folder == null ? "" : ":" + folder;
    return CommandResult.of(new InvitationMade(pid), before)
        .changing(List.of("invitation:" + group + ":" + email + to));
  }

  /** Makes the link of an invitation void. */
  public InvitationMade takeBack(Member who, UUID command, String invitation) {
    return commands.run(
        who,
        command,
        takeBack,
        () -> {
          InvitationMapper.Row row = toTakeBack(who, invitation);
          if (mapper.takeBack(row.id(), calendar.now()) == 0) {
            throw Refusal.conflict("used-already", "It was used; the person is in the group.");
          }
          return done(
                  row.grp(),
                  row.email(),
                  row.folder(),
                  row.pid(),
                  new Back(row.id(), row.grp(), row.email(), row.folder()))
              .about(
                  Subject.Of.FOLDER,
                  row.folderPid() == null ? List.of() : List.of(row.folderPid()));
        });
  }

  /**
   * One to the group is a coordinator's to take back, or whoever's sent it; one to a folder
   * whoever's may change that.
   */
  private InvitationMapper.Row toTakeBack(Member who, String invitation) {
    Optional<InvitationMapper.Row> found =
        Optional.ofNullable(mapper.find(who.group(), invitation))
            .filter(one -> one.takenBack() == null);
    if (found.isEmpty() || found.get().folder() == null) {
      if (found.isEmpty() || found.get().membership() != who.id()) {
        who.requireCoordinator(WHO);
      }
    } else {
      folders.requireEdit(who, found.get().folder());
    }
    return found.orElseThrow(Refusal::unknown);
  }

  private String takeBack(Made before) {
    if (mapper.takeBack(before.id(), calendar.now()) == 0) {
      throw Refusal.conflict("used-already", "It was used; the person is in the group.");
    }
    if (before.replaced() != null) {
      mapper.takeBack(before.replaced(), null);
    }
    return "A letter that was sent already leads nowhere now.";
  }

  private String openAgain(Back before) {
    if (mapper.openFor(before.group(), before.email(), before.folder()) != null) {
      throw Refusal.conflict("invited-again", "This address was asked again since.");
    }
    mapper.takeBack(before.id(), null);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(invite, inviteTo, takeBack);
  }
}
