package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.List;

/**
 * The written account of a search, with what PRISMA-S (Rethlefsen and others 2021) asks for:
 * sources and their coverage (items 1 and 2), the full strategy line by line (8), limits (9), dates
 * (13), same works (16), and what was not searched.
 *
 * @param title what was searched for, in few words
 * @param when and by whom, as a sentence
 * @param lines in their order
 * @param cql the whole strategy
 * @param sentence the whole strategy in plain words
 * @param merged how many of the result more than one source supplies
 * @param since what changed since the search was made, as sentences
 */
public record SearchReport(
    String title,
    String when,
    int count,
    List<LineOf> lines,
    String cql,
    String sentence,
    List<SourceOf> sources,
    int merged,
    String address,
    List<String> since) {
  public SearchReport {
    lines = List.copyOf(lines);
    sources = List.copyOf(sources);
    since = List.copyOf(since);
  }

  /**
   * A line.
   *
   * @param alone what it finds by itself
   * @param left what is left after it; empty for a line that is switched off
   */
  public record LineOf(String text, String alone, String left) {}

  /** What a search leaves out unless a line says otherwise. */
  static final String NOT_SEARCHED =
      "Searched were titles, abstracts, headings and author keywords, unless a line names another"
          + " field. Full texts were not searched, nor were any catalogues beside these, registers of"
          + " studies, reference lists or experts.";

  public Document document() {
    List<Document.Block> blocks = new ArrayList<>();
    blocks.add(new Document.Paragraph(when));
    blocks.add(new Document.Paragraph(sentence));
    blocks.add(new Document.Paragraph(Numbers.publications(count) + " were found."));
    since.forEach(sentence -> blocks.add(new Document.Paragraph(sentence)));
    blocks.add(new Document.Heading("Strategy, line by line"));
    List<List<String>> rows = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      LineOf line = lines.get(i);
      rows.add(List.of(i + 1 + ". " + line.text(), line.alone(), line.left()));
    }
    blocks.add(new Document.Table(List.of("line", "alone", "left after it"), rows));
    blocks.add(new Document.Heading("The same in CQL"));
    blocks.add(new Document.Paragraph(cql));
    blocks.add(new Document.Heading("Sources"));
    blocks.add(SourceOf.table(sources));
    blocks.add(new Document.Heading("Same works"));
    blocks.add(
        new Document.Paragraph(
            Numbers.grouped(merged)
                + " of those found are supplied by more than one source; each is counted once."));
    blocks.add(new Document.Heading("Not searched"));
    blocks.add(new Document.Paragraph(NOT_SEARCHED));
    blocks.add(new Document.Heading("Address"));
    blocks.add(new Document.Paragraph(address));
    return new Document("Search report: " + title, blocks);
  }
}
