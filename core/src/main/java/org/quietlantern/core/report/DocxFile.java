package org.quietlantern.core.report;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigInteger;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFHyperlinkRun;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPageMar;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPageSz;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTSectPr;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.STPageOrientation;
import org.quietlantern.core.link.Addresses;

/**
 * A file of ours as DOCX (ISO/IEC 29500, Office Open XML, transitional) on pages of A4 (ISO 216),
 * with {@link DocxStyles} and its title on top; addresses in its words are links.
 */
public final class DocxFile {
  /** How far the lines of an entry hang, and all lengths here: twentieths of a point. */
  public static final int HANGING = 720;

  private static final int PAGE_WIDTH = 11_906;
  private static final int PAGE_HEIGHT = 16_838;
  private static final int MARGIN = 1_418;
  static final int TEXT_WIDTH = PAGE_WIDTH - 2 * MARGIN;

  /** Of a page that lies on its side. */
  static final int WIDE_TEXT = PAGE_HEIGHT - 2 * MARGIN;

  private static final String LINK_COLOUR = "0B5394";

  private DocxFile() {}

  /** {@code body} adds what stands below the title. */
  public static byte[] write(String title, Consumer<XWPFDocument> body) {
    try (XWPFDocument file = new XWPFDocument()) {
      page(file);
      file.getProperties().getCoreProperties().setTitle(clean(title));
      file.getProperties().getCoreProperties().setCreator("Quiet Lantern");
      DocxStyles.add(file);
      XWPFParagraph head = file.createParagraph();
      head.setStyle(DocxStyles.TITLE);
      words(head, title);
      body.accept(file);
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      file.write(bytes);
      return bytes.toByteArray();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static void page(XWPFDocument file) {
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

  /** Lays the pages on their sides. */
  static void turn(XWPFDocument file) {
    CTPageSz size = file.getDocument().getBody().getSectPr().getPgSz();
    size.setW(BigInteger.valueOf(PAGE_HEIGHT));
    size.setH(BigInteger.valueOf(PAGE_WIDTH));
    size.setOrient(STPageOrientation.LANDSCAPE);
  }

  /** Adds words to a paragraph; {@code look} is told each run of them. */
  public static void words(XWPFParagraph paragraph, String text, Consumer<XWPFRun> look) {
    Matcher address = Addresses.in(text);
    int done = 0;
    while (address.find()) {
      run(paragraph, text.substring(done, address.start()), look);
      XWPFHyperlinkRun link =
          paragraph.createHyperlinkRun(clean(Addresses.leadsTo(address.group())));
      link.setColor(LINK_COLOUR);
      link.setText(clean(address.group()));
      look.accept(link);
      done = address.end();
    }
    run(paragraph, text.substring(done), look);
  }

  static void words(XWPFParagraph paragraph, String text) {
    words(paragraph, text, run -> {});
  }

  private static void run(XWPFParagraph paragraph, String text, Consumer<XWPFRun> look) {
    XWPFRun run = paragraph.createRun();
    run.setText(clean(text));
    look.accept(run);
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
}
