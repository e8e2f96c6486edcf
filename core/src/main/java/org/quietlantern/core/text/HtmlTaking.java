package org.quietlantern.core.text;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.safety.Cleaner;
import org.jsoup.safety.Safelist;
import org.jsoup.select.NodeTraversor;
import org.jsoup.select.NodeVisitor;
import org.quietlantern.core.publication.Text;

/**
 * Takes a text out of a page of the web (HTML Living Standard): what is said stays, with headings,
 * tables, figures that are drawn and links; whatever acts, styles, asks, embeds or fetches goes.
 */
public final class HtmlTaking {
  /** Characters that are shown; more would hold up any reader's machine. */
  static final int LONGEST = 8_000_000;

  private static final int DEEPEST = 256;
  private static final String[] DRAWING = {
    "svg", "g", "path", "line", "rect", "circle", "ellipse", "polyline", "polygon", "text", "tspan"
  };

  private HtmlTaking() {}

  /** Throws {@link TakenText.Unreadable} with the reason, for people. */
  public static TakenText take(byte[] content) throws TakenText.Unreadable {
    Document page = parse(content);
    page.select("nav, aside, header[role=banner], footer, form, template, noscript").remove();
    String title = Text.clean(page.title());
    if (deepest(page) > DEEPEST) {
      throw new TakenText.Unreadable("The page is nested too deeply to be shown.");
    }
    Document clean = new Cleaner(kept()).clean(page);
    anchors(clean);
    clean.outputSettings().prettyPrint(false);
    String html = Text.legal(clean.body().html());
    if (html.length() > LONGEST) {
      throw new TakenText.Unreadable(
          "The page has %,d characters; up to %,d can be read here."
              .formatted(html.length(), LONGEST));
    }
    return new TakenText(
        TakenText.Form.HTML,
        title,
        List.of(new TakenText.Page("", Text.legal(words(clean.body())))),
        parts(clean),
        html);
  }

  private static Document parse(byte[] content) throws TakenText.Unreadable {
    try {
      return Jsoup.parse(new ByteArrayInputStream(content), null, "");
    } catch (IOException | RuntimeException broken) {
      throw new TakenText.Unreadable("The page is broken and cannot be read.", broken);
    }
  }

  /** No {@code class}, {@code style} or handlers; pictures only where they are inside the page. */
  private static Safelist kept() {
    Safelist kept =
        Safelist.none()
            .addTags("h1", "h2", "h3", "h4", "h5", "h6", "p", "div", "section", "article", "br")
            .addTags("hr", "ul", "ol", "li", "dl", "dt", "dd", "blockquote", "q", "cite", "pre")
            .addTags("code", "kbd", "samp", "var", "em", "strong", "b", "i", "u", "s", "small")
            .addTags("sub", "sup", "abbr", "span", "figure", "figcaption", "table", "caption")
            .addTags("thead", "tbody", "tfoot", "tr", "th", "td", "a", "img", "bdi", "bdo")
            .addAttributes(":all", "id", "dir", "lang")
            .addAttributes("th", "scope", "colspan", "rowspan")
            .addAttributes("td", "colspan", "rowspan")
            .addAttributes("ol", "start")
            .addAttributes("abbr", "title")
            .addAttributes("a", "href")
            .addProtocols("a", "href", "http", "https", "#")
            .addAttributes("img", "src", "alt", "width", "height")
            .addProtocols("img", "src", "data")
            .addEnforcedAttribute("a", "rel", "noreferrer nofollow");
    kept.addTags(DRAWING);
    for (String name : DRAWING) {
      kept.addAttributes(name, "viewbox", "viewBox", "width", "height", "role", "aria-label")
          .addAttributes(name, "d", "points", "x", "y", "x1", "y1", "x2", "y2", "cx", "cy", "r")
          .addAttributes(name, "rx", "ry", "dx", "dy", "transform", "fill", "stroke")
          .addAttributes(name, "stroke-width", "stroke-dasharray", "text-anchor", "font-size");
    }
    return kept;
  }

  /**
   * Names that others chose could be those of the page around: places get names of ours, and only
   * those that something leads to, or that begin a part, have one.
   */
  private static void anchors(Document clean) {
    Map<String, String> names = new LinkedHashMap<>();
    for (Element link : clean.select("a[href^=#]")) {
      String wanted = link.attr("href").substring(1);
      link.attr("href", "#" + names.computeIfAbsent(wanted, w -> "t-" + names.size()));
    }
    for (Element named : clean.select("[id]")) {
      String ours = names.get(named.id());
      if (ours == null) {
        named.removeAttr("id");
      } else {
        named.id(ours);
      }
    }
    int number = 0;
    for (Element part : clean.select("h1, h2, h3, h4, figure, table")) {
      number++;
      if (part.id().isEmpty()) {
        part.id("t-part-" + number);
      }
    }
    // Paint that would be fetched from elsewhere.
    clean.select("[fill*=(]").removeAttr("fill");
    clean.select("[stroke*=(]").removeAttr("stroke");
    for (Element picture : clean.select("img")) {
      if (!picture.attr("src").matches("data:image/(png|jpeg|gif|webp);base64,[\\w+/=\\s]+")) {
        picture.remove();
      }
    }
  }

  private static List<TakenText.Part> parts(Document clean) {
    List<TakenText.Part> parts = new ArrayList<>();
    int outermost = 6;
    for (Element heading : clean.select("h1, h2, h3, h4")) {
      outermost = Math.min(outermost, heading.tagName().charAt(1) - '0');
    }
    for (Element part : clean.select("h1, h2, h3, h4, figure, table")) {
      String name = part.tagName();
      boolean isHeading = name.startsWith("h");
      Element caption = isHeading ? part : part.selectFirst("figcaption, caption");
      String title = caption == null ? "" : Captions.title(caption.text());
      if (!title.isEmpty()) {
        parts.add(
            new TakenText.Part(
                switch (name) {
                  case "figure" -> TakenText.Part.Kind.FIGURE;
                  case "table" -> TakenText.Part.Kind.TABLE;
                  default -> TakenText.Part.Kind.SECTION;
                },
                isHeading ? name.charAt(1) - '0' - outermost + 1 : 1,
                title,
                0,
                part.id()));
      }
    }
    return parts;
  }

  /** Blocks on lines of their own. */
  private static String words(Element body) {
    StringBuilder words = new StringBuilder();
    NodeTraversor.traverse(
        new NodeVisitor() {
          @Override
          public void head(Node node, int depth) {
            if (node instanceof TextNode text) {
              words.append(text.text());
            } else if (node instanceof Element element && breaks(element)) {
              line();
            }
          }

          @Override
          public void tail(Node node, int depth) {
            if (node instanceof Element element) {
              if (isCell(element)) {
                words.append(' ');
              } else if (element.isBlock()) {
                line();
              }
            }
          }

          private boolean breaks(Element element) {
            return element.nameIs("br") || (element.isBlock() && !isCell(element));
          }

          private boolean isCell(Element element) {
            return element.nameIs("td") || element.nameIs("th");
          }

          private void line() {
            int end = words.length();
            while (end > 0 && words.charAt(end - 1) == ' ') {
              end--;
            }
            words.setLength(end);
            if (end > 0 && words.charAt(end - 1) != '\n') {
              words.append('\n');
            }
          }
        },
        body);
    return words.toString().strip();
  }

  private static int deepest(Document page) {
    int[] deepest = {0};
    NodeTraversor.traverse(
        (NodeVisitor) (node, depth) -> deepest[0] = Math.max(deepest[0], depth), page);
    return deepest[0];
  }
}
