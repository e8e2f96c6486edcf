package org.quietlantern.server.account;

import java.time.Duration;
import java.util.Map;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People who can sign in. */
@Service
public class Accounts {
  private static final int MOST_FAILURES = 5;
  private static final Duration WINDOW = Duration.ofMinutes(15);
  private final AccountMapper mapper;
  private final PasswordEncoder passwords;
  private final SystemTime time;
  private final String nobodysHash;

  Accounts(AccountMapper mapper, PasswordEncoder passwords, SystemTime time) {
    this.mapper = mapper;
    this.passwords = passwords;
    this.time = time;
    this.nobodysHash = passwords.encode("nobody");
  }

  /** The account of these words; refused without saying which of the two was wrong. */
  @Transactional(noRollbackFor = Refusal.class)
  public int signIn(String email, String password) {
    if (mapper.failures(email, time.now().minus(WINDOW)) >= MOST_FAILURES) {
      throw new Refusal(
          HttpStatus.TOO_MANY_REQUESTS,
          "too-many-tries",
          "Too many tries with this address. Wait a quarter of an hour.",
          Map.of("minutes", WINDOW.toMinutes()));
    }
    AccountMapper.Login login = mapper.findLogin(email);
    // The same work for an unknown address, so that time tells nothing.
    boolean right = passwords.matches(password, login == null ? nobodysHash : login.passwordHash());
    if (login == null || !right) {
      mapper.noteFailure(email, time.now());
      throw new Refusal(
          HttpStatus.UNAUTHORIZED, "wrong-words", "Address and password do not go together.");
    }
    mapper.forgetFailures(email, time.now().minus(WINDOW));
    return login.id();
  }

  @Transactional(readOnly = true)
  public Me me(int account) {
    return new Me(mapper.email(account), mapper.groups(account), mapper.isSteward(account));
  }

  /** Gives an account the right to look after the shared catalogue of the installation. */
  @Transactional
  public void makeSteward(int account) {
    mapper.makeSteward(account);
  }

  @Transactional
  public int add(String email, String password, String zone) {
    return mapper.add(email, passwords.encode(password), zone);
  }
}
