package org.quietlantern.server.drive;

import java.time.Duration;
import java.util.HashSet;
import java.util.Set;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Component;

/** Writes on the drives what waits for it, and what is kept up to date and has changed. */
@Component
public class DriveJob implements Job {
  private static final int AT_A_TIME = 20;
  private final DriveFileMapper mapper;
  private final DriveWriting writing;
  private final Calendar calendar;

  DriveJob(DriveFileMapper mapper, DriveWriting writing, Calendar calendar) {
    this.mapper = mapper;
    this.writing = writing;
    this.calendar = calendar;
  }

  @Override
  public String name() {
    return "drives";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(2);
  }

  /** A drive that is in trouble is left alone until the next run. */
  @Override
  public void run() {
    Set<Integer> troubled = new HashSet<>();
    for (int id : mapper.due(calendar.now(), AT_A_TIME)) {
      DriveFileMapper.Row row = mapper.get(id);
      if (row != null && !troubled.contains(row.grp()) && writing.write(row)) {
        troubled.add(row.grp());
      }
    }
  }
}
