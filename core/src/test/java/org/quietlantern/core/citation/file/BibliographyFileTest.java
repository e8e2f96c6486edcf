package org.quietlantern.core.citation.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.annotation.AnnotationText;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.csl.EntryLayout;
import org.quietlantern.core.citation.csl.Run;

@DisplayName("A bibliography as a file")
class BibliographyFileTest {
  private static final Run.Look ITALIC =
      new Run.Look(true, false, false, false, Run.Level.BASELINE);
  private static final Run.Look RAISED =
      new Run.Look(false, true, true, true, Run.Level.SUPERSCRIPT);

  private static final Block WORDS =
      new Block(
          Block.Display.LINE,
          List.of(
              new Run("Berg & Sey <2025> ", Run.Look.PLAIN),
              new Run("Night walks", ITALIC),
              new Run("2", RAISED),
              new Run(". doi: 10.5555/x.1.", Run.Look.PLAIN)));

  private static final BibliographyFile HANGING =
      new BibliographyFile(
          "Walks & lamps",
          "APA",
          new EntryLayout(true, false, 0, 2),
          List.of(
              new BibliographyFile.Heading("Moths"),
              new BibliographyFile.Entry(List.of(WORDS)),
              BibliographyFile.Annotation.of(
                  AnnotationText.read("Why *we* read it.").paragraphs().get(0))));

  private static final BibliographyFile NUMBERED =
      new BibliographyFile(
          "Numbers",
          "",
          new EntryLayout(false, true, 1, 1),
          List.of(
              new BibliographyFile.Entry(
                  List.of(
                      new Block(
                          Block.Display.LEFT_MARGIN, List.of(new Run("[10] ", Run.Look.PLAIN))),
                      new Block(Block.Display.RIGHT_INLINE, WORDS.runs()),
                      new Block(
                          Block.Display.INDENT, List.of(new Run("Note.", Run.Look.PLAIN)))))));

  @DisplayName("HTML: margins inline, looks, links of DOIs; what is no markup of ours is text")
  @Test
  void html() {
    assertThat(BibliographyHtml.fragment(HANGING))
        .isEqualTo(
            """
            <h2>Moths</h2>
            <p style="margin:0 0 0pt 36.0pt;text-indent:-36.0pt;line-height:200%">\
            Berg &amp; Sey &lt;2025&gt; <i>Night walks</i>\
            <b><u><span style="font-variant:small-caps"><sup>2</sup></span></u></b>\
            . doi: <a href="https://doi.org/10.5555/x.1">10.5555/x.1</a>.</p>
            <p style="margin:0 0 0pt 36.0pt;text-indent:0.0pt;line-height:200%">Why <i>we</i> read it.</p>
            """);
    assertThat(BibliographyHtml.fragment(NUMBERED))
        .startsWith("<p style=\"margin:0 0 8pt 35.0pt;text-indent:-35.0pt;line-height:100%\">[10]")
        .contains("<span style=\"white-space:pre\">\t</span>Berg")
        .endsWith("<br>Note.</p>\n");
    assertThat(BibliographyHtml.forPage(HANGING))
        .startsWith(
            "<h2>Moths</h2>\n<p class=\"hanging\">Berg &amp; Sey &lt;2025&gt; <i>Night walks</i>")
        .contains("<span class=\"small-caps\">")
        .endsWith("<p class=\"annotation\">Why <i>we</i> read it.</p>\n")
        .doesNotContain("style=");
    assertThat(BibliographyHtml.forPage(NUMBERED))
        .startsWith("<p class=\"numbered\">[10] ")
        .doesNotContain("style=");
    assertThat(BibliographyHtml.document(HANGING))
        .contains("<h1>Walks &amp; lamps</h1>", "<p>APA</p>");
  }

  @DisplayName("Text: a number and a tab, blocks on lines of their own")
  @Test
  void text() {
    assertThat(BibliographyText.write(HANGING))
        .isEqualTo(
            """
            Walks & lamps
            APA

            Moths

            Berg & Sey <2025> Night walks2. doi: 10.5555/x.1.

                Why we read it.
            """);
    assertThat(BibliographyText.entries(NUMBERED))
        .isEqualTo("[10]\tBerg & Sey <2025> Night walks2. doi: 10.5555/x.1.\n    Note.");
  }

  @DisplayName("DOCX: a number in the margin with a tab, looks, annotations below, live DOIs")
  @Test
  void docx() throws IOException {
    try (XWPFDocument file = read(NUMBERED)) {
      XWPFParagraph entry = file.getParagraphs().get(1);
      assertThat(entry.getText()).startsWith("[10] \tBerg");
      assertThat(entry.getIndentationHanging()).isEqualTo(720);
      assertThat(entry.getCTP().getPPr().getTabs().getTabArray(0).getPos()).hasToString("720");
      assertThat(file.getHyperlinks()[0].getURL()).isEqualTo("https://doi.org/10.5555/x.1");
    }
    try (XWPFDocument file = read(HANGING)) {
      assertThat(file.getParagraphs())
          .extracting(XWPFParagraph::getStyle)
          .containsExactly("Title", "Normal", "Heading1", "Bibliography", "Annotation");
      assertThat(file.getParagraphs().get(4).getRuns())
          .filteredOn(run -> run.isItalic())
          .extracting(run -> run.text())
          .containsExactly("we");
      assertThat(file.getParagraphs().get(3).getSpacingBetween()).isEqualTo(2);
      assertThat(file.getParagraphs().get(4).getSpacingBetween()).isEqualTo(2);
      assertThat(file.getParagraphs().get(3).getRuns())
          .anySatisfy(
              run -> {
                assertThat(run.text()).isEqualTo("2");
                assertThat(run.isBold() && run.isSmallCaps()).isTrue();
                assertThat(run.getVerticalAlignment()).hasToString("superscript");
              });
    }
  }

  private static XWPFDocument read(BibliographyFile file) throws IOException {
    return new XWPFDocument(new ByteArrayInputStream(BibliographyDocx.write(file)));
  }
}
