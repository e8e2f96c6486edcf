package org.quietlantern.server.platform.job;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.util.List;
import javax.sql.DataSource;
import org.quietlantern.server.platform.LanternProperties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Runs the jobs from the database, so that several processes share them. */
@Component
class Jobs implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
  private final LanternProperties properties;
  private final Scheduler scheduler;
  private volatile boolean running;

  Jobs(LanternProperties properties, DataSource pool, List<Job> jobs) {
    this.properties = properties;
    this.scheduler =
        Scheduler.create(pool)
            .startTasks(jobs.stream().map(Jobs::task).toList())
            // Reading a large file, a long harvest, and room for what must not wait for them.
            .threads(4)
            .pollingInterval(Duration.ofSeconds(1))
            // A job whose process was killed is taken up by another, or after a restart, within a
            // minute.
            .heartbeatInterval(Duration.ofSeconds(5))
            .missedHeartbeatsLimit(4)
            .shutdownMaxWait(Duration.ofSeconds(3))
            .build();
  }

  private static RecurringTask<Void> task(Job job) {
    return Tasks.recurring(job.name(), FixedDelay.of(job.every()))
        .execute((instance, context) -> run(job));
  }

  private static void run(Job job) {
    try {
      job.run();
    } catch (RuntimeException failed) {
      LOG.error("job {} failed and will be tried again", job.name(), failed);
      throw failed;
    }
  }

  @Override
  public void start() {
    if (properties.jobs()) {
      scheduler.start();
      running = true;
    }
  }

  @Override
  public void stop() {
    scheduler.stop();
    running = false;
  }

  /** After the way out, so that no job waits for an answer. */
  @Override
  public int getPhase() {
    return Integer.MAX_VALUE - 1;
  }

  @Override
  public boolean isRunning() {
    return running;
  }
}
