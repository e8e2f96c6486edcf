package org.quietlantern.server.person;

import java.time.Instant;
import org.quietlantern.server.account.OwnPassword;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
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
  private final Leaving leaving;
  private final SessionAccount sessions;
  private final Calendar calendar;
  private final TransactionTemplate transaction;

  Erasing(
      ErasingMapper mapper,
      OwnPassword password,
      Leaving leaving,
      SessionAccount sessions,
      Calendar calendar,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.password = password;
    this.leaving = leaving;
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
    leaving.everywhere(account);
    mapper.forgetHowItWasFound(account);
    mapper.forgetOpened(account);
    mapper.forgetTrail(account);
    mapper.forgetMentions(account);
    mapper.forgetAbsences(account);
    mapper.forgetOwnActs(account);
    mapper.forgetOwnMargin(account);
    mapper.forgetOwnHoldings(account);
    mapper.forgetDigests(account);
    mapper.forgetReceiving(account);
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
    mapper.forgetLettersOfTheirs(account);
    mapper.forgetSendings(account);
    mapper.forgetBrought(account);
    mapper.forgetDriveFiles(account);
    mapper.forgetWhoSetDrives(account);
    mapper.forgetInActions(account);
    mapper.forgetNameInActions(account);
    mapper.forgetNameInReports(account);
    mapper.forgetNameInKeptReports(account);
    mapper.forgetNames(account);
    mapper.forgetAccount(account, now);
  }
}
