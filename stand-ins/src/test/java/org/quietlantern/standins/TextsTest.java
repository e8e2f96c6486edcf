package org.quietlantern.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Texts;
import org.quietlantern.standins.corpus.Work;
import org.quietlantern.standins.print.Document;
import org.quietlantern.standins.print.HtmlWriter;
import org.quietlantern.standins.print.PdfWriter;

/** Full texts, read as others would read them. */
class TextsTest {
  private static final Texts TEXTS = new Texts(Literature.of(Literature.SEED, Extent.WHOLE));

  private static Work only(String kind) {
    return TEXTS.works().stream().filter(w -> w.kind().equals(kind)).findFirst().orElseThrow();
  }

  private static Document document(Work work) {
    return TEXTS.of(work.number()).orElseThrow();
  }

  private static String text(PDDocument pdf, int from, int to) throws IOException {
    PDFTextStripper stripper = new PDFTextStripper();
    stripper.setStartPage(from);
    stripper.setEndPage(to);
    return stripper.getText(pdf).replaceAll("\\s+", " ");
  }

  @DisplayName("Sixty works can be read: articles, a book, a thesis")
  @Test
  void sixty() {
    List<Work> works = TEXTS.works();
    assertThat(works).hasSize(60).allMatch(w -> w.date().isBefore(Literature.TODAY));
    assertThat(works.stream().map(Work::kind).distinct())
        .containsExactlyInAnyOrder("article", "book", "thesis");
    assertThat(TEXTS.list("http://x").lines()).hasSize(61).allMatch(l -> l.split(",").length == 3);
    assertThat(TEXTS.of(1)).as("an older work has none").isEmpty();
  }

  @DisplayName("An article has as many pages as its record says, numbered as there, and real text")
  @Test
  void articles() throws IOException {
    for (Work work : TEXTS.works().subList(0, 3)) {
      Document document = document(work);
      try (PDDocument pdf = Loader.loadPDF(PdfWriter.write(document))) {
        assertThat(pdf.getNumberOfPages()).as(work.title()).isEqualTo(work.pages());
        String all = text(pdf, 1, pdf.getNumberOfPages());
        String title = text(pdf, 1, 1);
        assertThat(title).contains(work.title(), work.abstractText().substring(0, 60));
        assertThat(title).endsWith(work.firstPage() + " ");
        assertThat(text(pdf, work.pages(), work.pages())).endsWith(work.lastPage() + " ");
        assertThat(all).contains("Figure 1.", "Table 1.", "Discussion");
        String html = HtmlWriter.write(document);
        assertThat(html).contains("<svg", "<figcaption>", "<th scope=\"col\">Light (lux)</th>");
        assertThat(html).isEqualTo(HtmlWriter.write(document(work)));
      }
    }
  }

  @DisplayName("The thesis has 200 pages or more, the book contents that lead to their pages")
  @Test
  void longOnes() throws IOException {
    Work thesis = only("thesis");
    try (PDDocument pdf = Loader.loadPDF(PdfWriter.write(document(thesis)))) {
      assertThat(pdf.getNumberOfPages()).isGreaterThanOrEqualTo(200);
    }
    Document book = document(only("book"));
    assertThat(HtmlWriter.write(book)).contains("<nav aria-label=\"Contents\">", "href=\"#s2\"");
    try (PDDocument pdf = Loader.loadPDF(PdfWriter.write(book))) {
      String contents = text(pdf, 1, 1);
      assertThat(contents).startsWith("Contents ");
      assertThat(pdf.getDocumentCatalog().getDocumentOutline().children()).hasSizeGreaterThan(10);
      String third =
          book.blocks().stream()
              .filter(b -> b instanceof Document.Heading h && h.level() == 1)
              .map(b -> ((Document.Heading) b).text())
              .filter(t -> t.startsWith("3 "))
              .findFirst()
              .orElseThrow();
      String page = contents.replaceAll(".*\\b3 [^0-9]*?(\\d+) Introduction.*", "$1");
      int front = pdf.getNumberOfPages() - PdfWriter.pages(book);
      assertThat(text(pdf, front + Integer.parseInt(page), front + Integer.parseInt(page)))
          .contains(third.substring(0, 20));
    }
  }
}
