package org.quietlantern.server.platform.job;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
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

  /** How often what is changed by others meanwhile is looked at again. */
  private static final int GOES = 3;

  private final NightlyMapper mapper;
  private final List<NightlyCheck> checks;
  private final Calendar calendar;

  /** What a check came to when it last ran; {@code mended}: whether that was put right. */
  public record Outcome(String what, int differences, boolean mended, Instant at) {}

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
    try {
      Outcome outcome = run(check, true);
      mapper.note(outcome, today);
    } catch (ConcurrencyFailureException meanwhile) {
      // What it would mend was just changed by somebody: it is looked at again at the next turn.
      LOG.info("nightly check of {} met a change and is put off", check.what());
    }
  }

  /** Every check now, one after the other. {@code mend}: whether what is not so is put right. */
  public List<Outcome> runAll(boolean mend) {
    List<Outcome> outcomes = new ArrayList<>();
    for (NightlyCheck check : checks) {
      outcomes.add(patiently(check, mend));
    }
    return outcomes;
  }

  private Outcome patiently(NightlyCheck check, boolean mend) {
    for (int go = 1; ; go++) {
      try {
        return run(check, mend);
      } catch (ConcurrencyFailureException meanwhile) {
        if (go == GOES) {
          throw meanwhile;
        }
        LOG.info("the check of {} met a change and is made again", check.what());
      }
    }
  }

  private Outcome run(NightlyCheck check, boolean mend) {
    boolean mends = mend && check instanceof MendingCheck;
    int differences = mends ? ((MendingCheck) check).mend() : check.look();
    if (differences > 0) {
      LOG.error(
          "check of {}: {} not as they should be{}",
          check.what(),
          differences,
          mends ? ", put right" : "");
    }
    return new Outcome(check.what(), differences, mends, calendar.now());
  }

  public List<Outcome> outcomes() {
    return mapper.outcomes();
  }
}
