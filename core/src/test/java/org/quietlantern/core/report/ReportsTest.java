package org.quietlantern.core.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class ReportsTest {
  private static final SourceOf SOURCE =
      new SourceOf("The Night Index", 4_321, "1994 to 2026", "24 November 2026", "");

  @Test
  void aStretchOfTheTrailTellsEachStepWithWhatWasFoundThenAndNow() {
    TrailReport report =
        new TrailReport(
            "Report of searching",
            "The steps of Ilse.",
            List.of(
                new TrailReport.StepOf(
                    "24 Nov, 08:00",
                    "Moths.",
                    "m",
                    1_200,
                    OptionalInt.of(1_210),
                    List.of("A", "B")),
                new TrailReport.StepOf(
                    "24 Nov, 08:05",
                    "Moths at lamps.",
                    "m and l",
                    90,
                    OptionalInt.empty(),
                    List.of("A"))),
            List.of(SOURCE),
            "http://lantern.test/x");
    String text = TextWriter.write(report.document());
    assertThat(text)
        .contains("Report of searching")
        .contains("1. m\n")
        .contains("2. m and l\n")
        .contains("The Night Index")
        .contains("Full texts were not searched");
    Document.Table steps =
        report.document().blocks().stream()
            .filter(Document.Table.class::isInstance)
            .map(Document.Table.class::cast)
            .findFirst()
            .orElseThrow();
    assertThat(steps.rows())
        .containsExactly(
            List.of("24 Nov, 08:00", "Moths.", "", "1,200", "1,210"),
            List.of("24 Nov, 08:05", "Moths at lamps.", "1,200", "90", ""));
    assertThat(report.document().blocks())
        .as("each once")
        .containsOnlyOnce(new Document.Paragraph("A"));
  }

  @Test
  void sourcesHaveAColumnOfWhatWasFoundOnlyWhereThereIsOne() {
    assertThat(SourceOf.table(List.of(SOURCE)).columns()).hasSize(4);
    SourceOf found = new SourceOf("Shelf", 12, "unknown", "never", "3");
    Document.Table both = SourceOf.table(List.of(SOURCE, found));
    assertThat(both.columns()).endsWith("found in it");
    assertThat(both.rows().get(1)).containsExactly("Shelf", "12", "unknown", "never", "3");
  }

  @Test
  void aComparisonNamesWhatItCan() {
    ComparisonReport report =
        new ComparisonReport(
            "Made.",
            new ComparisonReport.Side("moths", 10),
            new ComparisonReport.Side("moths or bats", 1_012),
            new ComparisonReport.Part(1_003, List.of("Bats of fens")),
            new ComparisonReport.Part(1, List.of("Owls")),
            9,
            "http://lantern.test/x");
    String text = TextWriter.write(report.document());
    assertThat(text)
        .contains("Both find 9 publications.")
        .contains("1,003 publications, the newest here first:")
        .contains("And 1,002 more.")
        .contains("1 publication.");
  }

  @Test
  void aGlanceLeavesOutWhatThereIsNot() {
    GlanceReport report =
        new GlanceReport(
            "xylophones",
            "Made.",
            0,
            "",
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            "a");
    assertThat(report.document().blocks())
        .doesNotHaveAnyElementsOfTypes(Document.Table.class)
        .contains(new Document.Paragraph("0 publications were found."));
  }
}
