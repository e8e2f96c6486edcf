package org.quietlantern.server.report;

import java.util.List;
import org.quietlantern.core.report.Document;
import org.quietlantern.core.report.MeetingReport;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.meeting.Minutes;
import org.springframework.stereotype.Component;

/** Minutes of a meeting: {@code meeting:ID}. */
@Component
class MeetingReporting implements Reporting {
  private static final String PREFIX = "meeting:";

  private final Minutes minutes;

  MeetingReporting(Minutes minutes) {
    this.minutes = minutes;
  }

  @Override
  public List<String> prefixes() {
    return List.of(PREFIX);
  }

  @Override
  public Document of(Member who, String name) {
    MeetingReport report = minutes.of(who, name.substring(PREFIX.length()));
    return report.document();
  }
}
