package org.quietlantern.core.citation.file;

import java.math.BigInteger;
import java.util.Locale;
import org.apache.poi.xwpf.usermodel.UnderlinePatterns;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.STTabJc;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.csl.EntryLayout;
import org.quietlantern.core.citation.csl.Run;
import org.quietlantern.core.report.DocxFile;
import org.quietlantern.core.report.DocxStyles;

/** A bibliography as DOCX: entries that hang, numbers in the margin, addresses as links. */
public final class BibliographyDocx {
  /** Between entries, by one line of the style's spacing, in twentieths of a point. */
  private static final int ONE_LINE = 160;

  private final XWPFDocument file;
  private final EntryLayout layout;

  private BibliographyDocx(XWPFDocument file, EntryLayout layout) {
    this.file = file;
    this.layout = layout;
  }

  public static byte[] write(BibliographyFile bibliography) {
    return DocxFile.write(
        bibliography.title(),
        file -> {
          BibliographyDocx writer = new BibliographyDocx(file, bibliography.layout());
          if (!bibliography.stated().isEmpty()) {
            writer.paragraph(DocxStyles.NORMAL, bibliography.stated());
          }
          bibliography.parts().forEach(writer::part);
        });
  }

  private void part(BibliographyFile.Part part) {
    if (part instanceof BibliographyFile.Heading heading) {
      paragraph(DocxStyles.HEADING, heading.text());
    } else if (part instanceof BibliographyFile.Annotation annotation) {
      XWPFParagraph paragraph = paragraph(DocxStyles.ANNOTATION, "");
      paragraph.setSpacingBetween(layout.lineSpacing());
      annotation
          .runs()
          .forEach(run -> DocxFile.words(paragraph, run.text(), made -> look(made, run.look())));
    } else {
      entry((BibliographyFile.Entry) part);
    }
  }

  private XWPFParagraph paragraph(String style, String text) {
    XWPFParagraph paragraph = file.createParagraph();
    paragraph.setStyle(style);
    DocxFile.words(paragraph, text, run -> {});
    return paragraph;
  }

  private void entry(BibliographyFile.Entry entry) {
    XWPFParagraph paragraph = file.createParagraph();
    paragraph.setStyle(DocxStyles.ENTRY);
    boolean numbered = entry.isNumbered();
    if (numbered || layout.hangingIndent()) {
      paragraph.setIndentationLeft(DocxFile.HANGING);
      paragraph.setIndentationHanging(DocxFile.HANGING);
    }
    if (numbered) {
      var tab = paragraph.getCTP().getPPr().addNewTabs().addNewTab();
      tab.setVal(STTabJc.LEFT);
      tab.setPos(BigInteger.valueOf(DocxFile.HANGING));
    }
    paragraph.setSpacingAfter(ONE_LINE * layout.entrySpacing());
    paragraph.setSpacingBetween(layout.lineSpacing());
    boolean first = true;
    for (Block block : entry.blocks()) {
      if (block.display().beginsLine() && !first) {
        paragraph.createRun().addBreak();
      }
      for (Run run : block.runs()) {
        DocxFile.words(paragraph, run.text(), made -> look(made, run.look()));
      }
      if (block.display() == Block.Display.LEFT_MARGIN) {
        paragraph.createRun().addTab();
      }
      first = false;
    }
  }

  private static void look(XWPFRun run, Run.Look look) {
    run.setItalic(look.italic());
    run.setBold(look.bold());
    run.setSmallCaps(look.smallCaps());
    if (look.underlined()) {
      run.setUnderline(UnderlinePatterns.SINGLE);
    }
    if (look.level() != Run.Level.BASELINE) {
      run.setVerticalAlignment(look.level().name().toLowerCase(Locale.ROOT));
    }
  }
}
