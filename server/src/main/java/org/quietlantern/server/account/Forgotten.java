package org.quietlantern.server.account;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.platform.Codes;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.Zones;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Another password for somebody who forgot theirs: a link by mail, once, for an hour. Whether there
 * is such an account is looked at by a job, so that neither answer nor time tells.
 */
@Service
class Forgotten implements Job {
  private static final Duration OPEN = Duration.ofHours(1);

  /** Links of one address that may be open at once; who asks for more finds those. */
  private static final int MOST = 3;

  private static final int AT_A_TIME = 50;
  private final ForgottenMapper mapper;
  private final AccountMapper accounts;
  private final AccountLetters letters;
  private final Tries tries;
  private final SystemTime system;
  private final TransactionTemplate transaction;

  Forgotten(
      ForgottenMapper mapper,
      AccountMapper accounts,
      AccountLetters letters,
      Tries tries,
      SystemTime system,
      PlatformTransactionManager transactions) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.letters = letters;
    this.tries = tries;
    this.system = system;
    this.transaction = new TransactionTemplate(transactions);
  }

  /** The same answer for every address; refused where one asks very often, as with passwords. */
  void ask(@Nullable String email, String origin) {
    letters.requireMail();
    String address = Letter.to(email).text();
    transaction.executeWithoutResult(
        status -> {
          tries.count("forgotten " + address, "with this address", origin);
          mapper.add(address, system.now());
        });
  }

  @Override
  public String name() {
    return "forgotten";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(5);
  }

  @Override
  public void run() {
    List<String> taken;
    do {
      taken =
          transaction.execute(
              status -> {
                List<String> some = mapper.take(AT_A_TIME);
                some.forEach(this::answer);
                return some;
              });
    } while (taken.size() == AT_A_TIME);
  }

  private void answer(String email) {
    AccountMapper.Login login = accounts.findLogin(email);
    Instant now = system.now();
    if (login == null || mapper.open(email, now) >= MOST) {
      return;
    }
    String code = Codes.ofLink();
    Instant until = now.plus(OPEN);
    mapper.addLink(Codes.hash(code), email, until);
    letters.link(
        email,
        "Another password for Quiet Lantern",
        "Somebody, you most likely, asked for another password for this address.",
        "/enter#" + code,
        Zones.moment(until, accounts.zone(login.id())));
  }
}
