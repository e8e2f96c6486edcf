package org.quietlantern.server.upkeep;

import java.time.Duration;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.quietlantern.server.platform.job.NightlyChecks;
import org.springframework.stereotype.Component;

/** Makes the checks that a steward or the script asked for. */
@Component
class CheckJob implements Job {
  private static final Duration TOLD = Duration.ofDays(90);
  private final CheckMapper mapper;
  private final NightlyChecks checks;
  private final Json json;
  private final SystemTime system;

  CheckJob(CheckMapper mapper, NightlyChecks checks, Json json, SystemTime system) {
    this.mapper = mapper;
    this.checks = checks;
    this.json = json;
    this.system = system;
  }

  @Override
  public String name() {
    return "check";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(2);
  }

  @Override
  public void run() {
    mapper.forget(system.now().minus(TOLD));
    for (CheckMapper.Asked asked = mapper.next(); asked != null; asked = mapper.next()) {
      mapper.start(asked.id(), system.now());
      mapper.end(asked.id(), json.write(checks.runAll(asked.mend())), system.now());
    }
  }
}
