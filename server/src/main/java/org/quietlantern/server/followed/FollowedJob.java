package org.quietlantern.server.followed;

import java.time.Duration;
import java.time.Instant;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Component;

/** Asks feeds of others whose time has come, one after the other. */
@Component
public class FollowedJob implements Job {
  /** Longer than any answer takes. */
  private static final Duration LEASE = Duration.ofMinutes(10);

  private final FollowedMapper mapper;
  private final FollowedFetching fetching;
  private final SystemTime system;

  FollowedJob(FollowedMapper mapper, FollowedFetching fetching, SystemTime system) {
    this.mapper = mapper;
    this.fetching = fetching;
    this.system = system;
  }

  @Override
  public String name() {
    return "feeds-of-others";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(20);
  }

  @Override
  public void run() {
    Instant end = system.now().plus(LEASE);
    FollowedMapper.Row due = mapper.take(system.now(), end);
    while (due != null) {
      fetching.ask(due);
      Instant now = system.now();
      due = now.isBefore(end) ? mapper.take(now, now.plus(LEASE)) : null;
    }
  }
}
