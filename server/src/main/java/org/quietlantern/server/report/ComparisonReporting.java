package org.quietlantern.server.report;

import java.util.List;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.report.ComparisonReport;
import org.quietlantern.core.report.Document;
import org.quietlantern.core.report.Titles;
import org.quietlantern.core.search.Comparison;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Component;

/** Two strategies beside each other: {@code comparison:q:ID,s:ID:2}. */
@Component
class ComparisonReporting implements Reporting {
  private static final String PREFIX = "comparison:";

  /** Titles of what is gained, and of what is lost. */
  private static final int NAMED = 200;

  private final Matching matching;
  private final Publications publications;
  private final Imprint imprint;

  ComparisonReporting(Matching matching, Publications publications, Imprint imprint) {
    this.matching = matching;
    this.publications = publications;
    this.imprint = imprint;
  }

  @Override
  public List<String> prefixes() {
    return List.of(PREFIX);
  }

  @Override
  public Document of(Member who, String name) {
    String[] two = name.substring(PREFIX.length()).split(",");
    if (two.length != 2) {
      throw Refusal.unknown();
    }
    Comparison found =
        matching.look(
            who,
            look ->
                Comparison.of(
                    look.snapshot(),
                    look.compile(held(look, two[0])),
                    look.compile(held(look, two[1])),
                    NAMED));
    return new ComparisonReport(
            imprint.made(who),
            new ComparisonReport.Side(
                imprint.title(who, two[0]), found.common() + found.lost().count()),
            new ComparisonReport.Side(
                imprint.title(who, two[1]), found.common() + found.gained().count()),
            part(who, found.gained()),
            part(who, found.lost()),
            found.common(),
            imprint.address(who, name))
        .document();
  }

  private static Strategy held(Matching.Look look, String name) {
    return look.library().find(name).orElseThrow(Refusal::unknown);
  }

  private ComparisonReport.Part part(Member who, Comparison.Part part) {
    return new ComparisonReport.Part(
        part.count(),
        publications.byPid(Viewer.of(who), part.newest()).stream()
            .map(s -> Titles.of(s.publication()))
            .toList());
  }
}
