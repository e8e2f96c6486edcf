package org.quietlantern.standins.print;

import java.util.ArrayList;
import java.util.List;

/**
 * Puts a document on pages of A4, in points. Headings keep with what follows; figures and rows are
 * never cut.
 */
final class Layout {
  static final float WIDTH = 595;
  static final float HEIGHT = 842;
  static final float MARGIN = 76;
  private static final float TEXT = 10.5f;
  private static final float SMALL = 9f;
  private static final float SPACING = 1.5f;
  private static final float LEAST_AFTER_HEADING = 60;

  /** A line of text; {@code y} from the lower edge of the page. */
  record Line(float x, float y, float size, String text) {}

  /** A chart, by its left lower corner. */
  record Drawing(float x, float y, Chart chart) {}

  /** Where a heading came to stand, by the number of the page from 0. */
  record Place(int level, String text, int page) {}

  /** A page. */
  record Sheet(List<Line> lines, List<Drawing> drawings) {}

  final List<Sheet> sheets = new ArrayList<>();
  final List<Place> places = new ArrayList<>();
  private float y;

  Layout() {
    turn();
  }

  static Layout of(Document document) {
    Layout layout = new Layout();
    layout.title(document);
    document.blocks().forEach(block -> layout.put(block, document.contents()));
    return layout;
  }

  static int rowsAPage() {
    return (int) ((HEIGHT - 2 * MARGIN) / (SMALL * SPACING));
  }

  private void title(Document document) {
    wrapped(document.title(), 17);
    gap(8);
    wrapped(document.by(), TEXT);
    wrapped(document.where(), SMALL);
    wrapped("doi:" + document.doi(), SMALL);
    gap(14);
  }

  private void put(Document.Block block, boolean chaptersTurn) {
    if (block instanceof Document.Heading heading) {
      heading(heading, chaptersTurn);
    } else if (block instanceof Document.Paragraph paragraph) {
      wrapped(paragraph.text(), TEXT);
      gap(6);
    } else if (block instanceof Document.Figure figure) {
      figure(figure);
    } else if (block instanceof Document.Table table) {
      table(table);
    }
  }

  private void heading(Document.Heading heading, boolean chaptersTurn) {
    boolean turns = chaptersTurn && heading.level() == 1 && !sheet().lines().isEmpty();
    if (turns || y - LEAST_AFTER_HEADING < MARGIN) {
      turn();
    }
    gap(8);
    places.add(new Place(heading.level(), heading.text(), sheets.size() - 1));
    wrapped(heading.text(), heading.level() == 1 ? 14 : 11.5f);
    gap(4);
  }

  private void figure(Document.Figure figure) {
    if (y - Chart.HEIGHT - 50 < MARGIN) {
      turn();
    }
    gap(10);
    y -= Chart.HEIGHT;
    sheet().drawings().add(new Drawing(MARGIN, y, figure.chart()));
    gap(4);
    wrapped(figure.caption(), SMALL);
    gap(10);
  }

  private void table(Document.Table table) {
    wrapped(table.caption(), SMALL);
    row(table.heads());
    table.rows().forEach(this::row);
    gap(10);
  }

  private void row(List<String> cells) {
    step(SMALL);
    float column = (WIDTH - 2 * MARGIN) / cells.size();
    for (int i = 0; i < cells.size(); i++) {
      sheet().lines().add(new Line(MARGIN + i * column, y, SMALL, cells.get(i)));
    }
  }

  /** A name at the left, and at the right where it is found. */
  void entry(String name, String where, int indent) {
    step(TEXT);
    sheet().lines().add(new Line(MARGIN + indent, y, TEXT, fitted(name, indent)));
    float right = WIDTH - MARGIN - Face.width(where, TEXT);
    sheet().lines().add(new Line(right, y, TEXT, where));
  }

  private String fitted(String name, int indent) {
    float room = WIDTH - 2 * MARGIN - indent - 40;
    String text = name;
    while (Face.width(text, TEXT) > room && text.contains(" ")) {
      text = text.substring(0, text.replace(" …", "").lastIndexOf(' ')) + " …";
    }
    return text;
  }

  void wrapped(String text, float size) {
    StringBuilder line = new StringBuilder();
    for (String word : text.split(" ")) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (!line.isEmpty() && Face.width(longer, size) > WIDTH - 2 * MARGIN) {
        line(line.toString(), size);
        line.setLength(0);
        line.append(word);
      } else {
        line.setLength(0);
        line.append(longer);
      }
    }
    line(line.toString(), size);
  }

  private void line(String text, float size) {
    step(size);
    sheet().lines().add(new Line(MARGIN, y, size, text));
  }

  private void step(float size) {
    if (y - size * SPACING < MARGIN) {
      turn();
    }
    y -= size * SPACING;
  }

  private void gap(float points) {
    y -= points;
  }

  private Sheet sheet() {
    return sheets.get(sheets.size() - 1);
  }

  private void turn() {
    sheets.add(new Sheet(new ArrayList<>(), new ArrayList<>()));
    y = HEIGHT - MARGIN;
  }
}
