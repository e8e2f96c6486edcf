package org.quietlantern.server.support;

import java.io.StringReader;
import java.net.URI;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.xml.parsers.DocumentBuilderFactory;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;

/** What RFC 4287 asks of a feed, section by section; empty when nothing is broken. */
public final class AtomRules {
  private static final String ATOM = "http://www.w3.org/2005/Atom";
  private final List<String> broken = new ArrayList<>();

  private AtomRules() {}

  public static List<String> broken(String xml) {
    AtomRules rules = new AtomRules();
    try {
      DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
      factory.setNamespaceAware(true);
      Element feed =
          factory
              .newDocumentBuilder()
              .parse(new InputSource(new StringReader(xml)))
              .getDocumentElement();
      rules.feed(feed);
    } catch (java.io.IOException
        | org.xml.sax.SAXException
        | javax.xml.parsers.ParserConfigurationException bad) {
      rules.broken.add("no XML: " + bad.getMessage());
    }
    return rules.broken;
  }

  private void feed(Element feed) {
    check(ATOM.equals(feed.getNamespaceURI()) && feed.getLocalName().equals("feed"), "4.1.1 root");
    exactlyOne(feed, "id");
    exactlyOne(feed, "title");
    exactlyOne(feed, "updated");
    check(links(feed, "self") == 1, "4.1.1 a link to itself");
    check(links(feed, "alternate") <= 1, "4.1.1 at most one alternate of a type");
    List<Element> entries = children(feed, "entry");
    boolean everyEntry = entries.stream().noneMatch(e -> children(e, "author").isEmpty());
    check(!children(feed, "author").isEmpty() || everyEntry, "4.1.1 an author");
    Set<String> ids = new HashSet<>();
    for (Element entry : entries) {
      exactlyOne(entry, "id");
      exactlyOne(entry, "title");
      exactlyOne(entry, "updated");
      check(links(entry, "alternate") == 1, "4.1.2 an alternate link, as there is no content");
      check(ids.add(text(entry, "id")), "4.1.1 the same id twice: " + text(entry, "id"));
      common(entry);
    }
    common(feed);
  }

  private void common(Element element) {
    check(URI.create(text(element, "id")).isAbsolute(), "4.2.6 an id is an IRI");
    OffsetDateTime.parse(text(element, "updated"));
    for (Element author : children(element, "author")) {
      exactlyOne(author, "name");
    }
    for (Element link : children(element, "link")) {
      check(!link.getAttribute("href").isEmpty(), "4.2.7.1 a link has an address");
    }
    for (Element category : children(element, "category")) {
      check(!category.getAttribute("term").isEmpty(), "4.2.2.1 a category has a term");
    }
  }

  private void exactlyOne(Element parent, String name) {
    List<Element> found = children(parent, name);
    check(found.size() == 1 && !found.get(0).getTextContent().isBlank(), "exactly one " + name);
  }

  private static long links(Element parent, String relation) {
    return children(parent, "link").stream()
        .filter(link -> link.getAttribute("rel").equals(relation))
        .count();
  }

  private static String text(Element parent, String name) {
    return children(parent, name).get(0).getTextContent();
  }

  private static List<Element> children(Element parent, String name) {
    List<Element> found = new ArrayList<>();
    for (var node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
      if (node instanceof Element child
          && ATOM.equals(child.getNamespaceURI())
          && child.getLocalName().equals(name)) {
        found.add(child);
      }
    }
    return found;
  }

  private void check(boolean holds, String rule) {
    if (!holds) {
      broken.add(rule);
    }
  }
}
