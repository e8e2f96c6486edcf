package org.quietlantern.server.account;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.quietlantern.core.mail.Patience;
import org.quietlantern.core.watch.LetterTimes;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Zones;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where an account's days begin, when it is written to, and whether that arrives. */
@Service
class MyLetters {
  private final AccountMapper accounts;
  private final Calendar calendar;

  /**
   * Whether letters arrive.
   *
   * @param came how many came back since somebody said that the address works
   * @param rests whether so many did that none is written any more
   * @param why what the mail server said of the last one
   */
  record LettersArrive(
      String email, int came, boolean rests, @Nullable Instant at, @Nullable String why) {}

  MyLetters(AccountMapper accounts, Calendar calendar) {
    this.accounts = accounts;
    this.calendar = calendar;
  }

  @Transactional(readOnly = true)
  AccountSettings settings(int account) {
    AccountMapper.SettingsRow row = accounts.settings(account);
    return new AccountSettings(
        row.zone(),
        row.letters(),
        List.of(row.days()),
        Arrays.stream(row.hours()).map(LocalTime::parse).toList(),
        row.atOnce(),
        row.ofNothing());
  }

  /** Sets it so; the next letter comes at the next of the new moments. */
  @Transactional
  AccountSettings set(int account, AccountSettings wanted) {
    String zone = Zones.read(wanted.zone());
    LetterTimes times = times(wanted);
    if (wanted.letters() && !accounts.settings(account).letters()) {
      accounts.passOver(account, calendar.now());
    }
    accounts.set(
        account,
        new AccountMapper.SettingsRow(
            zone,
            wanted.letters(),
            times.days().stream().map(DayOfWeek::getValue).sorted().toArray(Integer[]::new),
            times.hours().stream().map(LocalTime::toString).toArray(String[]::new),
            wanted.lettersAtOnce(),
            wanted.lettersOfNothing()));
    accounts.setMoment(account, times.after(calendar.now(), ZoneId.of(zone)).at());
    return settings(account);
  }

  private static LetterTimes times(AccountSettings wanted) {
    if (wanted.letterDays() == null || wanted.letterDays().isEmpty()) {
      throw Refusal.unusable("letterDays", "At least one day is needed.");
    }
    int hours = wanted.letterHours() == null ? 0 : wanted.letterHours().size();
    if (hours == 0 || hours > LetterTimes.MOST || wanted.letterHours().contains(null)) {
      throw Refusal.unusable("letterHours", "One to four hours are needed, as 07:00.");
    }
    try {
      return new LetterTimes(
          wanted.letterDays().stream().map(DayOfWeek::of).collect(Collectors.toSet()),
          wanted.letterHours().stream()
              .map(hour -> hour.truncatedTo(ChronoUnit.MINUTES))
              .collect(Collectors.toCollection(TreeSet::new)));
    } catch (DateTimeException none) {
      throw Refusal.unusable("letterDays", "A day is a number from 1, Monday, to 7, Sunday.");
    }
  }

  @Transactional(readOnly = true)
  LettersArrive arrive(int account) {
    AccountMapper.ReturnsRow row = accounts.returns(account);
    return new LettersArrive(
        row.email(), row.came(), row.came() >= Patience.RETURNS, row.at(), row.why());
  }

  /** The address works: what came back is forgotten, and it is written to again. */
  @Transactional
  LettersArrive writeAgain(int account) {
    accounts.forgetReturns(account);
    return arrive(account);
  }
}
