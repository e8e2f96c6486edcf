package org.quietlantern.core.vocabulary;

import java.util.List;

/**
 * A term of a scheme, as in SKOS.
 *
 * @param label its preferred name
 * @param names its other names
 * @param broader URIs of those right above it
 */
public record Concept(
    String uri, String scheme, String label, List<String> names, List<String> broader) {
  public Concept {
    names = List.copyOf(names);
    broader = List.copyOf(broader);
  }
}
