package org.quietlantern.server.report;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.quietlantern.core.query.CqlWriter;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.report.Document;
import org.quietlantern.core.report.TrailReport;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.trail.TrailPages;
import org.springframework.stereotype.Component;

/** A stretch of the member's own trail, both ends in: {@code trail:STEP:STEP}. */
@Component
class TrailReporting implements Reporting {
  private static final String PREFIX = "trail:";
  private static final DateTimeFormatter MINUTE =
      DateTimeFormatter.ofPattern("d MMM uuuu, HH:mm", Locale.ENGLISH);
  private final TrailPages trail;
  private final Matching matching;
  private final Imprint imprint;

  TrailReporting(TrailPages trail, Matching matching, Imprint imprint) {
    this.trail = trail;
    this.matching = matching;
    this.imprint = imprint;
  }

  @Override
  public List<String> prefixes() {
    return List.of(PREFIX);
  }

  @Override
  public Document of(Member who, String name) {
    String[] ends = name.substring(PREFIX.length()).split(":");
    if (ends.length != 2) {
      throw Refusal.unknown();
    }
    List<TrailPages.TrailStep> steps = trail.stretch(who, ends[0], ends[1]);
    String from = Imprint.day(steps.get(0).at(), who.zoneId());
    String to = Imprint.day(steps.get(steps.size() - 1).at(), who.zoneId());
    String days = from.equals(to) ? "on " + from : "from " + from + " to " + to;
    List<TrailReport.StepOf> told =
        matching.look(who, look -> steps.stream().map(step -> step(who, step, look)).toList());
    return new TrailReport(
            "Report of searching " + days,
            "The steps of " + who.name() + " " + days + ". " + imprint.made(who),
            told,
            imprint.sources(who, Map.of()),
            imprint.address(who, name))
        .document();
  }

  private TrailReport.StepOf step(Member who, TrailPages.TrailStep step, Matching.Look look) {
    Strategy strategy = step.strategy().strategy();
    return new TrailReport.StepOf(
        MINUTE.format(step.at().atZone(who.zoneId())),
        imprint.sentence(who, strategy),
        CqlWriter.write(strategy),
        step.count(),
        look.found(strategy),
        step.opened().stream().map(TrailPages.OpenedLine::told).toList());
  }
}
