package org.quietlantern.server.account;

import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Asks for the password once more: whoever sits down at a screen that was left open does not own
 * the account. Worked on outside of any transaction.
 */
@Component
public class OwnPassword {
  private final AccountMapper accounts;
  private final Tries tries;
  private final PasswordWork work;

  OwnPassword(AccountMapper accounts, Tries tries, PasswordWork work) {
    this.accounts = accounts;
    this.tries = tries;
    this.work = work;
  }

  /** Refused where it is another; {@code origin}: from where it was asked, for counting tries. */
  public void require(int account, @Nullable String password, String origin) {
    String scope = "own password " + account;
    tries.count(scope, "with this account", origin);
    boolean isOne = password != null && password.length() <= PasswordWork.LONGEST;
    if (!isOne || !work.matches(password, accounts.passwordHash(account))) {
      throw new Refusal(HttpStatus.FORBIDDEN, "wrong-words", "That is not your password.");
    }
    tries.forget(scope);
  }
}
