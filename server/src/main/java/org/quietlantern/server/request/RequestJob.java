package org.quietlantern.server.request;

import java.time.Duration;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Component;

/** Takes requests to the libraries and asks how they stand, each at most once an hour. */
@Component
public class RequestJob implements Job {
  private static final int AT_A_TIME = 20;
  private static final Duration HOUR = Duration.ofHours(1);
  private final RequestMapper mapper;
  private final RequestSteps steps;
  private final Calendar calendar;
  private final SystemTime system;

  RequestJob(RequestMapper mapper, RequestSteps steps, Calendar calendar, SystemTime system) {
    this.mapper = mapper;
    this.steps = steps;
    this.calendar = calendar;
    this.system = system;
  }

  @Override
  public String name() {
    return "copy requests";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(10);
  }

  @Override
  public void run() {
    var today = calendar.now();
    mapper.due(system.now(), today.minus(HOUR), today, AT_A_TIME).forEach(steps::step);
  }
}
