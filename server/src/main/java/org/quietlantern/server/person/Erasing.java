package org.quietlantern.server.person;

import java.time.Instant;
import org.quietlantern.server.account.OwnPassword;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Erases a person, for good and at once: their account, trail, pile and own notes are deleted.
 * Their marks, remarks, reasons and shared notes are the group's work and stay, as a former
 * member's.
 */
@Service
class Erasing {
  private final ErasingMapper mapper;
  private final OwnPassword password;
  private final Groups groups;
  private final Commands commands;
  private final SessionAccount sessions;
  private final Calendar calendar;
  private final TransactionTemplate transaction;

  Erasing(
      ErasingMapper mapper,
      OwnPassword password,
      Groups groups,
      Commands commands,
      SessionAccount sessions,
      Calendar calendar,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.password = password;
    this.groups = groups;
    this.commands = commands;
    this.sessions = sessions;
    this.calendar = calendar;
    this.transaction = transaction;
  }

  /** Refused without the password, and while others would be left without a coordinator (R2). */
  void erase(int account, @Nullable String words, String origin) {
    password.require(account, words, origin);
    transaction.executeWithoutResult(status -> eraseNow(account));
    sessions.signOutEverywhere(account);
  }

  private void eraseNow(int account) {
    Instant now = calendar.now();
    for (String group : mapper.groups(account)) {
      leave(groups.findMember(group, account).orElseThrow());
    }
    mapper.forgetHowItWasFound(account);
    mapper.forgetOpened(account);
    mapper.forgetTrail(account);
    mapper.forgetMentions(account);
    mapper.forgetOwnMargin(account);
    mapper.forgetOwnHoldings(account);
    mapper.forgetReasonsInPile(account);
    mapper.emptyPile(account);
    mapper.forgetReportsInPile(account);
    mapper.removePile(account);
    mapper.revokeFeeds(account, now);
    mapper.forgetDevices(account);
    mapper.forgetAddresses(account);
    mapper.forgetForgotten(account);
    mapper.forgetEntries(account);
    mapper.forgetInvitations(account);
    mapper.forgetLetters(account);
    mapper.forgetInActions(account);
    mapper.forgetNameInActions(account);
    mapper.forgetNameInReports(account);
    mapper.forgetNameInKeptReports(account);
    mapper.forgetNames(account);
    mapper.forgetAccount(account, now);
  }

  private void leave(Member member) {
    boolean others = groups.members(member.group()).size() > 1;
    boolean coordinated =
        groups.members(member.group()).stream()
            .anyMatch(one -> one.id() != member.id() && one.coordinates());
    if (others && member.coordinates() && !coordinated) {
      throw Refusal.conflict(
          "last-coordinator",
          "“%s” would be left without a coordinator; make somebody else one first."
              .formatted(groups.name(member.group())));
    }
    commands.note(member, "member.end", new Subject(Subject.Of.PERSON, member.pid()));
    groups.end(member);
  }
}
