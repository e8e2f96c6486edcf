package org.quietlantern.core.report;

import java.util.List;

/** A document as plain text, for letters and forms that take nothing else. */
public final class TextWriter implements Document.Writer {
  private final StringBuilder text = new StringBuilder();

  private TextWriter() {}

  public static String write(Document document) {
    TextWriter writer = new TextWriter();
    writer.underlined(document.title(), '=');
    document.writeTo(writer);
    return writer.text.toString();
  }

  @Override
  public void heading(String heading) {
    text.append('\n');
    underlined(heading, '-');
  }

  @Override
  public void paragraph(String paragraph) {
    text.append('\n').append(paragraph).append('\n');
  }

  private void underlined(String title, char sign) {
    text.append(title).append('\n');
    text.append(String.valueOf(sign).repeat(title.codePointCount(0, title.length()))).append('\n');
  }

  /** The first column last, for it is the longest: what is counted stands before it. */
  @Override
  public void table(Document.Table table) {
    text.append('\n');
    row(table.columns(), table);
    table.rows().forEach(row -> row(row, table));
  }

  private void row(List<String> cells, Document.Table table) {
    for (int i = 1; i < cells.size(); i++) {
      int width = width(table, i);
      String format =
          Document.Table.isNumber(cells.get(i)) ? "%" + width + "s" : "%-" + width + "s";
      text.append(String.format(format, cells.get(i))).append("  ");
    }
    text.append(cells.get(0)).append('\n');
  }

  private static int width(Document.Table table, int column) {
    return table.rows().stream()
        .mapToInt(row -> row.get(column).length())
        .reduce(table.columns().get(column).length(), Math::max);
  }
}
