package org.quietlantern.server.account;

import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Coming in by address and password. */
@Service
class SignIns {
  private static final int LONGEST_ADDRESS = 320;
  private final Tries tries;
  private final Accounts accounts;
  private final PasswordWork work;

  /** {@code device}: what makes the browser known from now on. */
  record CameIn(int account, String device) {}

  SignIns(Tries tries, Accounts accounts, PasswordWork work) {
    this.tries = tries;
    this.accounts = accounts;
    this.work = work;
  }

  /**
   * The account of these words; refused without saying which of the two was wrong. Not a
   * transaction: the password is checked between two short ones.
   */
  CameIn signIn(
      @Nullable String email, @Nullable String password, String origin, @Nullable String device) {
    if (email == null || password == null) {
      throw Refusal.unusable("sign-in", "Both address and password are needed.");
    }
    if (email.length() > LONGEST_ADDRESS || password.length() > PasswordWork.LONGEST) {
      throw Refusal.unusable(
          "sign-in", "An address has at most 320 characters, a password at most 200.");
    }
    String scope = tries.begin(email, origin, device);
    AccountMapper.Login login = accounts.login(email);
    if (!work.matches(password, login == null ? null : login.passwordHash())) {
      throw new Refusal(
          HttpStatus.UNAUTHORIZED, "wrong-words", "Address and password do not go together.");
    }
    return new CameIn(login.id(), tries.cameIn(scope, login.id(), device));
  }
}
