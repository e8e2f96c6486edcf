package org.quietlantern.core.vocabulary;

import java.util.Set;
import org.eclipse.rdf4j.model.IRI;
import org.eclipse.rdf4j.model.impl.SimpleValueFactory;
import org.eclipse.rdf4j.model.vocabulary.SKOS;

/**
 * A name of a term or a note on it, as its file says it.
 *
 * @param property in SKOS: prefLabel, altLabel, hiddenLabel, or one of documentation (section 7)
 * @param language a tag of BCP 47; empty where none is given
 */
public record OtherStatement(String property, String language, String text) {
  private static final Set<String> NAMES = Set.of("altLabel", "hiddenLabel");

  /** Those that say what a term is used for; the others tell of its history. */
  private static final Set<String> MEANINGS = Set.of("definition", "scopeNote", "note");

  private static final Set<String> OTHERS =
      Set.of("prefLabel", "example", "historyNote", "editorialNote", "changeNote");

  static boolean isKept(String property) {
    return NAMES.contains(property) || MEANINGS.contains(property) || OTHERS.contains(property);
  }

  boolean isName() {
    return NAMES.contains(property);
  }

  boolean isPreferred() {
    return property.equals("prefLabel");
  }

  boolean isMeaning() {
    return MEANINGS.contains(property);
  }

  /** Whether somebody who reads English, or whatever has no language, reads it. */
  boolean isEnglish() {
    return language.isEmpty() || language.equals("en") || language.startsWith("en-");
  }

  IRI iri() {
    return SimpleValueFactory.getInstance().createIRI(SKOS.NAMESPACE, property);
  }
}
