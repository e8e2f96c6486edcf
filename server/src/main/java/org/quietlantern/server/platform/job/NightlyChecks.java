package org.quietlantern.server.platform.job;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.quietlantern.server.platform.Calendar;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.stereotype.Service;

/** Runs every check once a day of the calendar, and keeps what it came to. */
@Service
public class NightlyChecks implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(NightlyChecks.class);
  private final NightlyMapper mapper;
  private final List<NightlyCheck> checks;
  private final Calendar calendar;

  /** What a check came to when it last ran. */
  public record Outcome(String what, int differences, Instant at) {}

  NightlyChecks(NightlyMapper mapper, List<NightlyCheck> checks, Calendar calendar) {
    this.mapper = mapper;
    this.checks = checks;
    this.calendar = calendar;
  }

  @Override
  public String name() {
    return "nightly-checks";
  }

  @Override
  public Duration every() {
    return Duration.ofMinutes(10);
  }

  @Override
  public void run() {
    LocalDate today = calendar.today(ZoneOffset.UTC);
    for (NightlyCheck check : checks) {
      LocalDate last = mapper.lastDay(check.what());
      if (last == null || last.isBefore(today)) {
        run(check, today);
      }
    }
  }

  private void run(NightlyCheck check, LocalDate today) {
    int differences;
    try {
      differences = check.mend();
    } catch (ConcurrencyFailureException meanwhile) {
      // What it would mend was just changed by somebody: it is looked at again at the next turn.
      LOG.info("nightly check of {} met a change and is put off", check.what());
      return;
    }
    if (differences > 0) {
      LOG.error(
          "nightly check of {}: {} were not so and were put right", check.what(), differences);
    }
    mapper.note(check.what(), today, differences, calendar.now());
  }

  public List<Outcome> outcomes() {
    return mapper.outcomes();
  }
}
