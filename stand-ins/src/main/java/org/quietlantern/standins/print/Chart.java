package org.quietlantern.standins.print;

import java.util.List;
import java.util.Locale;
import org.quietlantern.standins.words.XmlText;

/**
 * Bars with their labels, drawn in a field of {@value #WIDTH} by {@value #HEIGHT} units.
 *
 * @param across what the labels are
 * @param up what the bars show
 */
public record Chart(String across, String up, List<String> labels, List<Double> values) {
  public static final int WIDTH = 420;
  public static final int HEIGHT = 200;
  private static final int LEFT = 46;
  private static final int BASE = 160;
  private static final int TOP = 14;

  public Chart {
    labels = List.copyOf(labels);
    values = List.copyOf(values);
  }

  /** A bar: its left upper corner, with {@code y} downwards, its size, and what stands under it. */
  public record Bar(double x, double y, double width, double height, String label) {}

  public List<Bar> bars() {
    double step = (double) (WIDTH - LEFT - 10) / labels.size();
    return java.util.stream.IntStream.range(0, labels.size())
        .mapToObj(
            i -> {
              double height = (BASE - TOP) * values.get(i) / most();
              return new Bar(LEFT + step * i + 6, BASE - height, step - 12, height, labels.get(i));
            })
        .toList();
  }

  /** The value at the upper end of the axis. */
  public double most() {
    return values.stream().mapToDouble(v -> v).max().orElse(1);
  }

  public int left() {
    return LEFT;
  }

  public int base() {
    return BASE;
  }

  public int top() {
    return TOP;
  }

  /** SVG 1.1; {@code name} is what a screen reader says. */
  public String svg(String name) {
    StringBuilder svg = new StringBuilder();
    svg.append(
        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" role=\"img\" aria-label=\"%s\" font-size=\"10\" font-family=\"sans-serif\">"
            .formatted(WIDTH, HEIGHT, XmlText.escape(name)));
    svg.append(
        "<path d=\"M%d %dV%dH%d\" fill=\"none\" stroke=\"currentColor\"/>"
            .formatted(LEFT, TOP, BASE, WIDTH - 10));
    for (Bar bar : bars()) {
      svg.append(
          String.format(
              Locale.ROOT,
              "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" fill=\"#55698a\"/>",
              bar.x(),
              bar.y(),
              bar.width(),
              bar.height()));
      text(svg, bar.x() + bar.width() / 2, BASE + 14, "middle", bar.label());
    }
    text(svg, LEFT - 6, TOP + 8, "end", number(most()));
    text(svg, LEFT - 6, BASE, "end", "0");
    text(svg, LEFT, 10, "start", up);
    text(svg, (LEFT + WIDTH) / 2.0, BASE + 32, "middle", across);
    return svg.append("</svg>").toString();
  }

  static String number(double value) {
    return String.format(Locale.ROOT, "%.1f", value);
  }

  private static void text(StringBuilder svg, double x, double y, String anchor, String text) {
    svg.append(
        String.format(
            Locale.ROOT,
            "<text x=\"%.1f\" y=\"%.1f\" text-anchor=\"%s\" fill=\"currentColor\">%s</text>",
            x,
            y,
            anchor,
            XmlText.escape(text)));
  }
}
