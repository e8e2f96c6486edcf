package org.quietlantern.server.report;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.query.CqlWriter;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Sentence;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.report.Document;
import org.quietlantern.core.report.Numbers;
import org.quietlantern.core.report.SearchReport;
import org.quietlantern.core.search.BySource;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.LineCounts;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.Shelves;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.revising.Histories;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Component;

/** Search reports, made from what a strategy finds now, with what it found before. */
@Component
class SearchReporting implements Reporting {
  private final Matching matching;
  private final Shelves shelves;
  private final Sources sources;
  private final Revisions revisions;
  private final Histories histories;
  private final Trail trail;
  private final Imprint imprint;

  SearchReporting(
      Matching matching,
      Shelves shelves,
      Sources sources,
      Revisions revisions,
      Histories histories,
      Trail trail,
      Imprint imprint) {
    this.matching = matching;
    this.shelves = shelves;
    this.sources = sources;
    this.revisions = revisions;
    this.histories = histories;
    this.trail = trail;
    this.imprint = imprint;
  }

  @Override
  public List<String> prefixes() {
    return List.of("q:", "s:", "a:");
  }

  /** {@code name}: of a held strategy, {@code q:ID} or {@code s:ID:n}. */
  @Override
  public Document of(Member who, String name) {
    Strategy strategy = shelves.of(who.group()).find(name).orElseThrow(Refusal::unknown);
    return matching.look(who, look -> report(who, name, strategy, look)).document();
  }

  private SearchReport report(Member who, String name, Strategy strategy, Matching.Look look) {
    Compiled.Ready ready = look.compile(strategy);
    BySource bySource = BySource.of(look.snapshot(), ready, List.copyOf(sources.names().keySet()));
    Map<String, String> found =
        bySource.shares().stream()
            .collect(Collectors.toMap(BySource.Share::source, s -> Numbers.grouped(s.found())));
    return new SearchReport(
        imprint.title(who, name),
        imprint.made(who),
        bySource.count(),
        lines(who, strategy, look, ready),
        CqlWriter.write(strategy),
        imprint.sentence(who, strategy),
        imprint.sources(who, found),
        bySource.several(),
        imprint.address(who, name),
        Stream.concat(
                Matching.fates(ready).stream(),
                since(who, name.split(":"), bySource.count()).stream())
            .toList());
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
              Sentence.ofLine(line, held -> imprint.title(who, held))
                  + (line.off() ? " (switched off)" : ""),
              count.map(c -> Numbers.grouped(c.alone())).orElse(""),
              count.flatMap(LineCounts.LineCount::left).map(Numbers::grouped).orElse("")));
    }
    return lines;
  }

  private List<String> since(Member who, String[] parts, int now) {
    if (parts[0].equals("q")) {
      return trail
          .firstRun(who, parts[1])
          .map(run -> List.of(then("It was first run", run.at(), run.count(), now, who.zoneId())))
          .orElse(List.of());
    }
    return parts[0].equals("s")
        ? ofRevision(who, parts[1], Integer.parseInt(parts[2]), now)
        : List.of();
  }

  private List<String> ofRevision(Member who, String search, int n, int now) {
    Revisions.Revision revision = revisions.get(who, search, n);
    List<String> since = new ArrayList<>();
    since.add(
        then("Revision " + n + " was saved", revision.at(), revision.count(), now, who.zoneId()));
    if (!revision.comment().isEmpty()) {
      since.add("Reason given: " + revision.comment());
    }
    for (Histories.CheckShown check : histories.checks(who, revision)) {
      Instant checked = check.checked();
      if (checked != null) {
        since.add(
            "Checked by %s on %s.".formatted(check.checker(), Imprint.day(checked, who.zoneId())));
      }
    }
    return since;
  }

  private static String then(String what, Instant at, int then, int now, ZoneId zone) {
    int more = now - then;
    String change =
        more == 0
            ? "as many as now"
            : Numbers.grouped(Math.abs(more)) + (more > 0 ? " fewer" : " more") + " than now";
    return "%s on %s and found %s then, %s."
        .formatted(what, Imprint.day(at, zone), Numbers.grouped(then), change);
  }
}
