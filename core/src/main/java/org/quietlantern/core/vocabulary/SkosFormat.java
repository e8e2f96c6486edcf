package org.quietlantern.core.vocabulary;

import java.util.regex.Pattern;

/** The forms in which a vocabulary is read and written. */
public enum SkosFormat {
  /** RDF 1.1 Turtle. */
  TURTLE("Turtle", "text/turtle", "ttl"),
  /** RDF 1.1 XML Syntax. */
  RDF_XML("RDF/XML", "application/rdf+xml", "rdf"),
  /** JSON-LD 1.1. */
  JSON_LD("JSON-LD", "application/ld+json", "jsonld");

  private static final Pattern JSON = Pattern.compile("\\{|\\[\\s*\\{");

  private final String spoken;
  private final String mediaType;
  private final String ending;

  SkosFormat(String spoken, String mediaType, String ending) {
    this.spoken = spoken;
    this.mediaType = mediaType;
    this.ending = ending;
  }

  String spoken() {
    return spoken;
  }

  public String mediaType() {
    return mediaType;
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
