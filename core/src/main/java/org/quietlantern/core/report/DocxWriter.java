package org.quietlantern.core.report;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigInteger;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.poi.xwpf.usermodel.ParagraphAlignment;
import org.apache.poi.xwpf.usermodel.TableWidthType;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFHyperlinkRun;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.apache.poi.xwpf.usermodel.XWPFTableCell;
import org.apache.poi.xwpf.usermodel.XWPFTableRow;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPageMar;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPageSz;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTSectPr;

/**
 * A document as DOCX (ISO/IEC 29500, Office Open XML, transitional) on pages of A4 (ISO 216): the
 * styles Title, Heading1 and Normal, tables whose first row stands on each page, addresses as
 * links.
 */
public final class DocxWriter implements Document.Writer {
  /** In twentieths of a point. */
  private static final int PAGE_WIDTH = 11_906;

  private static final int PAGE_HEIGHT = 16_838;
  private static final int MARGIN = 1_418;
  private static final int TEXT_WIDTH = PAGE_WIDTH - 2 * MARGIN;

  /** No column is narrower than its share of this many in a table. */
  private static final int NARROWEST = 12;

  private static final Pattern ADDRESS = Pattern.compile("https?://\\S*[^\\s.,;:)]");
  private static final String LINK_COLOUR = "0B5394";

  private final XWPFDocument file = new XWPFDocument();

  private DocxWriter() {}

  public static byte[] write(Document document) {
    DocxWriter writer = new DocxWriter();
    try (XWPFDocument file = writer.file) {
      writer.page();
      file.getProperties().getCoreProperties().setTitle(clean(document.title()));
      file.getProperties().getCoreProperties().setCreator("Quiet Lantern");
      DocxStyles.add(file);
      writer.paragraph(DocxStyles.TITLE, document.title());
      document.writeTo(writer);
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      file.write(bytes);
      return bytes.toByteArray();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private void page() {
    CTSectPr section = file.getDocument().getBody().addNewSectPr();
    CTPageSz size = section.addNewPgSz();
    size.setW(BigInteger.valueOf(PAGE_WIDTH));
    size.setH(BigInteger.valueOf(PAGE_HEIGHT));
    CTPageMar margins = section.addNewPgMar();
    BigInteger margin = BigInteger.valueOf(MARGIN);
    margins.setLeft(margin);
    margins.setRight(margin);
    margins.setTop(margin);
    margins.setBottom(margin);
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
    write(paragraph, text);
  }

  /** With its addresses as links. */
  private static void write(XWPFParagraph paragraph, String text) {
    Matcher address = ADDRESS.matcher(text);
    int done = 0;
    while (address.find()) {
      run(paragraph.createRun(), text.substring(done, address.start()));
      XWPFHyperlinkRun link = paragraph.createHyperlinkRun(clean(address.group()));
      link.setColor(LINK_COLOUR);
      run(link, address.group());
      done = address.end();
    }
    run(paragraph.createRun(), text.substring(done));
  }

  private static void run(XWPFRun run, String text) {
    run.setText(clean(text));
  }

  /** Signs that XML 1.0 cannot hold are left out. */
  private static String clean(String text) {
    return text.codePoints()
        .filter(c -> c >= 0x20 || c == '\t' || c == '\n')
        .filter(c -> c != 0xFFFE && c != 0xFFFF)
        .filter(c -> c < 0xD800 || c > 0xDFFF)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
        .toString();
  }

  @Override
  public void table(Document.Table table) {
    XWPFTable made = file.createTable(table.rows().size() + 1, table.columns().size());
    made.setWidthType(TableWidthType.DXA);
    made.setWidth(TEXT_WIDTH);
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
      write(paragraph, cells.get(i));
      if (head) {
        paragraph.getRuns().forEach(run -> run.setBold(true));
      }
    }
  }

  /** Each column by the longest text in it, none of them too narrow to be read. */
  private static int[] widths(Document.Table table) {
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
    int least = TEXT_WIDTH / Math.max(NARROWEST, columns);
    int shared = TEXT_WIDTH - least * columns;
    int[] widths = new int[columns];
    for (int i = 0; i < columns; i++) {
      widths[i] = least + shared * longest[i] / Math.max(1, sum);
    }
    return widths;
  }
}
