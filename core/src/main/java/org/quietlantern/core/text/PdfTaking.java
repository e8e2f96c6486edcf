package org.quietlantern.core.text;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineNode;
import org.apache.pdfbox.text.PDFTextStripper;
import org.quietlantern.core.publication.Text;

/**
 * Takes the words out of a PDF (ISO 32000), page by page, with the numbers on the pages and the
 * outline. Nothing in it is run. A hostile file can use up the memory that there is: it is read in
 * a process of its own.
 */
public final class PdfTaking {
  /** Pages of a text; longer ones are refused with their number. */
  static final int MOST_PAGES = 3_000;

  private static final int MOST_PARTS = 2_000;
  private static final int DEEPEST = 4;
  private static final int LONGEST_PAGE = 200_000;
  private final PDDocument pdf;
  private final List<TakenText.Part> sections = new ArrayList<>();
  private int seen;

  private PdfTaking(PDDocument pdf) {
    this.pdf = pdf;
  }

  /** Throws {@link TakenText.Unreadable} with the reason, for people. */
  public static TakenText take(Path file) throws TakenText.Unreadable {
    try (PDDocument pdf =
        Loader.loadPDF(file.toFile(), "", null, null, IOUtils.createTempFileOnlyStreamCache())) {
      return new PdfTaking(pdf).take();
    } catch (InvalidPasswordException locked) {
      throw new TakenText.Unreadable("The file is locked with a password.", locked);
    } catch (IOException | RuntimeException | StackOverflowError broken) {
      throw new TakenText.Unreadable("The file is broken and cannot be read as a PDF.", broken);
    }
  }

  private TakenText take() throws IOException, TakenText.Unreadable {
    int count = pdf.getNumberOfPages();
    if (count > MOST_PAGES) {
      throw new TakenText.Unreadable(
          "The file has %,d pages; up to %,d can be read here.".formatted(count, MOST_PAGES));
    }
    if (count == 0) {
      throw new TakenText.Unreadable("The file has no pages.");
    }
    PDFTextStripper words = new PDFTextStripper();
    words.setLineSeparator("\n");
    List<String> texts = new ArrayList<>();
    for (int at = 0; at < count; at++) {
      texts.add(words(words, at));
    }
    List<String> labels = PrintedNumbers.of(texts).orElse(labels(count));
    List<TakenText.Page> pages =
        IntStream.range(0, count)
            .mapToObj(at -> new TakenText.Page(labels.get(at), texts.get(at)))
            .toList();
    PDDocumentOutline outline = pdf.getDocumentCatalog().getDocumentOutline();
    if (outline != null) {
      sections(outline, 1);
    }
    List<TakenText.Part> parts = new ArrayList<>(sections);
    for (int at = 0; at < count; at++) {
      parts.addAll(Captions.of(pages.get(at).text(), at));
    }
    parts.sort(Comparator.comparingInt(TakenText.Part::page));
    String title = pdf.getDocumentInformation().getTitle();
    return new TakenText(
        TakenText.Form.PDF, title == null ? "" : Text.clean(title), pages, parts, "");
  }

  /** A page that cannot be read is an empty one; the others are read all the same. */
  private String words(PDFTextStripper words, int at) {
    words.setStartPage(at + 1);
    words.setEndPage(at + 1);
    try {
      return Text.atMost(LONGEST_PAGE, Text.legal(words.getText(pdf)));
    } catch (IOException | RuntimeException broken) {
      return "";
    }
  }

  /** As the file names its pages (ISO 32000-2, 12.4.2), else counted. */
  private List<String> labels(int count) throws IOException {
    var known = pdf.getDocumentCatalog().getPageLabels();
    String[] labels = known == null ? new String[0] : known.getLabelsByPageIndices();
    String[] all = new String[count];
    for (int at = 0; at < count; at++) {
      String label = at < labels.length ? labels[at] : null;
      all[at] = label == null || label.isBlank() ? Integer.toString(at + 1) : label;
    }
    return List.of(all);
  }

  private void sections(PDOutlineNode node, int level) throws IOException {
    for (PDOutlineItem item : node.children()) {
      // What leads round in a circle ends, too.
      if (++seen > MOST_PARTS || level > DEEPEST) {
        return;
      }
      PDPage page = item.findDestinationPage(pdf);
      int at = page == null ? -1 : pdf.getPages().indexOf(page);
      String title = item.getTitle() == null ? "" : Text.clean(item.getTitle());
      if (at >= 0 && !title.isEmpty()) {
        sections.add(new TakenText.Part(TakenText.Part.Kind.SECTION, level, title, at, ""));
      }
      sections(item, level + 1);
    }
  }
}
