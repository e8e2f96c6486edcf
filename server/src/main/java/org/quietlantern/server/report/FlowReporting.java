package org.quietlantern.server.report;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.report.Document;
import org.quietlantern.core.report.FlowReport;
import org.quietlantern.core.report.Numbers;
import org.quietlantern.core.search.Library;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.flow.Flows;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Shelves;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Component;

/**
 * What became of what alerts brought: {@code flow:ALERT:FROM:TO}, with {@code all} for all alerts,
 * and {@code :names} behind it with who reviewed.
 */
@Component
class FlowReporting implements Reporting {
  private final Flows flows;
  private final Alerts alerts;
  private final Shelves shelves;
  private final Imprint imprint;

  FlowReporting(Flows flows, Alerts alerts, Shelves shelves, Imprint imprint) {
    this.flows = flows;
    this.alerts = alerts;
    this.shelves = shelves;
    this.imprint = imprint;
  }

  @Override
  public List<String> prefixes() {
    return List.of("flow:");
  }

  @Override
  public Document of(Member who, String name) {
    String[] parts = name.split(":");
    if (parts.length < 4) {
      throw Refusal.unknown();
    }
    Flows.Came came =
        flows.came(
            who,
            new Flows.Asked(
                parts[1].equals("all") ? null : parts[1], day(parts[2]), day(parts[3])));
    boolean named = parts.length > 4 && parts[4].equals("names");
    return new FlowReport(
            Flows.title(came),
            imprint.made(who),
            watched(who, came.byAlert()),
            flows.flow(came),
            named ? reviewers(who, came) : List.of(),
            imprint.address(who, name))
        .document();
  }

  private static LocalDate day(String text) {
    try {
      return LocalDate.parse(text);
    } catch (DateTimeParseException none) {
      throw Refusal.unknown();
    }
  }

  private List<List<String>> watched(Member who, Map<String, Integer> byAlert) {
    Map<String, Alerts.AlertLine> lines =
        alerts.list(who).stream()
            .collect(Collectors.toMap(Alerts.AlertLine::id, Function.identity()));
    Library held = shelves.of(who.group());
    return byAlert.entrySet().stream()
        .filter(one -> lines.containsKey(one.getKey()))
        .map(
            one -> {
              Alerts.AlertLine line = lines.get(one.getKey());
              return List.of(
                  line.name(),
                  held.find("a:" + line.id())
                      .map(strategy -> imprint.sentence(who, strategy))
                      .orElse(""),
                  Imprint.day(line.at(), who.zoneId()),
                  Numbers.grouped(one.getValue()));
            })
        .toList();
  }

  private List<List<String>> reviewers(Member who, Flows.Came came) {
    return flows.reviewers(who, came).stream()
        .map(
            one ->
                List.of(
                    one.name(),
                    Numbers.grouped(one.lookedAt()),
                    Numbers.grouped(one.kept()),
                    Numbers.grouped(one.passed())))
        .toList();
  }
}
