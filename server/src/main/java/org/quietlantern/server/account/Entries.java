package org.quietlantern.server.account;

import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.Zones;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Coming in by a link that whoever runs the installation handed out ({@code ./lantern account}):
 * once, within its hour. It makes the account, or gives one that is there another password.
 */
@Service
class Entries {
  private static final int LONGEST_CODE = 100;
  private final EntryMapper mapper;
  private final AccountMapper accounts;
  private final Accounts people;
  private final PasswordWork work;
  private final SystemTime system;
  private final TransactionTemplate transaction;

  /**
   * Whom a link is for.
   *
   * @param known whether they have an account already, which gets another password
   */
  record EntryShown(String email, boolean known) {}

  Entries(
      EntryMapper mapper,
      AccountMapper accounts,
      Accounts people,
      PasswordWork work,
      SystemTime system,
      PlatformTransactionManager transactions) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.people = people;
    this.work = work;
    this.system = system;
    this.transaction = new TransactionTemplate(transactions);
  }

  /** Unknown for a code that nobody was given; gone for one that was used or is too old. */
  EntryShown look(@Nullable String code) {
    EntryMapper.Link link = open(code);
    return new EntryShown(link.email(), accounts.findLogin(link.email()) != null);
  }

  private EntryMapper.Link open(@Nullable String code) {
    if (code == null || code.length() > LONGEST_CODE) {
      throw Refusal.unknown();
    }
    EntryMapper.Link link = mapper.find(Hash.of(code));
    if (link == null) {
      throw Refusal.unknown();
    }
    if (link.used() != null) {
      throw gone("This link was used already.");
    }
    if (!link.until().isAfter(system.now())) {
      throw gone("This link is too old.");
    }
    return link;
  }

  private static Refusal gone(String why) {
    return new Refusal(
        HttpStatus.GONE,
        "gone",
        why + " Ask for another where you sign in, or whoever runs the installation.");
  }

  /** Answers the account. The password is worked on outside of any transaction. */
  int enter(@Nullable String code, @Nullable String password, @Nullable String zone) {
    EntryMapper.Link link = open(code);
    String known = Zones.read(zone);
    String hash = work.chosen(password);
    return transaction.execute(
        status -> {
          if (mapper.use(Hash.of(code), system.now()) == 0) {
            throw gone("This link was used already.");
          }
          return account(link, hash, known);
        });
  }

  private int account(EntryMapper.Link link, String hash, String zone) {
    AccountMapper.Login login = accounts.findLogin(link.email());
    int account = login == null ? accounts.add(link.email(), hash, zone) : login.id();
    if (login != null) {
      people.setPassword(account, hash);
    }
    if (link.steward()) {
      accounts.makeSteward(account);
    }
    return account;
  }
}
