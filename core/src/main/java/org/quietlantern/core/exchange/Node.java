package org.quietlantern.core.exchange;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.publication.Text;
import org.w3c.dom.Element;

/**
 * An element of a supplied record, looked at by local names. No field of a record is so long that
 * it would weigh on every list and search: what is too much is cut, and named.
 *
 * @param cut what was too much, in words; all nodes of a record share it
 */
record Node(Element element, Set<String> cut) {
  /** Letters of a field that is prose, of a title, and of any other. */
  static final int PROSE = 50_000;

  static final int TITLE = 2_000;
  static final int FIELD = 1_000;

  /** Fields of one name side by side. */
  static final int REPEATED = 5_000;

  private static final Set<String> PROSE_FIELDS =
      Set.of("abstract", "description", "note", "tableOfContents", "p");

  private static final Set<String> TITLES = Set.of("title", "article-title", "trans-title");

  static Node root(Element element) {
    return new Node(element, new LinkedHashSet<>());
  }

  List<Node> all(String... path) {
    List<Node> found = List.of(this);
    for (String name : path) {
      found = found.stream().flatMap(node -> node.children(name).stream()).toList();
    }
    return found;
  }

  private List<Node> children(String name) {
    List<Node> found = new ArrayList<>();
    for (var child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
      if (child instanceof Element inner && name.equals(inner.getLocalName())) {
        if (found.size() == REPEATED) {
          cut.add("more than %,d times %s: the rest was left out".formatted(REPEATED, name));
          break;
        }
        found.add(new Node(inner, cut));
      }
    }
    return found;
  }

  Optional<Node> first(String... path) {
    return all(path).stream().findFirst();
  }

  /** Cleaned text of the first element at a path; empty if there is none. */
  String text(String... path) {
    return first(path).map(Node::text).orElse("");
  }

  String text() {
    return atMost(most(), element.getLocalName(), Text.clean(element.getTextContent()));
  }

  /** Cleaned text of an element that is prose although its name does not say so. */
  String prose() {
    return atMost(PROSE, element.getLocalName(), Text.clean(element.getTextContent()));
  }

  String attribute(String name) {
    return atMost(FIELD, name, element.getAttribute(name).strip());
  }

  /** An attribute of a namespace, whatever prefix stands for it. */
  String attribute(String namespace, String name) {
    return atMost(FIELD, name, element.getAttributeNS(namespace, name).strip());
  }

  boolean has(String attribute, String value) {
    return attribute(attribute).equals(value);
  }

  private int most() {
    String name = element.getLocalName();
    if (PROSE_FIELDS.contains(name)) {
      return PROSE;
    }
    return TITLES.contains(name) ? TITLE : FIELD;
  }

  private String atMost(int letters, String what, String text) {
    if (text.length() <= letters) {
      return text;
    }
    cut.add("%s of %,d letters: cut after %,d".formatted(what, text.length(), letters));
    return Text.atMost(letters, text);
  }
}
