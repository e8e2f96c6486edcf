package org.quietlantern.server.person;

import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Stewards end accounts, and let them be used again. */
@Service
class AccountEnding {
  private final Groups groups;
  private final Accounts accounts;
  private final Leaving leaving;
  private final SessionAccount sessions;
  private final TransactionTemplate transaction;

  AccountEnding(
      Groups groups,
      Accounts accounts,
      Leaving leaving,
      SessionAccount sessions,
      TransactionTemplate transaction) {
    this.groups = groups;
    this.accounts = accounts;
    this.leaving = leaving;
    this.sessions = sessions;
    this.transaction = transaction;
  }

  /**
   * Ends an account: its visits and memberships end, and nobody signs in by it. Let be used again,
   * it is in no group until it is asked in.
   */
  void set(Member who, @Nullable String email, boolean ended) {
    groups.requireSteward(who, "A steward of the installation ends accounts.");
    int account = accounts.find(email == null ? "" : email).orElseThrow(Refusal::unknown);
    if (account == groups.account(who)) {
      throw Refusal.unusable("email", "Nobody ends their own account here; yours has a page.");
    }
    transaction.executeWithoutResult(
        status -> {
          if (ended) {
            leaving.everywhere(account);
          }
          accounts.end(account, ended);
        });
    if (ended) {
      sessions.signOutEverywhere(account);
    }
  }
}
