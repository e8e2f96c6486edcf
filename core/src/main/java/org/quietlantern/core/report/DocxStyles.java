package org.quietlantern.core.report;

import java.math.BigInteger;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFStyle;
import org.apache.poi.xwpf.usermodel.XWPFStyles;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTFonts;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPPrGeneral;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTRPr;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTStyle;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTStyles;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.STStyleType;

/** The styles of our documents: what a reader changes once, to have all of it look theirs. */
public final class DocxStyles {
  public static final String TITLE = "Title";
  public static final String HEADING = "Heading1";
  public static final String NORMAL = "Normal";

  /** An entry of a bibliography, and what is said below it. */
  public static final String ENTRY = "Bibliography";

  public static final String ANNOTATION = "Annotation";

  private DocxStyles() {}

  static void add(XWPFDocument file) {
    XWPFStyles styles = file.createStyles();
    CTStyles all = CTStyles.Factory.newInstance();
    CTRPr base = all.addNewDocDefaults().addNewRPrDefault().addNewRPr();
    font(base);
    base.addNewLang().setVal("en-GB");
    styles.setStyles(all);
    CTStyle normal = style(NORMAL, "Normal", 22, false);
    normal.setDefault(true);
    normal.addNewPPr().addNewSpacing().setAfter(BigInteger.valueOf(120));
    styles.addStyle(new XWPFStyle(normal, styles));
    CTStyle title = style(TITLE, "Title", 36, true);
    styles.addStyle(new XWPFStyle(title, styles));
    CTStyle heading = style(HEADING, "heading 1", 26, true);
    CTPPrGeneral around = heading.addNewPPr();
    around.addNewKeepNext();
    around.addNewSpacing().setBefore(BigInteger.valueOf(240));
    around.addNewOutlineLvl().setVal(BigInteger.ZERO);
    styles.addStyle(new XWPFStyle(heading, styles));
    styles.addStyle(new XWPFStyle(style(ENTRY, "Bibliography", 22, false), styles));
    CTStyle annotation = style(ANNOTATION, "Annotation", 22, false);
    annotation.addNewPPr().addNewInd().setLeft(BigInteger.valueOf(DocxFile.HANGING));
    styles.addStyle(new XWPFStyle(annotation, styles));
  }

  /** {@code size}: in half points. */
  private static CTStyle style(String id, String name, int size, boolean bold) {
    CTStyle style = CTStyle.Factory.newInstance();
    style.setType(STStyleType.PARAGRAPH);
    style.setStyleId(id);
    style.addNewName().setVal(name);
    if (!id.equals(NORMAL)) {
      style.addNewBasedOn().setVal(NORMAL);
    }
    style.addNewQFormat();
    CTRPr signs = style.addNewRPr();
    if (bold) {
      signs.addNewB();
    }
    signs.addNewSz().setVal(BigInteger.valueOf(size));
    return style;
  }

  private static void font(CTRPr signs) {
    CTFonts fonts = signs.addNewRFonts();
    fonts.setAscii("Calibri");
    fonts.setHAnsi("Calibri");
    fonts.setCs("Calibri");
  }
}
