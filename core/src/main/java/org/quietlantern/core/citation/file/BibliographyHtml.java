package org.quietlantern.core.citation.file;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.csl.EntryLayout;
import org.quietlantern.core.citation.csl.Run;
import org.quietlantern.core.link.Addresses;

/**
 * A bibliography as HTML whose indents a word processor keeps when it is pasted: margin and indent
 * of paragraphs, inline (CSS 2.2, 16.1), for clipboards carry no style sheets.
 */
public final class BibliographyHtml {
  /** How far lines hang, as most styles want it: half an inch. */
  private static final double HANGING = 36;

  /** Points that a sign of a number in the margin takes, and the space behind it. */
  private static final double SIGN = 6.5;

  private static final double GAP = 9;

  private final StringBuilder html = new StringBuilder();
  private final EntryLayout layout;
  private final double margin;

  /** Whether looks stand in classes, for pages that have a style sheet and allow no others. */
  private final boolean classed;

  private BibliographyHtml(BibliographyFile file, boolean classed) {
    this.classed = classed;
    this.layout = file.layout();
    this.margin = margin(file);
  }

  /** A document on its own. */
  public static String document(BibliographyFile file) {
    String title = escaped(file.title());
    String head =
        """
        <!DOCTYPE html>
        <html><head><meta charset="utf-8"><title>%s</title></head>
        <body style="max-width: 45em; margin: 2em auto; font-family: serif; line-height: 1.4">
        <h1>%s</h1>
        """
            .formatted(title, title);
    String stated = file.stated().isEmpty() ? "" : "<p>" + escaped(file.stated()) + "</p>\n";
    return head + stated + fragment(file) + "</body></html>\n";
  }

  /** The entries alone, for a clipboard. */
  public static String fragment(BibliographyFile file) {
    return new BibliographyHtml(file, false).written(file);
  }

  /**
   * The entries alone, for a page whose style sheet knows paragraphs of the classes {@code
   * hanging}, {@code numbered}, {@code entry} and {@code annotation}, and {@code small-caps}.
   */
  public static String forPage(BibliographyFile file) {
    return new BibliographyHtml(file, true).written(file);
  }

  private String written(BibliographyFile file) {
    file.parts().forEach(this::part);
    return html.toString();
  }

  private static double margin(BibliographyFile file) {
    int longest =
        file.parts().stream()
            .filter(BibliographyFile.Entry.class::isInstance)
            .flatMap(part -> ((BibliographyFile.Entry) part).blocks().stream())
            .filter(block -> block.display() == Block.Display.LEFT_MARGIN)
            .mapToInt(block -> block.plain().strip().length())
            .max()
            .orElse(0);
    return longest * SIGN + GAP;
  }

  private void part(BibliographyFile.Part part) {
    if (part instanceof BibliographyFile.Heading heading) {
      html.append("<h2>").append(escaped(heading.text())).append("</h2>\n");
    } else if (part instanceof BibliographyFile.Annotation annotation) {
      paragraph("annotation", HANGING, 0);
      runs(annotation.runs(), html);
      html.append("</p>\n");
    } else {
      entry((BibliographyFile.Entry) part);
    }
  }

  private void entry(BibliographyFile.Entry entry) {
    boolean numbered = entry.isNumbered();
    double hangs = numbered ? margin : layout.hangingIndent() ? HANGING : 0;
    paragraph(numbered ? "numbered" : hangs > 0 ? "hanging" : "entry", hangs, -hangs);
    boolean first = true;
    for (Block block : entry.blocks()) {
      html.append(block.display().beginsLine() && !first ? "<br>" : "");
      runs(block.runs(), html);
      html.append(
          block.display() == Block.Display.LEFT_MARGIN
              ? classed ? " " : "<span style=\"white-space:pre\">\t</span>"
              : "");
      first = false;
    }
    html.append("</p>\n");
  }

  private void paragraph(String sort, double left, double indent) {
    if (classed) {
      html.append("<p class=\"").append(sort).append("\">");
      return;
    }
    html.append(
        String.format(
            Locale.ROOT,
            "<p style=\"margin:0 0 %dpt %.1fpt;text-indent:%.1fpt;line-height:%d%%\">",
            layout.entrySpacing() * 8,
            left,
            indent,
            layout.lineSpacing() * 100));
  }

  private void runs(List<Run> runs, StringBuilder html) {
    for (Run run : runs) {
      Run.Look look = run.look();
      String[][] tags = {
        {look.italic() ? "i" : "", ""},
        {look.bold() ? "b" : "", ""},
        {look.underlined() ? "u" : "", ""},
        {
          look.smallCaps() ? "span" : "",
          classed ? " class=\"small-caps\"" : " style=\"font-variant:small-caps\""
        },
        {
          look.level() == Run.Level.SUPERSCRIPT
              ? "sup"
              : look.level() == Run.Level.SUBSCRIPT ? "sub" : "",
          ""
        },
      };
      String ends = "";
      for (String[] tag : tags) {
        if (!tag[0].isEmpty()) {
          html.append('<').append(tag[0]).append(tag[1]).append('>');
          ends = "</" + tag[0] + ">" + ends;
        }
      }
      html.append(linked(run.text())).append(ends);
    }
  }

  private static String linked(String text) {
    Matcher address = Addresses.in(text);
    StringBuilder html = new StringBuilder();
    int done = 0;
    while (address.find()) {
      String one = escaped(address.group());
      html.append(escaped(text.substring(done, address.start())));
      html.append("<a href=\"")
          .append(escaped(Addresses.leadsTo(address.group())))
          .append("\">")
          .append(one)
          .append("</a>");
      done = address.end();
    }
    return html.append(escaped(text.substring(done))).toString();
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
