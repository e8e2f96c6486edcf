package org.quietlantern.core.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import org.apache.poi.xwpf.usermodel.ParagraphAlignment;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFHyperlinkRun;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.apache.xmlbeans.XmlException;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

@DisplayName("A document as DOCX")
class DocxWriterTest {
  private static final Document DOCUMENT =
      new Document(
          "Search report: moths \u0000& <lamps>",
          List.of(
              new Document.Heading("Strategy"),
              new Document.Paragraph("It stands at http://lantern.test/q/1, for good."),
              new Document.Table(
                  List.of("line", "alone"),
                  List.of(
                      List.of("1. any of the words that moths are called by", "1,200"),
                      List.of("2. lamps", "90")))));

  private static XWPFDocument written() throws IOException {
    return new XWPFDocument(new ByteArrayInputStream(DocxWriter.write(DOCUMENT)));
  }

  @DisplayName("has a page of A4, a title among its properties, and a language")
  @Test
  void page() throws IOException, XmlException {
    try (XWPFDocument file = written()) {
      var size = file.getDocument().getBody().getSectPr().getPgSz();
      assertThat(size.getW().toString()).isEqualTo("11906");
      assertThat(size.getH().toString()).isEqualTo("16838");
      assertThat(file.getProperties().getCoreProperties().getTitle())
          .isEqualTo("Search report: moths & <lamps>");
      assertThat(file.getStyle().getDocDefaults().getRPrDefault().getRPr().getLangArray(0).getVal())
          .isEqualTo("en-GB");
    }
  }

  @DisplayName("has paragraphs by style, and addresses that can be followed")
  @Test
  void paragraphs() throws IOException {
    try (XWPFDocument file = written()) {
      assertThat(file.getParagraphs().stream().map(XWPFParagraph::getStyle))
          .startsWith("Title", "Heading1", "Normal");
      XWPFParagraph address = file.getParagraphs().get(2);
      assertThat(address.getText()).isEqualTo("It stands at http://lantern.test/q/1, for good.");
      XWPFHyperlinkRun link =
          (XWPFHyperlinkRun)
              address.getRuns().stream()
                  .filter(XWPFHyperlinkRun.class::isInstance)
                  .findFirst()
                  .orElseThrow();
      assertThat(link.getHyperlink(file).getURL()).isEqualTo("http://lantern.test/q/1");
    }
  }

  @DisplayName("has tables as wide as the text, whose head comes again on each page")
  @Test
  void tables() throws IOException {
    try (XWPFDocument file = written()) {
      XWPFTable table = file.getTables().get(0);
      assertThat(table.getRow(0).isRepeatHeader()).isTrue();
      assertThat(table.getRow(1).isRepeatHeader()).isFalse();
      int first = table.getRow(1).getCell(0).getWidth();
      int second = table.getRow(1).getCell(1).getWidth();
      assertThat(first).isGreaterThan(second);
      assertThat(first + second).isBetween(table.getWidth() - 2, table.getWidth());
      assertThat(table.getRow(1).getCell(1).getText()).isEqualTo("1,200");
      assertThat(table.getRow(1).getCell(1).getParagraphs().get(0).getAlignment())
          .isEqualTo(ParagraphAlignment.RIGHT);
    }
  }
}
