package org.quietlantern.core.text;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Calendar;
import java.util.GregorianCalendar;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TimeZone;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationHighlight;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationMarkup;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.quietlantern.core.publication.Fold;
import org.quietlantern.core.publication.Text;

/**
 * A PDF with notes in it, as annotations that any reader of PDFs shows (ISO 32000-2, 12.5): a
 * highlight where the passage of a note stands; what is not found stands on the first page.
 */
public final class NotedPdf {
  private static final float[] LAMP = {1f, 0.84f, 0.42f};
  private static final float ICON = 20;

  /** Numbers that one stroke of a highlight has: four points. */
  private static final int CORNERS = 8;

  /** How far below its baseline a line reaches, and how far above, in heights of its letters. */
  private static final float BELOW = 0.25f;

  private static final float ABOVE = 1.05f;
  private final PDDocument pdf;
  private final List<Written> pages = new ArrayList<>();
  private int apart;

  /**
   * A note to be put in.
   *
   * @param by who wrote it
   * @param text what it says, with what others said to it
   */
  public record Note(String by, String text, Instant at, Passage passage) {}

  private NotedPdf(PDDocument pdf) {
    this.pdf = pdf;
  }

  /** Throws {@link TakenText.Unreadable} with the reason, for people. */
  public static void write(Path file, List<Note> notes, Path to) throws TakenText.Unreadable {
    try (PDDocument pdf =
        Loader.loadPDF(file.toFile(), "", null, null, IOUtils.createTempFileOnlyStreamCache())) {
      if (!pdf.getCurrentAccessPermission().canModifyAnnotations()) {
        throw new TakenText.Unreadable("The file forbids that notes are put into it.");
      }
      pdf.setAllSecurityToBeRemoved(true);
      new NotedPdf(pdf).put(notes);
      // The same notes make the same file.
      pdf.setDocumentId(0L);
      pdf.save(to.toFile());
    } catch (IOException | RuntimeException | StackOverflowError broken) {
      throw new TakenText.Unreadable("The file is broken: no notes can be put into it.", broken);
    }
  }

  private void put(List<Note> notes) throws IOException {
    for (int at = 1; at <= pdf.getNumberOfPages(); at++) {
      pages.add(Written.on(pdf, at));
    }
    Places places = new Places(pages.stream().map(page -> page.letters.toString()).toList());
    for (Note note : notes) {
      Optional<Places.Place> place = places.find(note.passage());
      if (place.isPresent()) {
        light(note, place.get());
      } else {
        putApart(note);
      }
    }
  }

  private void light(Note note, Places.Place place) throws IOException {
    Written page = pages.get(place.page());
    List<Stroke> strokes = page.strokes(Fold.letters(note.passage().quote()), place.nth());
    PDAnnotationHighlight light = new PDAnnotationHighlight();
    float[] corners = new float[CORNERS * strokes.size()];
    for (int n = 0; n < strokes.size(); n++) {
      System.arraycopy(strokes.get(n).corners(), 0, corners, CORNERS * n, CORNERS);
    }
    light.setRectangle(around(corners));
    light.setQuadPoints(corners);
    light.setColor(new PDColor(LAMP, PDDeviceRGB.INSTANCE));
    add(light, note, note.text(), pdf.getPage(place.page()));
  }

  private static PDRectangle around(float[] corners) {
    PDRectangle around = new PDRectangle(corners[0], corners[1], 0, 0);
    for (int at = 0; at < corners.length; at += 2) {
      around.setLowerLeftX(Math.min(around.getLowerLeftX(), corners[at]));
      around.setUpperRightX(Math.max(around.getUpperRightX(), corners[at]));
      around.setLowerLeftY(Math.min(around.getLowerLeftY(), corners[at + 1]));
      around.setUpperRightY(Math.max(around.getUpperRightY(), corners[at + 1]));
    }
    return around;
  }

  /** One below the other at the edge of the first page, with their passage. */
  private void putApart(Note note) throws IOException {
    PDPage first = pdf.getPage(0);
    PDRectangle box = first.getCropBox();
    PDAnnotationText icon = new PDAnnotationText();
    float down = box.getUpperRightY() - ICON * (1 + apart++ % (int) (box.getHeight() / ICON));
    icon.setRectangle(new PDRectangle(box.getLowerLeftX() + 4, down, ICON, ICON));
    icon.setName(PDAnnotationText.NAME_NOTE);
    String text =
        Stream.of("Place not found: “" + note.passage().quote() + "”", note.text())
            .filter(part -> !part.isEmpty())
            .reduce((a, b) -> a + "\n" + b)
            .orElse("");
    add(icon, note, text, first);
  }

