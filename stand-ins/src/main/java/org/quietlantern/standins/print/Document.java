package org.quietlantern.standins.print;

import java.util.List;

/**
 * A text as it is read, whatever it is printed on.
 *
 * @param by names of the authors, as they are spoken
 * @param where journal, book or institution with volume and pages
 * @param firstPage number on the first page
 * @param contents whether it has a table of contents
 */
public record Document(
    String title,
    String by,
    String where,
    String doi,
    int firstPage,
    boolean contents,
    List<Block> blocks) {
  /** So many rows of a table go on a page. */
  public static final int ROWS_A_PAGE = Layout.rowsAPage();

  public Document {
    blocks = List.copyOf(blocks);
  }

  /** What follows what. */
  public sealed interface Block permits Heading, Paragraph, Figure, Table {}

  /** {@code level} 1 for a chapter or main section, 2 below it. */
  public record Heading(int level, String text) implements Block {}

  public record Paragraph(String text) implements Block {}

  public record Figure(Chart chart, String caption) implements Block {}

  /** All rows have as many cells as there are heads. */
  public record Table(String caption, List<String> heads, List<List<String>> rows)
      implements Block {
    public Table {
      heads = List.copyOf(heads);
      rows = List.copyOf(rows);
    }
  }
}
