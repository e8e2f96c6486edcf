package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.List;

/** A document as headings, paragraphs and tables, before it is written in a format. */
public record Document(String title, List<Block> blocks) {
  public Document {
    blocks = List.copyOf(blocks);
  }

  /** Writes a document in some format; one method a sort of block, so that none is forgotten. */
  public interface Writer {
    void heading(String text);

    void paragraph(String text);

    void table(Table table);
  }

  /** Hands all blocks to a writer, in order. */
  public void writeTo(Writer writer) {
    blocks.forEach(block -> block.writeTo(writer));
  }

  /** A part of a document. */
  public sealed interface Block {
    void writeTo(Writer writer);
  }

  public record Heading(String text) implements Block {
    @Override
    public void writeTo(Writer writer) {
      writer.heading(text);
    }
  }

  public record Paragraph(String text) implements Block {
    @Override
    public void writeTo(Writer writer) {
      writer.paragraph(text);
    }
  }

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

    @Override
    public void writeTo(Writer writer) {
      writer.table(this);
    }

    static boolean isNumber(String cell) {
      return cell.matches("[\\d,]+");
    }
  }
}
