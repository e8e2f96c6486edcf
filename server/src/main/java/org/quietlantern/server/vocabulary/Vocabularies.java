package org.quietlantern.server.vocabulary;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.SkosReader;
import org.quietlantern.core.vocabulary.Tree;
import org.quietlantern.server.platform.Editions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Schemes of terms. What reads them often keeps what it made of an edition. */
@Service
public class Vocabularies {
  /** A scheme is known by its URI; the last part names the property that it orders. */
  private static final String OURS = "urn:quietlantern:";

  private final VocabularyMapper mapper;
  private final Editions editions;
  private volatile Kept kept = new Kept(-1, Map.of(), List.of());

  /** What was made of one edition. */
  private record Kept(int edition, Map<Property, Tree> trees, List<Concept> headings) {}

  Vocabularies(VocabularyMapper mapper, Editions editions) {
    this.mapper = mapper;
    this.editions = editions;
  }

  /** Takes in all schemes of a file in place of what was known of them; answers its problems. */
  @Transactional
  public List<String> take(String turtle) {
    SkosReader.Read read = SkosReader.read(turtle);
    if (!read.concepts().isEmpty()) {
      mapper.forget(
          read.concepts().stream().map(Concept::scheme).distinct().toArray(String[]::new));
      for (Concept c : read.concepts()) {
        mapper.add(
            c.scheme(),
            c.uri(),
            c.label(),
            c.names().toArray(String[]::new),
            c.broader().toArray(String[]::new));
      }
      editions.next(Editions.Kind.VOCABULARY);
    }
    return read.problems();
  }

  /** Trees of the properties that have one, by label. */
  @Transactional(readOnly = true)
  public Map<Property, Tree> trees() {
    return now().trees();
  }

  /** Terms of all schemes that order no property: the headings. */
  @Transactional(readOnly = true)
  public List<Concept> headings() {
    return now().headings();
  }

  private Kept now() {
    int edition = editions.now().get(Editions.Kind.VOCABULARY);
    if (kept.edition() != edition) {
      List<Concept> all =
          mapper.all().stream()
              .map(
                  r ->
                      new Concept(
                          r.uri(), r.scheme(), r.label(), List.of(r.names()), List.of(r.broader())))
              .toList();
      kept = new Kept(edition, trees(all), headings(all));
    }
    return kept;
  }

  private static Map<Property, Tree> trees(List<Concept> all) {
    Map<String, String> labels = new HashMap<>();
    all.forEach(c -> labels.put(c.uri(), c.label()));
    Map<Property, Map<String, List<String>>> broader = new HashMap<>();
    for (Concept c : all) {
      ordering(c)
          .ifPresent(
              property -> {
                List<String> above = new ArrayList<>();
                c.broader().forEach(uri -> above.add(labels.getOrDefault(uri, uri)));
                broader.computeIfAbsent(property, p -> new LinkedHashMap<>()).put(c.label(), above);
              });
    }
    Map<Property, Tree> trees = new HashMap<>();
    broader.forEach((property, above) -> trees.put(property, new Tree(above)));
    return trees;
  }

  private static List<Concept> headings(List<Concept> all) {
    return all.stream().filter(c -> ordering(c).isEmpty()).toList();
  }

  private static java.util.Optional<Property> ordering(Concept concept) {
    return concept.scheme().startsWith(OURS)
        ? Property.named(concept.scheme().substring(OURS.length()))
            .filter(p -> p.shape() == Property.Shape.TREE || p == Property.SEX)
        : java.util.Optional.empty();
  }
}
