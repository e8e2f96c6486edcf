package org.quietlantern.server.account;

import java.util.Optional;
import org.quietlantern.server.platform.Codes;
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
  private final EntryMapper mapper;
  private final Accounts accounts;
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
      Accounts accounts,
      PasswordWork work,
      SystemTime system,
      PlatformTransactionManager transactions) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.work = work;
    this.system = system;
    this.transaction = new TransactionTemplate(transactions);
  }

  /** Unknown for a code that nobody was given; gone for one that was used or is too old. */
  EntryShown look(@Nullable String code) {
    EntryMapper.Link link = open(code);
    return new EntryShown(link.email(), accounts.find(link.email()).isPresent());
  }

  private EntryMapper.Link open(@Nullable String code) {
    EntryMapper.Link link = mapper.find(Codes.hash(code));
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
          if (mapper.use(Codes.hash(code), system.now()) == 0) {
            throw gone("This link was used already.");
          }
          return account(link, hash, known);
        });
  }

  private int account(EntryMapper.Link link, String hash, String zone) {
    Optional<Integer> known = accounts.find(link.email());
    int account = known.orElseGet(() -> accounts.make(link.email(), hash, zone));
    if (known.isPresent()) {
      accounts.setPassword(account, hash);
      // Whoever runs the installation wants it to be used.
      accounts.end(account, false);
    }
    if (link.steward()) {
      accounts.makeSteward(account);
    }
    return account;
  }
}
