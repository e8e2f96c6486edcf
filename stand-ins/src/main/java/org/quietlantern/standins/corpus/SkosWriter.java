package org.quietlantern.standins.corpus;

import java.util.Collection;
import java.util.List;

/** The vocabulary in SKOS (W3C Recommendation of 2009), written as Turtle 1.1. */
public final class SkosWriter {
  private static final String SCHEME = "urn:quietlantern:headings";
  private static final String ASPECTS = "urn:quietlantern:aspects";

  private SkosWriter() {}

  public static String turtle(Collection<Headings.Heading> headings) {
    StringBuilder turtle =
        new StringBuilder(
            """
            @prefix skos: <http://www.w3.org/2004/02/skos/core#> .
            @prefix dct: <http://purl.org/dc/terms/> .
            @prefix ql: <urn:quietlantern:def:> .

            <%s> a skos:ConceptScheme ; dct:title "Night ecology headings"@en .
            <%s> a skos:ConceptScheme ; dct:title "Aspects of headings"@en .

            """
                .formatted(SCHEME, ASPECTS));
    Headings.ASPECTS.forEach((name, meaning) -> turtle.append(aspect(name, meaning)));
    headings.forEach(heading -> turtle.append(concept(heading)));
    return turtle.toString();
  }

  private static String aspect(String name, String meaning) {
    return "<%s> a skos:Concept ; skos:inScheme <%s> ; skos:prefLabel %s ; skos:definition %s .\n"
        .formatted(aspectUri(name), ASPECTS, text(name), text(meaning));
  }

  private static String concept(Headings.Heading heading) {
    StringBuilder turtle = new StringBuilder("\n<" + heading.uri() + "> a skos:Concept ;\n");
    turtle.append("  skos:inScheme <").append(SCHEME).append("> ;\n");
    if (heading.broader().isEmpty()) {
      turtle.append("  skos:topConceptOf <").append(SCHEME).append("> ;\n");
    }
    heading.broader().forEach(b -> link(turtle, "skos:broader", b));
    heading.related().forEach(r -> link(turtle, "skos:related", r));
    heading.otherNames().forEach(n -> turtle.append("  skos:altLabel " + text(n) + " ;\n"));
    if (!heading.scopeNote().isEmpty()) {
      turtle.append("  skos:scopeNote ").append(text(heading.scopeNote())).append(" ;\n");
    }
    aspects(heading.branch()).forEach(a -> turtle.append("  ql:aspect <" + aspectUri(a) + "> ;\n"));
    return turtle
        .append("  skos:prefLabel ")
        .append(text(heading.label()))
        .append(" .\n")
        .toString();
  }

  private static void link(StringBuilder turtle, String property, String label) {
    turtle.append("  %s <%s> ;\n".formatted(property, Headings.uri(label)));
  }

  /** Which aspects the headings of a branch may have. */
  private static List<String> aspects(String branch) {
    return switch (branch) {
      case "Organisms" ->
          List.of("effects of light on", "behaviour of", "conservation of", "methods for");
      case "Light and lighting" -> List.of("planning and control of", "methods for");
      case "Life processes" -> List.of("effects of light on", "methods for");
      case "Places" -> List.of("conservation of", "planning and control of");
      default -> List.of();
    };
  }

  private static String aspectUri(String name) {
    return "urn:quietlantern:aspect:" + name.replace(' ', '-');
  }

  private static String text(String plain) {
    return "\"" + plain.replace("\\", "\\\\").replace("\"", "\\\"") + "\"@en";
  }
}
