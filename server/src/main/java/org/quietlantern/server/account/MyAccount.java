package org.quietlantern.server.account;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.platform.Codes;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.Zones;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What people change about their own accounts, each time with their password: whoever sits down at
 * a screen that was left open does not own the account. Not one transaction: passwords are worked
 * on outside of any.
 */
@Service
class MyAccount {
  private static final Duration OPEN = Duration.ofHours(1);

  /** Letters to new addresses that an account causes in an hour. */
  private static final int MOST = 3;

  private final AccountMapper accounts;
  private final AddressChangeMapper changes;
  private final Accounts people;
  private final AccountLetters letters;
  private final OwnPassword own;
  private final PasswordWork work;
  private final SystemTime system;
  private final TransactionTemplate transaction;

  MyAccount(
      AccountMapper accounts,
      AddressChangeMapper changes,
      Accounts people,
      AccountLetters letters,
      OwnPassword own,
      PasswordWork work,
      SystemTime system,
      PlatformTransactionManager transactions) {
    this.accounts = accounts;
    this.changes = changes;
    this.people = people;
    this.letters = letters;
    this.own = own;
    this.work = work;
    this.system = system;
    this.transaction = new TransactionTemplate(transactions);
  }

  /** Another password; links that were sent for one before are void. */
  void setPassword(int account, @Nullable String old, @Nullable String next, String origin) {
    own.require(account, old, origin);
    String hash = work.chosen(next);
    transaction.executeWithoutResult(
        status -> {
          people.setPassword(account, hash);
          letters.news(
              accounts.email(account),
              "Your password was changed",
              "The password of your account in Quiet Lantern was changed.");
        });
  }

  /**
   * Sends a link to an address that the account shall have from now on. One that somebody has
   * already is told of it, and whoever asks is not.
   */
  void askForAddress(
      int account, @Nullable String email, @Nullable String password, String origin) {
    letters.requireMail();
    String address = Letter.to(email).text();
    own.require(account, password, origin);
    transaction.executeWithoutResult(status -> write(account, address));
  }

  private void write(int account, String address) {
    Instant now = system.now();
    if (changes.since(account, now) >= MOST) {
      throw new Refusal(
          HttpStatus.TOO_MANY_REQUESTS,
          "too-many-letters",
          "Three addresses were asked within an hour. Try again later.");
    }
    String code = Codes.ofLink();
    Instant until = now.plus(OPEN);
    changes.add(Codes.hash(code), account, address, until);
    if (accounts.findLogin(address) == null) {
      letters.link(
          address,
          "Is this your address?",
          "Somebody, you most likely, wants to come into Quiet Lantern with this address from now"
              + " on.",
          "/address#" + code,
          Zones.moment(until, accounts.zone(account)));
    } else {
      letters.news(
          address,
          "Your address is in use",
          "Somebody wanted to use this address for an account in Quiet Lantern. It has one already,"
              + " and nothing was changed.");
    }
  }

  /** Gives the account the address in which its link was found; answers the address. */
  String confirm(@Nullable String code) {
    byte[] link = Codes.hash(code);
    AddressChangeMapper.Row row =
        Optional.ofNullable(changes.find(link)).orElseThrow(Refusal::unknown);
    Instant now = system.now();
    if (!row.systemUntil().isAfter(now)) {
      throw gone("This link is too old.");
    }
    try {
      transaction.executeWithoutResult(
          status -> {
            if (changes.use(link, now) == 0) {
              throw gone("This link was used already.");
            }
            String before = accounts.email(row.account());
            accounts.setEmail(row.account(), row.email());
            changes.forget(row.account(), now);
            letters.news(
                before,
                "Your account has another address",
                "Your account in Quiet Lantern has the address %s from now on."
                    .formatted(row.email()));
          });
    } catch (DuplicateKeyException taken) {
      throw Refusal.conflict("address-taken", "Another account has this address by now.");
    }
    return row.email();
  }

  private static Refusal gone(String why) {
    return new Refusal(HttpStatus.GONE, "gone", why + " Ask for another one in your account.");
  }
}
