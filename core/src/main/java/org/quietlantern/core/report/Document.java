package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.List;

/** A document as headings, paragraphs and tables, before it is written in a format. */
public record Document(String title, List<Block> blocks) {
  public Document {
    blocks = List.copyOf(blocks);
  }

  /** A part of a document. */
  public sealed interface Block {}

  public record Heading(String text) implements Block {}

  public record Paragraph(String text) implements Block {}

  /** Every row has as many cells as there are columns; numbers stand to the right. */
  public record Table(List<String> columns, List<List<String>> rows) implements Block {
    public Table {
      columns = List.copyOf(columns);
      List<List<String>> copy = new ArrayList<>();
      for (List<String> row : rows) {
        if (row.size() != columns.size()) {
          throw new IllegalArgumentException(
              row.size() + " cells in " + columns.size() + " columns");
        }
        copy.add(List.copyOf(row));
      }
      rows = List.copyOf(copy);
    }

    static boolean isNumber(String cell) {
      return cell.matches("[\\d,]+");
    }
  }
}
