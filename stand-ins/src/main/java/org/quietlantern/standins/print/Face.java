package org.quietlantern.standins.print;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The one typeface of the PDFs; it comes with the library and has the letters of all our names. */
final class Face {
  private static final String FILE = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";
  private static final TrueTypeFont FONT = read();
  private static final Map<String, Float> WIDTHS = new HashMap<>();

  private Face() {}

  private static TrueTypeFont read() {
    try (InputStream file = Face.class.getResourceAsStream(FILE)) {
      return new TTFParser().parse(new RandomAccessReadBuffer(file));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /**
   * To be put into a document, with the letters that are used in it. Letters are not joined:
   * looking for pairs to join would take nine tenths of the time of writing.
   */
  static PDFont in(PDDocument pdf) {
    try {
      TrueTypeFont font = read();
      font.setEnableGsub(false);
      return PDType0Font.load(pdf, font, true);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** In points. Words come again and again, so their widths are remembered. */
  static float width(String text, float size) {
    float sum = 0;
    for (String word : text.split(" ", -1)) {
      sum += ofWord(word);
    }
    return (sum + ofWord(" ") * (int) text.chars().filter(c -> c == ' ').count()) * size;
  }

  private static synchronized float ofWord(String word) {
    return WIDTHS.computeIfAbsent(word, Face::measured);
  }

  private static float measured(String word) {
    try {
      float units = 0;
      for (int letter : word.codePoints().toArray()) {
        units += FONT.getAdvanceWidth(FONT.getUnicodeCmapLookup().getGlyphId(letter));
      }
      return units / FONT.getUnitsPerEm();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
