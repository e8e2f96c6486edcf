package org.quietlantern.server.account;

import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People who can sign in. */
@Service
public class Accounts {
  private final AccountMapper mapper;
  private final PasswordEncoder passwords;

  Accounts(AccountMapper mapper, PasswordEncoder passwords) {
    this.mapper = mapper;
    this.passwords = passwords;
  }

  /** Null for an address that nobody has. */
  @Transactional(readOnly = true)
  AccountMapper.Login login(String email) {
    return mapper.findLogin(email);
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

  /** Whether an account looks after the shared catalogue of the installation. */
  @Transactional(readOnly = true)
  public boolean isSteward(int account) {
    return mapper.isSteward(account);
  }

  @Transactional
  public int add(String email, String password, String zone) {
    return mapper.add(email, passwords.encode(password), zone);
  }
}
