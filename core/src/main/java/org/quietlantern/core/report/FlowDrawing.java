package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.List;

/**
 * A flow as it is drawn: a column of what goes on, beside it what goes out. Lengths are points of
 * the drawing.
 */
public record FlowDrawing(int width, int height, List<DrawnBox> boxes, List<String> arrows) {
  private static final int WIDE = 330;
  private static final int SIDE_AT = 400;
  private static final int GAP = 34;
  private static final int BETWEEN = 12;
  private static final int LINE = 24;
  private static final int PADDING = 9;

  /** Parts that a box has room for; the table has all. */
  private static final int MOST = 12;

  private static final int LONGEST = 42;

  public FlowDrawing {
    boxes = List.copyOf(boxes);
    arrows = List.copyOf(arrows);
  }

  /** A box; its first line says what it counts. */
  public record DrawnBox(int x, int y, int width, int height, List<DrawnLine> lines) {
    public DrawnBox {
      lines = List.copyOf(lines);
    }
  }

  /**
   * A line in a box.
   *
   * @param y of its foot
   * @param key by which its works are asked for; empty where it counts several parts
   */
  public record DrawnLine(String text, int n, String key, int y) {}

  public static FlowDrawing of(Flow flow) {
    List<DrawnBox> boxes = new ArrayList<>();
    List<String> arrows = new ArrayList<>();
    DrawnBox last = null;
    int top = 0;
    int below = 0;
    for (Flow.FlowStep box : flow.boxes()) {
      if (box.side() && last != null) {
        DrawnBox side = drawn(box, SIDE_AT, top);
        boxes.add(side);
        arrows.add(
            "M%d %d H%d V%d H%d"
                .formatted(
                    WIDE,
                    last.y() + PADDING + LINE / 2,
                    (WIDE + SIDE_AT) / 2,
                    side.y() + PADDING + LINE / 2,
                    SIDE_AT));
        top = side.y() + side.height() + BETWEEN;
        below = Math.max(below, side.y() + side.height());
        continue;
      }
      DrawnBox next = drawn(box, 0, last == null ? 0 : below + GAP);
      boxes.add(next);
      if (last != null) {
        arrows.add("M%d %d V%d".formatted(WIDE / 2, last.y() + last.height(), next.y()));
      }
      last = next;
      top = next.y();
      below = next.y() + next.height();
    }
    return new FlowDrawing(SIDE_AT + WIDE, below, boxes, arrows);
  }

  private static DrawnBox drawn(Flow.FlowStep box, int x, int y) {
    List<DrawnLine> lines = new ArrayList<>();
    lines.add(new DrawnLine(box.label(), box.n(), box.key(), foot(y, 0)));
    boolean all = box.parts().size() <= MOST;
    for (Flow.FlowPart part : box.parts().subList(0, all ? box.parts().size() : MOST - 1)) {
      lines.add(
          new DrawnLine(shortened(part.label()), part.n(), part.key(), foot(y, lines.size())));
    }
    if (!all) {
      List<Flow.FlowPart> others = box.parts().subList(MOST - 1, box.parts().size());
      int rest = others.stream().mapToInt(Flow.FlowPart::n).sum();
      lines.add(
          new DrawnLine(others.size() + " others, in the table", rest, "", foot(y, lines.size())));
    }
    return new DrawnBox(x, y, WIDE, 2 * PADDING + LINE * lines.size(), lines);
  }

  private static int foot(int y, int line) {
    return y + PADDING + LINE * line + 17;
  }

  private static String shortened(String label) {
    return label.length() <= LONGEST ? label : label.substring(0, LONGEST - 1).strip() + "…";
  }

  /** As SVG 1.1 that needs nothing else. */
  public String svg(String title) {
    StringBuilder svg = new StringBuilder();
    svg.append(
            "<svg xmlns='http://www.w3.org/2000/svg' viewBox='-2 -2 %d %d' width='%d' height='%d'"
                .formatted(width + 4, height + 4, width + 4, height + 4))
        .append(" role='img' font-family='sans-serif' font-size='13'>")
        .append("<title>")
        .append(escaped(title))
        .append("</title>")
        .append("<defs><marker id='head' viewBox='0 0 8 8' refX='8' refY='4' markerWidth='7'")
        .append(" markerHeight='7' orient='auto'><path d='M0 0 L8 4 L0 8 z'/></marker></defs>")
        .append("<rect x='-2' y='-2' width='100%' height='100%' fill='white'/>");
    for (String arrow : arrows) {
      svg.append("<path d='")
          .append(arrow)
          .append("' fill='none' stroke='black'")
          .append(" marker-end='url(#head)'/>");
    }
    for (DrawnBox box : boxes) {
      svg.append(
          "<rect x='%d' y='%d' width='%d' height='%d' rx='3' fill='white' stroke='black'/>"
              .formatted(box.x(), box.y(), box.width(), box.height()));
      for (int n = 0; n < box.lines().size(); n++) {
        DrawnLine line = box.lines().get(n);
        String look = n == 0 ? " font-weight='bold'" : "";
        svg.append(
            "<text x='%d' y='%d'%s>%s</text><text x='%d' y='%d' text-anchor='end'%s>%s</text>"
                .formatted(
                    box.x() + 10,
                    line.y(),
                    look,
                    escaped(line.text()),
                    box.x() + box.width() - 10,
                    line.y(),
                    look,
                    Numbers.grouped(line.n())));
      }
    }
    return svg.append("</svg>\n").toString();
  }

  /** What XML 1.0 has no place for goes, too. */
  private static String escaped(String text) {
    return text.replaceAll("[\\p{Cntrl}&&[^\\t\\n]]|[\\uFFFE\\uFFFF]", "")
        .replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;");
  }
}
