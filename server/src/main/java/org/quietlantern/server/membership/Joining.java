package org.quietlantern.server.membership;

import java.util.Optional;
import java.util.function.IntSupplier;
import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.folder.FolderRights;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Codes;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.Zones;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Coming into a group by the link of an invitation: once, for its address, within its days. */
@Service
class Joining {
  private final InvitationMapper mapper;
  private final Groups groups;
  private final FolderRights rights;
  private final Accounts accounts;
  private final Commands commands;
  private final Calendar calendar;
  private final SystemTime system;
  private final TransactionTemplate transaction;

  /**
   * What an invitation is, to whoever has its link.
   *
   * @param folder the name of the one to which alone they are asked; absent: into the group
   * @param may what they may in it
   * @param known whether the address has an account
   * @param here whether who asks is signed in with that account
   * @param other whether they are signed in with another one
   */
  record InvitationOpen(
      String group,
      String by,
      String email,
      String role,
      @Nullable String folder,
      @Nullable String may,
      boolean known,
      boolean here,
      boolean other) {}

  /** {@code id}: of the group. */
  record Joined(String id, int account) {}

  Joining(
      InvitationMapper mapper,
      Groups groups,
      FolderRights rights,
      Accounts accounts,
      Commands commands,
      Calendar calendar,
      SystemTime system,
      PlatformTransactionManager transactions) {
    this.mapper = mapper;
    this.groups = groups;
    this.rights = rights;
    this.accounts = accounts;
    this.commands = commands;
    this.calendar = calendar;
    this.system = system;
    this.transaction = new TransactionTemplate(transactions);
  }

  /** Unknown for a code that nobody was sent; gone for one that was used, taken back or is old. */
  InvitationOpen look(@Nullable String code, Optional<Integer> visitor) {
    InvitationMapper.Row row = open(code);
    Optional<Integer> account = accounts.find(row.email());
    boolean here = visitor.isPresent() && visitor.equals(account);
    return new InvitationOpen(
        row.groupName(),
        row.by() == null ? "A former member" : row.by(),
        row.email(),
        row.role(),
        row.folderName(),
        row.may(),
        account.isPresent(),
        here,
        visitor.isPresent() && !here);
  }

  private InvitationMapper.Row open(@Nullable String code) {
    InvitationMapper.Row row = mapper.byCode(Codes.hash(code));
    if (row == null) {
      throw Refusal.unknown();
    }
    if (row.used() != null) {
      throw gone("This link was used already.");
    }
    if (row.takenBack() != null) {
      throw gone("This invitation was taken back.");
    }
    if (!row.systemUntil().isAfter(system.now())) {
      throw gone("This link is older than seven days.");
    }
    if (row.folderEnded()) {
      throw gone("The folder is no more.");
    }
    return row;
  }

  private static Refusal gone(String why) {
    return new Refusal(
        HttpStatus.GONE, "gone", why + " A coordinator of the group can send another.");
  }

  /** Whoever is signed in joins, if the invitation is theirs. */
  Joined join(@Nullable String code, int visitor, @Nullable String name) {
    InvitationMapper.Row row = open(code);
    if (!accounts.find(row.email()).equals(Optional.of(visitor))) {
      throw new Refusal(
          HttpStatus.FORBIDDEN,
          "not-yours",
          "The invitation is for another address than the one that you are signed in with.");
    }
    String called = Groups.called(name, "name", "A person");
    return transaction.execute(status -> join(row, () -> visitor, called));
  }

  /** Makes the account of the invitation's address, and joins. */
  Joined begin(
      @Nullable String code,
      @Nullable String name,
      @Nullable String password,
      @Nullable String zone) {
    InvitationMapper.Row row = open(code);
    if (accounts.find(row.email()).isPresent()) {
      throw Refusal.conflict(
          "known", "There is an account with this address. Sign in with it, then join.");
    }
    String called = Groups.called(name, "name", "A person");
    String known = Zones.read(zone);
    String hash = accounts.hash(password);
    return transaction.execute(
        status -> join(row, () -> accounts.make(row.email(), hash, known), called));
  }

  /** {@code whose}: the account, which may be made once it is certain that the link counts. */
  private Joined join(InvitationMapper.Row row, IntSupplier whose, String name) {
    // What is owed is counted anew for everybody; no mark is made meanwhile.
    commands.holdTurn(row.grp());
    if (mapper.use(row.id(), calendar.now()) == 0) {
      throw gone("This link was used already.");
    }
    int account = whose.getAsInt();
    boolean inIt = groups.findMember(row.groupPid(), account).isPresent();
    if (row.folder() == null || !inIt) {
      groups.letIn(new Groups.Coming(row.grp(), account, row.role(), row.folder() != null, name));
    }
    Member member = groups.findMember(row.groupPid(), account).orElseThrow();
    if (!inIt) {
      rights.begin(member);
    }
    if (row.folder() != null) {
      rights.name(row.folder(), member, row.may());
    }
    commands.note(member, "member.join", new Subject(Subject.Of.PERSON, member.pid()));
    return new Joined(row.groupPid(), account);
  }
}
