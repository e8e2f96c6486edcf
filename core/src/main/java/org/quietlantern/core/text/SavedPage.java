package org.quietlantern.core.text;

import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeTraversor;
import org.jsoup.select.NodeVisitor;

/** What the source of a web page says. Nothing of it is run, and nothing is fetched. */
public final class SavedPage {
  private static final Set<String> UNSEEN = Set.of("head", "script", "style", "noscript");

  private SavedPage() {}

  /** Its words, blocks with an empty line between; addresses stand behind the words of links. */
  public static String words(String source) {
    Words words = new Words();
    NodeTraversor.traverse(words, Jsoup.parse(source));
    return words.said.toString();
  }

  private static final class Words implements NodeVisitor {
    private final StringBuilder said = new StringBuilder();
    private int unseen;

    @Override
    public void head(Node node, int depth) {
      if (node instanceof Element element) {
        unseen += UNSEEN.contains(element.normalName()) ? 1 : 0;
        end(element);
      } else if (node instanceof TextNode text && unseen == 0) {
        said.append(text.getWholeText().replaceAll("\\s+", " "));
      }
    }

    @Override
    public void tail(Node node, int depth) {
      if (node instanceof Element element) {
        if (element.normalName().equals("a") && unseen == 0) {
          said.append(' ').append(element.attr("href")).append(' ');
        }
        end(element);
        unseen -= UNSEEN.contains(element.normalName()) ? 1 : 0;
      }
    }

    private void end(Element element) {
      boolean divides = element.isBlock() || element.normalName().equals("br");
      if (divides && !said.isEmpty() && said.charAt(said.length() - 1) != '\n') {
        said.append("\n\n");
      }
    }
  }
}
