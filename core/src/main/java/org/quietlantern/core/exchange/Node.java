package org.quietlantern.core.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.publication.Text;
import org.w3c.dom.Element;

/** An element of a supplied record, looked at by local names. */
record Node(Element element) {

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
        found.add(new Node(inner));
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
    return Text.clean(element.getTextContent());
  }

  String attribute(String name) {
    return element.getAttribute(name).strip();
  }

  boolean has(String attribute, String value) {
    return attribute(attribute).equals(value);
  }
}
