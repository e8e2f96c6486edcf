package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDPageLabelRange;
import org.apache.pdfbox.pdmodel.common.PDPageLabels;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionJavaScript;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PdfTakingTest {
  @TempDir Path folder;

  private interface Making {
    void in(PDDocument pdf) throws IOException;
  }

  private Path file(Making making) throws IOException {
    Path file = folder.resolve("text.pdf");
    try (PDDocument pdf = new PDDocument()) {
      making.in(pdf);
      pdf.save(file.toFile());
    }
    return file;
  }

  private static void page(PDDocument pdf, String... lines) throws IOException {
    PDPage page = new PDPage();
    pdf.addPage(page);
    try (PDPageContentStream content = new PDPageContentStream(pdf, page)) {
      content.beginText();
      content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
      content.setLeading(16);
      content.newLineAtOffset(72, 700);
      for (String line : lines) {
        content.showText(line);
        content.newLine();
      }
      content.endText();
    }
  }

  @Test
  void hasThePagesWithTheirPrintedNumbersAndParts() throws Exception {
    Path file =
        file(
            pdf -> {
              page(pdf, "Moths at lamps", "Figure 1. Moths a night. More of it.");
              page(pdf, "Methods", "Table 2: Counts by garden.");
              PDPageLabels labels = new PDPageLabels(pdf);
              PDPageLabelRange range = new PDPageLabelRange();
              range.setStyle(PDPageLabelRange.STYLE_DECIMAL);
              range.setStart(204);
              labels.setLabelItem(0, range);
              pdf.getDocumentCatalog().setPageLabels(labels);
              PDDocumentOutline outline = new PDDocumentOutline();
              PDOutlineItem methods = new PDOutlineItem();
              methods.setTitle("Methods ");
              methods.setDestination(pdf.getPage(1));
              outline.addLast(methods);
              pdf.getDocumentCatalog().setDocumentOutline(outline);
              pdf.getDocumentInformation().setTitle("Moths at  lamps");
            });
    TakenText text = PdfTaking.take(file);
    assertThat(text.title()).isEqualTo("Moths at lamps");
    assertThat(text.pages()).extracting(TakenText.Page::label).containsExactly("204", "205");
    assertThat(text.pages().get(0).text()).startsWith("Moths at lamps\nFigure 1.");
    assertThat(text.parts())
        .extracting(part -> part.kind() + " " + part.page() + " " + part.title())
        .containsExactly(
            "FIGURE 0 Figure 1. Moths a night.",
            "SECTION 1 Methods",
            "TABLE 1 Table 2: Counts by garden.");
    assertThat(text.hasWords()).isTrue();
  }

  @Test
  void knowsWhenItHasNoWords() throws Exception {
    TakenText scanned = PdfTaking.take(file(pdf -> pdf.addPage(new PDPage())));
    assertThat(scanned.hasWords()).isFalse();
    assertThat(scanned.pages()).hasSize(1);
  }

  @Test
  void saysWhyItCannotBeRead() throws Exception {
    Path locked =
        file(
            pdf -> {
              page(pdf, "secret");
              pdf.protect(new StandardProtectionPolicy("a", "b", new AccessPermission()));
            });
    assertThatThrownBy(() -> PdfTaking.take(locked))
        .hasMessage("The file is locked with a password.");

    Path broken = Files.write(folder.resolve("broken.pdf"), new byte[] {'%', 'P', 'D', 'F', '-'});
    assertThatThrownBy(() -> PdfTaking.take(broken)).hasMessageContaining("is broken");

    Path none = file(pdf -> {});
    assertThatThrownBy(() -> PdfTaking.take(none)).hasMessage("The file has no pages.");

    Path long_ =
        file(
            pdf -> {
              for (int page = 0; page <= PdfTaking.MOST_PAGES; page++) {
                pdf.addPage(new PDPage());
              }
            });
    assertThatThrownBy(() -> PdfTaking.take(long_))
        .hasMessage("The file has 3,001 pages; up to 3,000 can be read here.");
  }

  @Test
  void leavesScriptsAlone() throws Exception {
    Path file =
        file(
            pdf -> {
              page(pdf, "Moths");
              pdf.getDocumentCatalog().setOpenAction(new PDActionJavaScript("app.alert(1)"));
            });
    assertThat(PdfTaking.take(file).pages().get(0).text()).isEqualTo("Moths\n");
  }

  @Test
  void anOutlineThatLeadsRoundInACircleEnds() throws Exception {
    Path file =
        file(
            pdf -> {
              page(pdf, "Moths");
              PDDocumentOutline outline = new PDDocumentOutline();
              PDOutlineItem first = new PDOutlineItem();
              PDOutlineItem second = new PDOutlineItem();
              first.setTitle("first");
              second.setTitle("second");
              first.setDestination(pdf.getPage(0));
              second.setDestination(pdf.getPage(0));
              outline.addLast(first);
              outline.addLast(second);
              second
                  .getCOSObject()
                  .setItem(org.apache.pdfbox.cos.COSName.NEXT, first.getCOSObject());
              pdf.getDocumentCatalog().setDocumentOutline(outline);
            });
    assertThat(PdfTaking.take(file).parts()).hasSizeLessThan(3_000).isNotEmpty();
  }

  @Test
  void formIsToldByTheContentNotByTheName() {
    assertThat(TakenText.Form.of("\n%PDF-1.7 ...".getBytes(StandardCharsets.UTF_8)))
        .contains(TakenText.Form.PDF);
    assertThat(TakenText.Form.of("<!-- x --><HTML lang=en>".getBytes(StandardCharsets.UTF_8)))
        .contains(TakenText.Form.HTML);
    assertThat(TakenText.Form.of("PK\u0003\u0004word/".getBytes(StandardCharsets.UTF_8))).isEmpty();
    assertThat(TakenText.Form.of(new byte[0])).isEmpty();
  }
}
