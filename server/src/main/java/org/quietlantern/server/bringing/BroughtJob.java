package org.quietlantern.server.bringing;

import java.time.Duration;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Component;

/** Reads large files, and goes on with what is being taken or taken back. */
@Component
class BroughtJob implements Job {
  /** After which what nobody went on with is forgotten. */
  private static final Duration LEFT = Duration.ofDays(30);

  private final Broughts broughts;
  private final BroughtMapper mapper;
  private final BroughtTaking taking;
  private final Calendar calendar;

  BroughtJob(Broughts broughts, BroughtMapper mapper, BroughtTaking taking, Calendar calendar) {
    this.broughts = broughts;
    this.mapper = mapper;
    this.taking = taking;
    this.calendar = calendar;
  }

  @Override
  public String name() {
    return "bringing";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(2);
  }

  @Override
  public void run() {
    mapper.forget(calendar.now().minus(LEFT));
    mapper.unread().forEach(file -> broughts.read(file.brought(), file.n()));
    for (int brought : mapper.underWay()) {
      while (taking.page(brought)) {
        if (Thread.currentThread().isInterrupted()) {
          return;
        }
      }
    }
  }
}
