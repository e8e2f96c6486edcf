package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * The written account of a stretch of searching: every strategy with its counts, in the order in
 * which they were tried, with what PRISMA-S asks of sources (items 1, 2, 13).
 *
 * @param when the stretch and whose it is, as a sentence
 * @param steps in the order of time
 */
public record TrailReport(
    String title, String when, List<StepOf> steps, List<SourceOf> sources, String address) {
  public TrailReport {
    steps = List.copyOf(steps);
    sources = List.copyOf(sources);
  }

  /**
   * A step.
   *
   * @param at day and time, as text
   * @param cql the whole strategy
   * @param now what it finds now; empty where that was not asked
   * @param opened titles of what was opened from it
   */
  public record StepOf(
      String at, String sentence, String cql, int count, OptionalInt now, List<String> opened) {
    public StepOf {
      opened = List.copyOf(opened);
    }
  }

  public Document document() {
    List<Document.Block> blocks = new ArrayList<>();
    blocks.add(new Document.Paragraph(when));
    List<List<String>> rows = new ArrayList<>();
    String before = "";
    for (StepOf step : steps) {
      String found = Numbers.grouped(step.count());
      String now = step.now().isPresent() ? Numbers.grouped(step.now().getAsInt()) : "";
      rows.add(List.of(step.at(), step.sentence(), before, found, now));
      before = found;
    }
    blocks.add(new Document.Heading("Steps"));
    blocks.add(
        new Document.Table(
            List.of("when", "search", "found before", "found then", "finds now"), rows));
    blocks.add(new Document.Heading("The same in CQL"));
    for (int i = 0; i < steps.size(); i++) {
      blocks.add(new Document.Paragraph(i + 1 + ". " + steps.get(i).cql()));
    }
    List<String> opened =
        steps.stream().flatMap(step -> step.opened().stream()).distinct().toList();
    if (!opened.isEmpty()) {
      blocks.add(new Document.Heading("Opened on the way"));
      opened.forEach(title -> blocks.add(new Document.Paragraph(title)));
    }
    blocks.add(new Document.Heading("Sources"));
    blocks.add(SourceOf.table(sources));
    blocks.add(new Document.Heading("Not searched"));
    blocks.add(new Document.Paragraph(SearchReport.NOT_SEARCHED));
    blocks.add(new Document.Heading("Address"));
    blocks.add(new Document.Paragraph(address));
    return new Document(title, blocks);
  }
}
