package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.List;

/**
 * What a result looks like from afar, as it was on a day.
 *
 * @param title what was searched for, in few words
 * @param when and by whom, as a sentence
 * @param heading the main heading with its definition; empty where there is none
 * @param years with their counts, the newest first
 */
public record GlanceReport(
    String title,
    String when,
    int count,
    String heading,
    List<Counted> years,
    List<Counted> cited,
    List<String> reviews,
    List<Counted> journals,
    List<Counted> headings,
    String address) {
  public GlanceReport {
    years = List.copyOf(years);
    cited = List.copyOf(cited);
    reviews = List.copyOf(reviews);
    journals = List.copyOf(journals);
    headings = List.copyOf(headings);
  }

  /** Something with a number beside it. */
  public record Counted(String name, int count) {}

  public Document document() {
    List<Document.Block> blocks = new ArrayList<>();
    blocks.add(new Document.Paragraph(when));
    blocks.add(new Document.Paragraph(Numbers.publications(count) + " were found."));
    if (!heading.isEmpty()) {
      blocks.add(new Document.Heading("Main heading"));
      blocks.add(new Document.Paragraph(heading));
    }
    table(blocks, "Publications per year", "year", "publications", years);
    table(blocks, "Most cited", "publication", "cited by", cited);
    if (!reviews.isEmpty()) {
      blocks.add(new Document.Heading("Recent reviews"));
      reviews.forEach(review -> blocks.add(new Document.Paragraph(review)));
    }
    table(blocks, "Main journals", "journal", "publications", journals);
    table(blocks, "Main headings", "heading", "publications", headings);
    blocks.add(new Document.Heading("Address"));
    blocks.add(new Document.Paragraph(address));
    return new Document("The field at a glance: " + title, blocks);
  }

  private static void table(
      List<Document.Block> blocks, String name, String what, String number, List<Counted> rows) {
    if (rows.isEmpty()) {
      return;
    }
    blocks.add(new Document.Heading(name));
    blocks.add(
        new Document.Table(
            List.of(what, number),
            rows.stream().map(row -> List.of(row.name(), Numbers.grouped(row.count()))).toList()));
  }
}
