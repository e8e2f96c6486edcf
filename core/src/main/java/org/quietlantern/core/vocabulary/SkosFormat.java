package org.quietlantern.core.vocabulary;

import java.util.regex.Pattern;

/** The forms in which a vocabulary is read and written. */
public enum SkosFormat {
  /** RDF 1.1 Turtle. */
  TURTLE("Turtle", "ttl"),
  /** RDF 1.1 XML Syntax. */
  RDF_XML("RDF/XML", "rdf"),
  /** JSON-LD 1.1. */
  JSON_LD("JSON-LD", "jsonld");

  private static final Pattern JSON = Pattern.compile("\\{|\\[\\s*\\{");

  private final String spoken;
  private final String ending;

  SkosFormat(String spoken, String ending) {
    this.spoken = spoken;
    this.ending = ending;
  }

  String spoken() {
    return spoken;
  }

  /** Of a file's name. */
  public String ending() {
    return ending;
  }

  /** What a text is, by how it begins. */
  static SkosFormat of(String text) {
    String begin = text.stripLeading();
    if (JSON.matcher(begin).lookingAt()) {
      return JSON_LD;
    }
    return begin.startsWith("<?xml") || text.contains("<rdf:RDF") ? RDF_XML : TURTLE;
  }
}
