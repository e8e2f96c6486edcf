package org.quietlantern.server.report;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.query.CqlWriter;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Sentence;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.report.SearchReport;
import org.quietlantern.core.search.BySource;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.LineCounts;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.Shelves;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.revising.Histories;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Search reports, made from what a strategy finds now, with what it found before. */
@Service
@Transactional(readOnly = true)
class Reports {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH);
  private final Matching matching;
  private final Shelves shelves;
  private final Sources sources;
  private final Revisions revisions;
  private final Histories histories;
  private final Trail trail;
  private final Groups groups;
  private final Calendar calendar;
  private final LanternProperties properties;

  Reports(
      Matching matching,
      Shelves shelves,
      Sources sources,
      Revisions revisions,
      Histories histories,
      Trail trail,
      Groups groups,
      Calendar calendar,
      LanternProperties properties) {
    this.matching = matching;
    this.shelves = shelves;
    this.sources = sources;
    this.revisions = revisions;
    this.histories = histories;
    this.trail = trail;
    this.groups = groups;
    this.calendar = calendar;
    this.properties = properties;
  }

  /** {@code name}: of a held strategy, {@code q:ID} or {@code s:ID:n}. */
  SearchReport of(Member who, String name) {
    Strategy strategy = shelves.of(who.group()).find(name).orElseThrow(Refusal::unknown);
    return matching.look(who, look -> report(who, name, strategy, look));
  }

  private SearchReport report(Member who, String name, Strategy strategy, Matching.Look look) {
    Compiled.Ready ready = look.compile(strategy);
    List<Sources.SourceView> all = sources.all();
    BySource bySource =
        BySource.of(look.snapshot(), ready, all.stream().map(Sources.SourceView::key).toList());
    String[] parts = name.split(":");
    return new SearchReport(
        shelves.title(who.group(), name),
        "Made on %s by %s, %s."
            .formatted(day(calendar.now(), who.zoneId()), who.name(), groups.name(who.group())),
        bySource.count(),
        lines(who, strategy, look, ready),
        CqlWriter.write(strategy),
        Sentence.of(strategy, held -> shelves.title(who.group(), held)),
        sources(all, bySource, who.zoneId()),
        bySource.several(),
        properties.baseUrl() + "/g/" + who.groupPid() + "/report?of=" + name,
        since(who, parts, bySource.count()));
  }

  private List<SearchReport.LineOf> lines(
      Member who, Strategy strategy, Matching.Look look, Compiled.Ready ready) {
    Map<String, LineCounts.LineCount> counts =
        new LineCounts(look.snapshot(), ready)
            .all().stream()
                .collect(Collectors.toMap(LineCounts.LineCount::line, Function.identity()));
    List<SearchReport.LineOf> lines = new ArrayList<>();
    for (Line line : strategy.lines()) {
      Optional<LineCounts.LineCount> count = Optional.ofNullable(counts.get(line.id()));
      lines.add(
          new SearchReport.LineOf(
              Sentence.ofLine(line, held -> shelves.title(who.group(), held))
                  + (line.off() ? " (switched off)" : ""),
              count.map(c -> SearchReport.number(c.alone())).orElse(""),
              count.flatMap(LineCounts.LineCount::left).map(SearchReport::number).orElse("")));
    }
    return lines;
  }

  private static List<SearchReport.SourceOf> sources(
      List<Sources.SourceView> all, BySource bySource, ZoneId zone) {
    Map<String, Integer> found =
        bySource.shares().stream()
            .collect(Collectors.toMap(BySource.Share::source, BySource.Share::found));
    return all.stream()
        .map(
            source ->
                new SearchReport.SourceOf(
                    source.name(),
                    source.records(),
                    source.firstYear() == null
                        ? "unknown"
                        : source.firstYear() + " to " + source.lastYear(),
                    source.harvested() == null ? "never" : day(source.harvested(), zone),
                    found.getOrDefault(source.key(), 0)))
        .toList();
  }

  private List<String> since(Member who, String[] parts, int now) {
    if (parts[0].equals("q")) {
      return trail
          .firstRun(who, parts[1])
          .map(run -> List.of(then("It was first run", run.at(), run.count(), now, who.zoneId())))
          .orElse(List.of());
    }
    if (parts[0].equals("s")) {
      return ofRevision(who, parts[1], Integer.parseInt(parts[2]), now);
    }
    return List.of();
  }

  private List<String> ofRevision(Member who, String search, int n, int now) {
    Revisions.Revision revision = revisions.get(who, search, n);
    List<String> since = new ArrayList<>();
    since.add(
        then("Revision " + n + " was saved", revision.at(), revision.count(), now, who.zoneId()));
    if (!revision.comment().isEmpty()) {
      since.add("Reason given: " + revision.comment());
    }
    histories.checks(who, revision).stream()
        .filter(check -> check.checked() != null)
        .map(
            check ->
                "Checked by %s on %s."
                    .formatted(check.checker(), day(check.checked(), who.zoneId())))
        .forEach(since::add);
    return since;
  }

  private static String then(String what, Instant at, int then, int now, ZoneId zone) {
    int more = now - then;
    String change =
        more == 0
            ? "as many as now"
            : SearchReport.number(Math.abs(more)) + (more > 0 ? " fewer" : " more") + " than now";
    return "%s on %s and found %s then, %s."
        .formatted(what, day(at, zone), SearchReport.number(then), change);
  }

  private static String day(Instant at, ZoneId zone) {
    return DAY.format(at.atZone(zone));
  }
}
