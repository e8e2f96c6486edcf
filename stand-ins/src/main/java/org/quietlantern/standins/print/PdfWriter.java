package org.quietlantern.standins.print;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;

/**
 * A document as PDF: text that can be selected, page numbers, drawn figures; with a table of
 * contents where it has one, and an outline.
 */
public final class PdfWriter {
  private static final float NUMBER_SIZE = 9;
  private final PDDocument pdf = new PDDocument();
  private final PDFont font;
  private final Document document;

  private PdfWriter(Document document) {
    this.document = document;
    this.font = Face.in(pdf);
  }

  public static byte[] write(Document document) {
    try {
      PdfWriter writer = new PdfWriter(document);
      try (writer.pdf) {
        return writer.bytes();
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** How many pages the text takes, without those of the contents. */
  public static int pages(Document document) {
    return Layout.of(document).sheets.size();
  }

  private byte[] bytes() throws IOException {
    Layout body = Layout.of(document);
    if (document.contents()) {
      List<Layout.Sheet> front = contents(body.places).sheets;
      for (int i = 0; i < front.size(); i++) {
        print(front.get(i), roman(i + 1));
      }
    }
    int before = pdf.getNumberOfPages();
    for (int i = 0; i < body.sheets.size(); i++) {
      print(body.sheets.get(i), Integer.toString(document.firstPage() + i));
    }
    outline(body.places, before);
    pdf.getDocumentInformation().setTitle(document.title());
    pdf.getDocumentInformation().setAuthor(document.by());
    pdf.getDocumentCatalog().setLanguage("en");
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    pdf.save(out);
    return out.toByteArray();
  }

  private Layout contents(List<Layout.Place> places) {
    Layout layout = new Layout();
    layout.wrapped("Contents", 14);
    for (Layout.Place place : places) {
      layout.entry(
          place.text(),
          Integer.toString(document.firstPage() + place.page()),
          12 * (place.level() - 1));
    }
    return layout;
  }

  private void print(Layout.Sheet sheet, String number) throws IOException {
    PDPage page = new PDPage(new PDRectangle(Layout.WIDTH, Layout.HEIGHT));
    pdf.addPage(page);
    try (PDPageContentStream out = new PDPageContentStream(pdf, page)) {
      for (Layout.Line line : sheet.lines()) {
        text(out, line.x(), line.y(), line.size(), line.text());
      }
      for (Layout.Drawing drawing : sheet.drawings()) {
        draw(out, drawing);
      }
      float x = (Layout.WIDTH - Face.width(number, NUMBER_SIZE)) / 2;
      text(out, x, Layout.MARGIN / 2, NUMBER_SIZE, number);
    }
  }

  private void text(PDPageContentStream out, float x, float y, float size, String text)
      throws IOException {
    out.beginText();
    out.setFont(font, size);
    out.newLineAtOffset(x, y);
    out.showText(text);
    out.endText();
  }

  private void draw(PDPageContentStream out, Layout.Drawing drawing) throws IOException {
    Chart chart = drawing.chart();
    float x = drawing.x();
    float top = drawing.y() + Chart.HEIGHT;
    out.moveTo(x + chart.left(), top - chart.top());
    out.lineTo(x + chart.left(), top - chart.base());
    out.lineTo(x + Chart.WIDTH - 10, top - chart.base());
    out.stroke();
    for (Chart.Bar bar : chart.bars()) {
      out.setNonStrokingColor(0.33f, 0.41f, 0.54f);
      out.addRect(
          x + (float) bar.x(), top - chart.base(), (float) bar.width(), (float) bar.height());
      out.fill();
      out.setNonStrokingColor(0f);
      float middle = (float) (bar.x() + bar.width() / 2 - Face.width(bar.label(), 8) / 2);
      text(out, x + middle, top - chart.base() - 12, 8, bar.label());
    }
    text(out, x, top - chart.top() - 6, 8, Chart.number(chart.most()));
    text(out, x + chart.left(), top - 8, 8, chart.up());
    text(out, x + Chart.WIDTH / 2f - 30, top - chart.base() - 28, 8, chart.across());
  }

  private void outline(List<Layout.Place> places, int before) {
    PDDocumentOutline outline = new PDDocumentOutline();
    pdf.getDocumentCatalog().setDocumentOutline(outline);
    PDOutlineItem chapter = null;
    for (Layout.Place place : places) {
      PDOutlineItem item = new PDOutlineItem();
      item.setTitle(place.text());
      item.setDestination(pdf.getPage(before + place.page()));
      if (place.level() == 1 || chapter == null) {
        outline.addLast(item);
        chapter = item;
      } else {
        chapter.addLast(item);
      }
    }
  }

  private static String roman(int number) {
    return List.of("i", "ii", "iii", "iv", "v", "vi", "vii", "viii", "ix", "x").get(number - 1);
  }
}
