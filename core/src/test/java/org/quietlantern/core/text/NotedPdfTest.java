package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationHighlight;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationMarkup;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class NotedPdfTest {
  private static final Instant AT = Instant.parse("2026-11-20T07:00:00Z");
  private static final PDType1Font FONT = new PDType1Font(Standard14Fonts.FontName.HELVETICA);
  @TempDir Path folder;
  private PDDocument read;

  @AfterEach
  void close() throws IOException {
    if (read != null) {
      read.close();
    }
  }

  /** Two lines at x = 72 on the second of two pages; the page's box begins elsewhere than at 0. */
  private static void write(PDDocument pdf, int rotation) throws IOException {
    pdf.addPage(new PDPage());
    PDPage page = new PDPage(new PDRectangle(50, 30, 600, 800));
    page.setRotation(rotation);
    pdf.addPage(page);
    try (PDPageContentStream content = new PDPageContentStream(pdf, page)) {
      content.beginText();
      content.setFont(FONT, 12);
      content.setLeading(16);
      content.newLineAtOffset(72, 700);
      content.showText("Moths came to dim-");
      content.newLine();
      content.showText("med lamps at dusk.");
      content.endText();
    }
  }

  private static NotedPdf.Note note(String text, String quote) {
    return new NotedPdf.Note("Ilse", text, AT, new Passage(quote, "", "", 1, 0));
  }

  private List<List<PDAnnotation>> put(int rotation, NotedPdf.Note... notes) throws Exception {
    Path file = folder.resolve("text.pdf");
    try (PDDocument pdf = new PDDocument()) {
      write(pdf, rotation);
      pdf.save(file.toFile());
    }
    Path noted = folder.resolve("noted.pdf");
    NotedPdf.write(file, List.of(notes), noted);
    read = Loader.loadPDF(Files.readAllBytes(noted));
    return List.of(read.getPage(0).getAnnotations(), read.getPage(1).getAnnotations());
  }

  @DisplayName("A highlight lies over its passage, line by line, with who wrote what and when")
  @Test
  void lit() throws Exception {
    for (int rotation : List.of(0, 90, 180)) {
      List<List<PDAnnotation>> all = put(rotation, note("see table 2", "dimmed lamps"));
      assertThat(all.get(0)).isEmpty();
      PDAnnotationHighlight light = (PDAnnotationHighlight) all.get(1).get(0);
      assertThat(light.getContents()).isEqualTo("see table 2");
      assertThat(light.getTitlePopup()).isEqualTo("Ilse");
      assertThat(light.getCreationDate().toInstant()).isEqualTo(AT);
      assertThat(light.getNormalAppearanceStream()).isNotNull();
      float[] corners = light.getQuadPoints();
      assertThat(corners).hasSize(16);
      float before = FONT.getStringWidth("Moths came to ") * 12 / 1000;
      float width = FONT.getStringWidth("med lamps") * 12 / 1000;
      assertThat(corners[0]).as("upper left of the first line").isCloseTo(72 + before, within(1f));
      assertThat(corners[5]).as("just below its baseline").isBetween(694f, 700f);
      assertThat(corners[8]).as("the second line begins at its left").isCloseTo(72, within(1f));
      assertThat(corners[10]).isCloseTo(72 + width, within(1f));
      assertThat(corners[9]).isBetween(688f, 700f);
    }
  }

  @DisplayName("What is not found stands on the first page with its quote")
  @Test
  void apart() throws Exception {
    List<List<PDAnnotation>> all = put(0, note("gone?", "nowhere to be found"), note("", "else"));
    assertThat(all.get(1)).isEmpty();
    assertThat(all.get(0)).hasSize(2).allMatch(PDAnnotationText.class::isInstance);
    assertThat(all.get(0).get(0).getContents())
        .isEqualTo("Place not found: “nowhere to be found”\ngone?");
    assertThat(all.get(0).get(0).getRectangle().getLowerLeftY())
        .isNotEqualTo(all.get(0).get(1).getRectangle().getLowerLeftY());
    assertThat(((PDAnnotationMarkup) all.get(0).get(1)).getContents())
        .isEqualTo("Place not found: “else”");
  }

  @DisplayName("A file that forbids notes, and one that is none, are refused with the reason")
  @Test
  void refused() throws Exception {
    Path file = folder.resolve("closed.pdf");
    try (PDDocument pdf = new PDDocument()) {
      write(pdf, 0);
      AccessPermission rights = new AccessPermission();
      rights.setCanModifyAnnotations(false);
      pdf.protect(new StandardProtectionPolicy("owner", "", rights));
      pdf.save(file.toFile());
    }
    Path to = folder.resolve("noted.pdf");
    List<NotedPdf.Note> notes = List.of(note("a", "lamps"));
    assertThatThrownBy(() -> NotedPdf.write(file, notes, to))
        .isInstanceOf(TakenText.Unreadable.class)
        .hasMessageContaining("forbids");
    Files.writeString(file, "%PDF-1.7 nothing of it");
    assertThatThrownBy(() -> NotedPdf.write(file, notes, to))
        .isInstanceOf(TakenText.Unreadable.class)
        .hasMessageContaining("broken");
  }
}
