package org.quietlantern.server.report;

import java.util.List;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.report.Document;
import org.quietlantern.core.report.GlanceReport;
import org.quietlantern.core.report.Titles;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Shelves;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.search.Glances;
import org.springframework.stereotype.Component;

/** What a strategy finds, from afar: {@code glance:q:ID}. */
@Component
class GlanceReporting implements Reporting {
  private static final String PREFIX = "glance:";
  private final Glances glances;
  private final Shelves shelves;
  private final Imprint imprint;

  GlanceReporting(Glances glances, Shelves shelves, Imprint imprint) {
    this.glances = glances;
    this.shelves = shelves;
    this.imprint = imprint;
  }

  @Override
  public List<String> prefixes() {
    return List.of(PREFIX);
  }

  @Override
  public Document of(Member who, String name) {
    String held = name.substring(PREFIX.length());
    Strategy strategy = shelves.of(who.group()).find(held).orElseThrow(Refusal::unknown);
    Glances.GlanceShown glance = glances.of(who, strategy);
    Glances.MainHeading heading = glance.heading();
    return new GlanceReport(
            imprint.title(who, held),
            imprint.made(who),
            glance.count(),
            heading == null ? "" : heading.label() + ". " + heading.note().replace("\n", " "),
            bars(glance.years()),
            glance.cited().stream()
                .map(s -> new GlanceReport.Counted(titled(s), s.citedBy()))
                .toList(),
            glance.reviews().stream().map(GlanceReporting::titled).toList(),
            bars(glance.journals()),
            bars(glance.headings()),
            imprint.address(who, name))
        .document();
  }

  private static String titled(Summary summary) {
    String title = Titles.of(summary.title(), summary.retracted());
    return summary.year() == null ? title : title + " (" + summary.year() + ")";
  }

  private static List<GlanceReport.Counted> bars(List<Glances.Bar> bars) {
    return bars.stream().map(bar -> new GlanceReport.Counted(bar.value(), bar.count())).toList();
  }
}
