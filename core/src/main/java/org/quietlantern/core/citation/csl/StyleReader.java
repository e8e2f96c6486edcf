package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.exchange.Xml;
import org.w3c.dom.NamedNodeMap;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/** Reads a style into its compiled form. */
public final class StyleReader {
  private static final int DEEPEST = 60;
  private static final Set<String> TESTS =
      Set.of(
          "disambiguate",
          "is-numeric",
          "is-uncertain-date",
          "locator",
          "position",
          "type",
          "variable");

  private final Set<String> missing = new LinkedHashSet<>();

  private StyleReader() {}

  /** Thrown for what is no style; the message is a sentence. */
  public static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1;

    Unreadable(String sentence) {
      super(sentence);
    }
  }

  public static Style read(String xml) throws Unreadable {
    try {
      return new StyleReader().style(Xml.tree(xml));
    } catch (SAXException broken) {
      throw new Unreadable("This is no XML: " + broken.getMessage());
    }
  }

  private Style style(org.w3c.dom.Element root) throws Unreadable {
    if (!"style".equals(root.getLocalName())) {
      throw new Unreadable("This is no citation style.");
    }
    Attributes options = attributes(root);
    Map<String, List<Element>> macros = new HashMap<>();
    Style.Layout citation = null;
    Style.Layout bibliography = null;
    List<LocaleData> locales = new ArrayList<>();
    for (org.w3c.dom.Element child : children(root)) {
      switch (child.getLocalName()) {
        case "macro" -> macros.put(child.getAttribute("name"), elements(child, 0));
        case "citation" -> citation = layout(child, options);
        case "bibliography" -> bibliography = layout(child, options);
        case "locale" -> locales.add(LocaleReader.read(child));
        case "info" -> {}
        default -> missing.add(child.getLocalName());
      }
    }
    if (citation == null) {
      throw new Unreadable("The style has no citation.");
    }
    return new Style(
        "note".equals(options.get("class")),
        options.get("default-locale"),
        options,
        Map.copyOf(macros),
        citation,
        bibliography,
        List.copyOf(locales),
        List.copyOf(missing));
  }

  private Style.Layout layout(org.w3c.dom.Element from, Attributes root) {
    Attributes options = root.over(attributes(from));
    List<Style.Key> sort = new ArrayList<>();
    Style.Layout layout = new Style.Layout(options, List.of(), List.of(), "", Formatting.PLAIN);
    for (org.w3c.dom.Element child : children(from)) {
      if (child.getLocalName().equals("sort")) {
        for (org.w3c.dom.Element key : children(child)) {
          Attributes said = attributes(key);
          sort.add(
              new Style.Key(
                  said.get("macro"),
                  said.get("variable"),
                  said.get("sort").equals("descending"),
                  said));
        }
      } else if (child.getLocalName().equals("layout")) {
        Attributes said = attributes(child);
        layout =
            new Style.Layout(
                options,
                List.of(),
                elements(child, 0),
                said.get("delimiter"),
                Formatting.read(said));
      }
    }
    return new Style.Layout(
        options, List.copyOf(sort), layout.children(), layout.delimiter(), layout.formatting());
  }

  private List<Element> elements(org.w3c.dom.Element parent, int deep) {
    if (deep > DEEPEST) {
      missing.add("elements nested more than " + DEEPEST + " deep");
      return List.of();
    }
    List<Element> elements = new ArrayList<>();
    for (org.w3c.dom.Element child : children(parent)) {
      element(child, deep).ifPresent(elements::add);
    }
    return List.copyOf(elements);
  }

  private Optional<Element> element(org.w3c.dom.Element from, int deep) {
    Attributes said = attributes(from);
    Formatting formatting = Formatting.read(said);
    return switch (from.getLocalName()) {
      case "text" -> Optional.of(text(said, formatting));
      case "number" ->
          Optional.of(new Element.Numeral(said.get("variable"), said.get("form"), formatting));
      case "label" -> Optional.of(new Element.Label(said.get("variable"), said, formatting));
      case "date" -> Optional.of(date(from, said, formatting));
      case "names" -> Optional.of(names(from, said, formatting, deep));
      case "group" ->
          Optional.of(
              new Element.Group(elements(from, deep + 1), said.get("delimiter"), formatting));
      case "choose" -> Optional.of(choose(from, deep));
      default -> {
        missing.add(from.getLocalName());
        yield Optional.empty();
      }
    };
  }

  private static Element text(Attributes said, Formatting formatting) {
    String kind =
        List.of("macro", "variable", "term", "value").stream()
            .filter(said::has)
            .findFirst()
            .orElse("value");
    return new Element.Text(kind, said.get(kind), said, formatting);
  }

  private static Element date(org.w3c.dom.Element from, Attributes said, Formatting formatting) {
    return new Element.Date(
        said.get("variable"),
        said.get("form"),
        said.get("delimiter"),
        said.get("date-parts", "year-month-day"),
        dateParts(from),
        formatting);
  }

  static List<Element.DatePart> dateParts(org.w3c.dom.Element from) {
    return children(from).stream()
        .filter(child -> child.getLocalName().equals("date-part"))
        .map(
            child -> {
              Attributes said = attributes(child);
              return new Element.DatePart(said.get("name"), said, Formatting.read(said));
            })
        .toList();
  }

  private Element names(
      org.w3c.dom.Element from, Attributes said, Formatting formatting, int deep) {
    Attributes options = Attributes.NONE;
    Formatting name = Formatting.PLAIN;
    Formatting family = Formatting.PLAIN;
    Formatting given = Formatting.PLAIN;
    Optional<Element.Label> label = Optional.empty();
    boolean labelFirst = false;
    boolean hasName = false;
    Element.EtAl etAl = new Element.EtAl("et-al", Formatting.PLAIN);
    List<Element> substitute = List.of();
    for (org.w3c.dom.Element child : children(from)) {
      Attributes at = attributes(child);
      switch (child.getLocalName()) {
        case "name" -> {
          options = at;
          name = Formatting.read(at);
          hasName = true;
          for (org.w3c.dom.Element part : children(child)) {
            Attributes ofPart = attributes(part);
            if (ofPart.get("name").equals("family")) {
              family = Formatting.read(ofPart);
            } else {
              given = Formatting.read(ofPart);
            }
          }
        }
        case "label" -> {
          label = Optional.of(new Element.Label("", at, Formatting.read(at)));
          labelFirst = !hasName;
        }
        case "et-al" -> etAl = new Element.EtAl(at.get("term", "et-al"), Formatting.read(at));
        case "substitute" -> substitute = elements(child, deep + 1);
        default -> missing.add(child.getLocalName());
      }
    }
    return new Element.Names(
        words(said.get("variable")),
        said,
        options,
        name,
        family,
        given,
        label,
        label.isPresent() && labelFirst && hasName,
        etAl,
        substitute,
        hasName,
        formatting);
  }

  private Element choose(org.w3c.dom.Element from, int deep) {
    List<Element.Branch> branches = new ArrayList<>();
    for (org.w3c.dom.Element branch : children(from)) {
      Attributes said = attributes(branch);
      List<Element.Condition> conditions = new ArrayList<>();
      said.values()
          .forEach(
              (test, values) -> {
                if (TESTS.contains(test)) {
                  words(values)
                      .forEach(value -> conditions.add(new Element.Condition(test, value)));
                } else if (!test.equals("match")) {
                  missing.add("condition " + test);
                }
              });
      branches.add(
          new Element.Branch(
              said.get("match", "all"), List.copyOf(conditions), elements(branch, deep + 1)));
    }
    return new Element.Choose(List.copyOf(branches));
  }

  static List<String> words(String text) {
    return Arrays.stream(text.strip().split("\\s+")).filter(word -> !word.isEmpty()).toList();
  }

  static Attributes attributes(org.w3c.dom.Element from) {
    NamedNodeMap map = from.getAttributes();
    Map<String, String> values = new HashMap<>();
    for (int i = 0; i < map.getLength(); i++) {
      Node one = map.item(i);
      values.put(one.getLocalName(), one.getNodeValue());
    }
    return new Attributes(Map.copyOf(values));
  }

  static List<org.w3c.dom.Element> children(org.w3c.dom.Element parent) {
    List<org.w3c.dom.Element> children = new ArrayList<>();
    for (Node one = parent.getFirstChild(); one != null; one = one.getNextSibling()) {
      if (one instanceof org.w3c.dom.Element element) {
        children.add(element);
      }
    }
    return children;
  }
}
