package org.quietlantern.standins.print;

import static org.quietlantern.standins.words.XmlText.escape;

import java.util.List;

/** A document as one HTML page that needs nothing else. */
public final class HtmlWriter {
  private static final String STYLE =
      "body{max-width:42rem;margin:2rem auto;padding:0 1rem;font:1.05rem/1.6 serif}"
          + "h1,h2,h3{line-height:1.25}table{border-collapse:collapse;font-size:.9rem}"
          + "th,td{padding:.15rem .6rem;text-align:left;border-bottom:1px solid #bbb}"
          + "figure{margin:1.5rem 0}figcaption,caption{font-size:.9rem;text-align:left}";
  private final StringBuilder html = new StringBuilder();
  private int headings;
  private int figures;

  private HtmlWriter() {}

  public static String write(Document document) {
    return new HtmlWriter().page(document);
  }

  private String page(Document document) {
    html.append("<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>")
        .append(escape(document.title()))
        .append("</title><meta name=\"viewport\" content=\"width=device-width\"><style>")
        .append(STYLE)
        .append("</style></head><body><article>");
    element("h1", document.title());
    element("p", document.by());
    element("p", document.where() + ". doi:" + document.doi());
    if (document.contents()) {
      contents(document.blocks());
    }
    document.blocks().forEach(this::block);
    return html.append("</article></body></html>\n").toString();
  }

  private void contents(List<Document.Block> blocks) {
    html.append("<nav aria-label=\"Contents\"><h2>Contents</h2><ol>");
    int number = 0;
    for (Document.Block block : blocks) {
      if (block instanceof Document.Heading heading) {
        number++;
        if (heading.level() == 1) {
          html.append("<li><a href=\"#s%d\">%s</a></li>".formatted(number, escape(heading.text())));
        }
      }
    }
    html.append("</ol></nav>");
  }

  private void block(Document.Block block) {
    if (block instanceof Document.Heading heading) {
      headings++;
      String name = "h" + (heading.level() + 1);
      html.append("<%s id=\"s%d\">".formatted(name, headings))
          .append(escape(heading.text()))
          .append("</%s>".formatted(name));
    } else if (block instanceof Document.Paragraph paragraph) {
      element("p", paragraph.text());
    } else if (block instanceof Document.Figure figure) {
      figures++;
      html.append("<figure id=\"f%d\">".formatted(figures))
          .append(figure.chart().svg(figure.caption()));
      element("figcaption", figure.caption());
      html.append("</figure>");
    } else if (block instanceof Document.Table table) {
      table(table);
    }
  }

  private void table(Document.Table table) {
    html.append("<table>");
    element("caption", table.caption());
    html.append("<thead><tr>");
    table
        .heads()
        .forEach(head -> html.append("<th scope=\"col\">").append(escape(head)).append("</th>"));
    html.append("</tr></thead><tbody>");
    for (List<String> row : table.rows()) {
      html.append("<tr>");
      row.forEach(cell -> element("td", cell));
      html.append("</tr>");
    }
    html.append("</tbody></table>");
  }

  private void element(String name, String text) {
    html.append('<').append(name).append('>').append(escape(text));
    html.append("</").append(name).append('>');
  }
}
