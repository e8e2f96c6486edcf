package org.quietlantern.core.citation.csl;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.exchange.Xml;
import org.xml.sax.SAXException;

/** Reads a locale file, and what a style says for locales. */
public final class LocaleReader {
  private LocaleReader() {}

  public static LocaleData read(String xml) throws StyleReader.Unreadable {
    try {
      return read(Xml.tree(xml));
    } catch (SAXException broken) {
      throw new StyleReader.Unreadable("This is no XML: " + broken.getMessage());
    }
  }

  static LocaleData read(org.w3c.dom.Element root) {
    Map<String, LocaleData.Term> terms = new HashMap<>();
    Map<String, LocaleData.LocaleDate> dates = new HashMap<>();
    Attributes options = Attributes.NONE;
    for (org.w3c.dom.Element child : StyleReader.children(root)) {
      Attributes said = StyleReader.attributes(child);
      switch (child.getLocalName()) {
        case "terms" -> StyleReader.children(child).forEach(term -> term(term, terms));
        case "date" ->
            dates.put(
                said.get("form"),
                new LocaleData.LocaleDate(said.get("delimiter"), StyleReader.dateParts(child)));
        case "style-options" -> options = said;
        default -> {}
      }
    }
    return new LocaleData(
        StyleReader.attributes(root).get("lang"), Map.copyOf(terms), Map.copyOf(dates), options);
  }

  private static void term(org.w3c.dom.Element from, Map<String, LocaleData.Term> terms) {
    Attributes said = StyleReader.attributes(from);
    List<org.w3c.dom.Element> forms = StyleReader.children(from);
    String single = forms.isEmpty() ? from.getTextContent() : "";
    String multiple = single;
    for (org.w3c.dom.Element form : forms) {
      if (form.getLocalName().equals("single")) {
        single = form.getTextContent();
      } else {
        multiple = form.getTextContent();
      }
    }
    terms.put(
        LocaleData.key(said.get("name"), said.get("form", "long"), said.get("gender-form")),
        new LocaleData.Term(clean(single), clean(multiple), said.get("gender"), said.get("match")));
  }

  private static String clean(String text) {
    return text.strip().isEmpty() ? text : text.replaceAll("^\\s*\\n\\s*|\\s*\\n\\s*$", "");
  }
}
