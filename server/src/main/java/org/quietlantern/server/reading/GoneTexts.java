package org.quietlantern.server.reading;

import java.time.Duration;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Component;

/** Forgets what was taken out a month ago, and files that no group has any more. */
@Component
class GoneTexts implements Job {
  static final Duration KEPT = Duration.ofDays(30);
  private final TextMapper mapper;
  private final Calendar calendar;

  GoneTexts(TextMapper mapper, Calendar calendar) {
    this.mapper = mapper;
    this.calendar = calendar;
  }

  @Override
  public String name() {
    return "gone-texts";
  }

  @Override
  public Duration every() {
    return Duration.ofHours(1);
  }

  @Override
  public void run() {
    mapper.forgetGone(calendar.now().minus(KEPT));
    mapper.forgetFiles();
  }
}
