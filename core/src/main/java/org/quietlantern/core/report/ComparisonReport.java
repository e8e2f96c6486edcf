package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.List;

/**
 * The written account of two strategies beside each other (rule M1).
 *
 * @param when and by whom, as a sentence
 */
public record ComparisonReport(
    String when, Side first, Side second, Part gained, Part lost, int common, String address) {

  /** A strategy of the two and how many it finds. */
  public record Side(String title, int count) {}

  /** What only one of them finds: {@code titles} of those that came here last. */
  public record Part(int count, List<String> titles) {
    public Part {
      titles = List.copyOf(titles);
    }
  }

  public Document document() {
    List<Document.Block> blocks = new ArrayList<>();
    blocks.add(new Document.Paragraph(when));
    blocks.add(
        new Document.Table(
            List.of("strategy", "finds"), List.of(row("first: ", first), row("second: ", second))));
    blocks.add(new Document.Paragraph("Both find " + Numbers.publications(common) + "."));
    part(blocks, "Gained: found by the second only", gained);
    part(blocks, "Lost: found by the first only", lost);
    blocks.add(new Document.Heading("Address"));
    blocks.add(new Document.Paragraph(address));
    return new Document("Comparison: " + first.title() + " and " + second.title(), blocks);
  }

  private static List<String> row(String which, Side side) {
    return List.of(which + side.title(), Numbers.grouped(side.count()));
  }

  private static void part(List<Document.Block> blocks, String name, Part part) {
    blocks.add(new Document.Heading(name));
    int more = part.count() - part.titles().size();
    blocks.add(
        new Document.Paragraph(
            Numbers.publications(part.count()) + (more > 0 ? ", the newest here first:" : ".")));
    part.titles().forEach(title -> blocks.add(new Document.Paragraph(title)));
    if (more > 0) {
      blocks.add(new Document.Paragraph("And " + Numbers.grouped(more) + " more."));
    }
  }
}