  private void add(PDAnnotationMarkup annotation, Note note, String text, PDPage page)
      throws IOException {
    annotation.setTitlePopup(note.by());
    annotation.setContents(Text.legal(text));
    annotation.setCreationDate(calendar(note.at()));
    annotation.setPrinted(true);
    annotation.setPage(page);
    annotation.constructAppearances(pdf);
    List<PDAnnotation> all = page.getAnnotations();
    all.add(annotation);
    page.setAnnotations(all);
  }

  private static Calendar calendar(Instant at) {
    Calendar calendar = new GregorianCalendar(TimeZone.getTimeZone("UTC"), Locale.ROOT);
    calendar.setTimeInMillis(at.toEpochMilli());
    return calendar;
  }

  /** A stretch of letters in one line, in the space of its page; {@code dx, dy}: its direction. */
  private record Stroke(float x, float y, float dx, float dy, float length, float height) {

    static Stroke of(TextPosition letter, float left, float low) {
      var matrix = letter.getTextMatrix();
      float dx = matrix.getScaleX();
      float dy = matrix.getShearY();
      float size = (float) Math.hypot(dx, dy);
      return new Stroke(
          matrix.getTranslateX() + left,
          matrix.getTranslateY() + low,
          size == 0 ? 1 : dx / size,
          size == 0 ? 0 : dy / size,
          letter.getWidthDirAdj(),
          Math.max(1, letter.getHeight()));
    }

    /** Along this line, and across it. */
    private float along(Stroke other) {
      return (other.x - x) * dx + (other.y - y) * dy;
    }

    private float across(Stroke other) {
      return (other.y - y) * dx - (other.x - x) * dy;
    }

    boolean goesOnWith(Stroke next) {
      boolean sameLine = Math.abs(across(next)) < height / 2 && dx * next.dx + dy * next.dy > 0;
      return sameLine && along(next) >= 0;
    }

    Stroke with(Stroke next) {
      return new Stroke(
          x, y, dx, dy, Math.max(length, along(next) + next.length), Math.max(height, next.height));
    }

    /** Upper left, upper right, lower left, lower right, as readers of PDFs expect them. */
    float[] corners() {
      float up = height * ABOVE;
      float down = -height * BELOW;
      float endX = x + dx * length;
      float endY = y + dy * length;
      return new float[] {
        x - dy * up, y + dx * up, endX - dy * up, endY + dx * up,
        x - dy * down, y + dx * down, endX - dy * down, endY + dx * down
      };
    }
  }

  /** The letters of a page, each with its place. */
  private static final class Written extends PDFTextStripper {
    private final StringBuilder letters = new StringBuilder();
    private final List<Stroke> places = new ArrayList<>();
    private float left;
    private float low;

    /** {@code no}: from 1. A page that cannot be read has no letters. */
    static Written on(PDDocument pdf, int no) {
      Written page = new Written();
      PDRectangle box = pdf.getPage(no - 1).getCropBox();
      page.left = box.getLowerLeftX();
      page.low = box.getLowerLeftY();
      page.setStartPage(no);
      page.setEndPage(no);
      try {
        page.getText(pdf);
      } catch (IOException | RuntimeException broken) {
        page.letters.setLength(0);
        page.places.clear();
      }
      return page;
    }

    @Override
    protected void writeString(String text, List<TextPosition> positions) {
      for (TextPosition position : positions) {
        String folded = Fold.letters(position.getUnicode());
        Stroke place = Stroke.of(position, left, low);
        letters.append(folded);
        folded.chars().forEach(letter -> places.add(place));
      }
    }

    /** Of some letters that stand here, the {@code nth} time from 0. */
    List<Stroke> strokes(String quote, int nth) {
      int at = letters.indexOf(quote);
      for (int n = 0; n < nth; n++) {
        at = letters.indexOf(quote, at + 1);
      }
      List<Stroke> strokes = new ArrayList<>();
      for (Stroke next : places.subList(at, at + quote.length())) {
        Stroke last = strokes.isEmpty() ? null : strokes.get(strokes.size() - 1);
        if (last != null && last.goesOnWith(next)) {
          strokes.set(strokes.size() - 1, last.with(next));
        } else {
          strokes.add(next);
        }
      }
      return strokes;
    }
  }
}
