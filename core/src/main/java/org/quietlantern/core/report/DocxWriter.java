package org.quietlantern.core.report;

import java.util.List;
import org.apache.poi.xwpf.usermodel.ParagraphAlignment;
import org.apache.poi.xwpf.usermodel.TableWidthType;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.apache.poi.xwpf.usermodel.XWPFTableCell;
import org.apache.poi.xwpf.usermodel.XWPFTableRow;

/**
 * A document as DOCX (ISO/IEC 29500, Office Open XML, transitional) on pages of A4 (ISO 216): the
 * styles Title, Heading1 and Normal, tables whose first row stands on each page, addresses as
 * links.
 */
public final class DocxWriter implements Document.Writer {
  /** No column is narrower than its share of this many in a table. */
  private static final int NARROWEST = 12;

  private final XWPFDocument file;

  /** Of the page, in twentieths of a point. */
  private final int textWidth;

  private DocxWriter(XWPFDocument file, int textWidth) {
    this.file = file;
    this.textWidth = textWidth;
  }

  public static byte[] write(Document document) {
    return DocxFile.write(
        document.title(), file -> document.writeTo(new DocxWriter(file, DocxFile.TEXT_WIDTH)));
  }

  /** The same on pages that lie on their sides: tables of many columns have room there. */
  public static byte[] writeWide(Document document) {
    return DocxFile.write(
        document.title(),
        file -> {
          DocxFile.turn(file);
          document.writeTo(new DocxWriter(file, DocxFile.WIDE_TEXT));
        });
  }

  @Override
  public void heading(String text) {
    paragraph(DocxStyles.HEADING, text);
  }

  @Override
  public void paragraph(String text) {
    paragraph(DocxStyles.NORMAL, text);
  }

  private void paragraph(String style, String text) {
    XWPFParagraph paragraph = file.createParagraph();
    paragraph.setStyle(style);
    DocxFile.words(paragraph, text);
  }

  @Override
  public void table(Document.Table table) {
    XWPFTable made = file.createTable(table.rows().size() + 1, table.columns().size());
    made.setWidthType(TableWidthType.DXA);
    made.setWidth(textWidth);
    made.setLeftBorder(XWPFTable.XWPFBorderType.NONE, 0, 0, "auto");
    made.setRightBorder(XWPFTable.XWPFBorderType.NONE, 0, 0, "auto");
    made.setInsideVBorder(XWPFTable.XWPFBorderType.NONE, 0, 0, "auto");
    int[] widths = widths(table);
    made.getRow(0).setRepeatHeader(true);
    row(made.getRow(0), table.columns(), widths, true);
    for (int i = 0; i < table.rows().size(); i++) {
      row(made.getRow(i + 1), table.rows().get(i), widths, false);
    }
    paragraph(DocxStyles.NORMAL, "");
  }

  private static void row(XWPFTableRow row, List<String> cells, int[] widths, boolean head) {
    row.setCantSplitRow(true);
    for (int i = 0; i < cells.size(); i++) {
      XWPFTableCell cell = row.getCell(i);
      cell.setWidthType(TableWidthType.DXA);
      cell.setWidth(String.valueOf(widths[i]));
      XWPFParagraph paragraph = cell.getParagraphs().get(0);
      if (Document.Table.isNumber(cells.get(i))) {
        paragraph.setAlignment(ParagraphAlignment.RIGHT);
      }
      DocxFile.words(paragraph, cells.get(i));
      if (head) {
        paragraph.getRuns().forEach(run -> run.setBold(true));
      }
    }
  }

  /** Each column by the longest text in it, none of them too narrow to be read. */
  private int[] widths(Document.Table table) {
    int columns = table.columns().size();
    int[] longest = new int[columns];
    int sum = 0;
    for (int i = 0; i < columns; i++) {
      longest[i] = table.columns().get(i).length();
      for (List<String> row : table.rows()) {
        longest[i] = Math.max(longest[i], row.get(i).length());
      }
      sum += longest[i];
    }
    int least = textWidth / Math.max(NARROWEST, columns);
    int shared = textWidth - least * columns;
    int[] widths = new int[columns];
    for (int i = 0; i < columns; i++) {
      widths[i] = least + shared * longest[i] / Math.max(1, sum);
    }
    return widths;
  }
}
