package org.quietlantern.core.reference;

import java.util.List;
import java.util.Map;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.report.Document;
import org.quietlantern.core.report.DocxWriter;

/** Works beside each other, a row each, in the columns that somebody chose. */
public record ComparisonTable(String title, List<TableColumn> columns, List<List<String>> rows) {
  public ComparisonTable {
    columns = List.copyOf(columns);
    rows = List.copyOf(rows);
  }

  /** {@code said}: what members said of the work, by the columns that hold it. */
  public static List<String> row(
      List<TableColumn> columns, Publication work, String link, Map<TableColumn, String> said) {
    return columns.stream()
        .map(one -> one.isSaid() ? said.getOrDefault(one, "") : one.of(work, link))
        .toList();
  }

  private List<String> heads() {
    return columns.stream().map(TableColumn::word).toList();
  }

  /** As a file for spreadsheets, as {@link CsvWriter} writes them. */
  public String csv() {
    return CsvWriter.table(heads(), rows);
  }

  /**
   * As a document on pages that lie on their sides.
   *
   * @param stated what it is of, in a sentence
   */
  public byte[] docx(String stated) {
    return DocxWriter.writeWide(
        new Document(
            title, List.of(new Document.Paragraph(stated), new Document.Table(heads(), rows))));
  }
}
