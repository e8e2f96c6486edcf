package org.quietlantern.core.vocabulary;

import java.util.Collection;
import java.util.List;

/**
 * Writes terms in SKOS (W3C Recommendation 18 August 2009) as Turtle 1.1. {@link SkosReader} reads
 * them back as they were; former names go out as hidden ones.
 */
public final class SkosWriter {
  private final StringBuilder turtle = new StringBuilder();

  private SkosWriter() {}

  public static String write(Collection<Concept> terms) {
    SkosWriter writer = new SkosWriter();
    writer
        .turtle
        .append("@prefix skos: <")
        .append(SkosReader.SKOS)
        .append("> .\n")
        .append("@prefix owl: <http://www.w3.org/2002/07/owl#> .\n")
        .append("@prefix dct: <http://purl.org/dc/terms/> .\n");
    terms.stream()
        .map(Concept::scheme)
        .filter(scheme -> !scheme.isEmpty())
        .distinct()
        .forEach(
            scheme ->
                writer.turtle.append("\n").append(iri(scheme)).append(" a skos:ConceptScheme .\n"));
    terms.forEach(writer::term);
    return writer.turtle.toString();
  }

  private void term(Concept term) {
    turtle.append('\n').append(iri(term.uri())).append(" a skos:Concept");
    if (!term.scheme().isEmpty()) {
      said("skos:inScheme", iri(term.scheme()));
    }
    said("skos:prefLabel", text(term.label()));
    term.names().forEach(name -> said("skos:altLabel", text(name)));
    term.fate().former().forEach(name -> said("skos:hiddenLabel", text(name)));
    if (!term.note().isEmpty()) {
      said("skos:scopeNote", text(term.note()));
    }
    links("skos:broader", term.broader());
    links("skos:related", term.related());
    links("<" + SkosReader.ASPECT + ">", term.aspects());
    links("dct:isReplacedBy", term.fate().replacedBy());
    if (term.fate().retired()) {
      said("owl:deprecated", "true");
    }
    turtle.append(" .\n");
  }

  private void links(String property, List<String> uris) {
    uris.forEach(uri -> said(property, iri(uri)));
  }

  private void said(String property, String value) {
    turtle.append(" ;\n  ").append(property).append(' ').append(value);
  }

  /** Signs that may not stand in an IRI (Turtle 1.1, rule 18) are escaped. */
  private static String iri(String uri) {
    StringBuilder iri = new StringBuilder("<");
    uri.codePoints()
        .forEach(
            c -> {
              if (c <= 0x20 || "<>\"{}|^`\\".indexOf(c) >= 0) {
                iri.append(String.format("\\u%04X", c));
              } else {
                iri.appendCodePoint(c);
              }
            });
    return iri.append('>').toString();
  }

  private static String text(String plain) {
    return "\""
        + plain
            .replace("\\", "\\\\")
            .replace("\"", "\\\"")
            .replace("\n", "\\n")
            .replace("\r", "\\r")
        + "\"@en";
  }
}
