package org.quietlantern.server.account;

import java.util.Optional;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** People who can sign in. */
@Service
public class Accounts {
  private final AccountMapper mapper;
  private final EntryMapper links;
  private final SystemTime system;
  private final PasswordEncoder passwords;
  private final PasswordWork work;

  Accounts(
      AccountMapper mapper,
      EntryMapper links,
      PasswordEncoder passwords,
      PasswordWork work,
      SystemTime system) {
    this.links = links;
    this.system = system;
    this.work = work;
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
    AccountMapper.ReturnsRow letters = mapper.returns(account);
    return new Me(
        letters.email(), mapper.groups(account), mapper.isSteward(account), letters.came());
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

  /** The account of a mail address, though it may have been ended. */
  @Transactional(readOnly = true)
  public Optional<Integer> find(String email) {
    return Optional.ofNullable(mapper.findAny(email));
  }

  /**
   * Ends an account or lets it be used again, as a part of what else that takes; links that were
   * sent for one that ends are void.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void end(int account, boolean ended) {
    mapper.end(account, ended ? system.now() : null);
    if (ended) {
      links.forget(mapper.email(account), system.now());
    }
  }

  /** The hash to keep of a password that was chosen; worked on outside of any transaction. */
  public String hash(@Nullable String password) {
    return work.chosen(password);
  }

  /** Makes an account, as a part of coming in; {@code hash} as {@link #hash} made it. */
  @Transactional(propagation = Propagation.MANDATORY)
  public int make(String email, String hash, String zone) {
    return mapper.add(email, hash, zone);
  }

  /** Gives an account another password; links that were sent for one before are void. */
  @Transactional(propagation = Propagation.MANDATORY)
  void setPassword(int account, String hash) {
    mapper.setPassword(account, hash);
    links.forget(mapper.email(account), system.now());
  }

  @Transactional
  public int add(String email, String password, String zone) {
    return mapper.add(email, passwords.encode(password), zone);
  }
}
