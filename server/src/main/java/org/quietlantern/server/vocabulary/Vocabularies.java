package org.quietlantern.server.vocabulary;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntConsumer;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;
import org.quietlantern.core.vocabulary.SkosFormat;
import org.quietlantern.core.vocabulary.SkosReader;
import org.quietlantern.core.vocabulary.SkosWriter;
import org.quietlantern.core.vocabulary.Tree;
import org.quietlantern.core.vocabulary.VocabularyUpdate;
import org.quietlantern.server.platform.Editions;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Schemes of terms. What reads them often keeps what it made of an edition. */
@Service
public class Vocabularies {
  /** A scheme is known by its URI; the last part names the property that it orders. */
  private static final String OURS = "urn:quietlantern:";

  private static final String ASPECTS = OURS + "aspects";

  /** Rows that are written in one statement. */
  private static final int AT_ONCE = 500;

  private final VocabularyMapper mapper;
  private final Editions editions;
  private final List<BeforeRenaming> keepers;
  private volatile Kept kept = new Kept(-1, List.of(), Map.of(), Headings.NONE);

  /** What was made of one edition. */
  private record Kept(
      int edition, List<Concept> all, Map<Property, Tree> trees, Headings headings) {}

  /**
   * What a file would change, and what is wrong with it.
   *
   * @param edition of the terms that it was compared with
   */
  public record Looked(int edition, VocabularyUpdate update, List<SkosReader.Problem> problems) {}

  Vocabularies(VocabularyMapper mapper, Editions editions, List<BeforeRenaming> keepers) {
    this.keepers = keepers;
    this.mapper = mapper;
    this.editions = editions;
  }

  /** What taking a file in (SKOS) would change; changes nothing. */
  public Looked look(byte[] file) {
    return look(file, terms -> {});
  }

  /** The same; {@code progress} is told again and again how many terms were read. */
  Looked look(byte[] file, IntConsumer progress) {
    SkosReader.Read read = SkosReader.read(file, progress);
    Kept now = now();
    return new Looked(
        now.edition(), VocabularyUpdate.of(now.all(), read.concepts()), read.problems());
  }

  /** Takes in all schemes of a file that was looked at; one that holds no term changes nothing. */
  @Transactional
  public void take(Looked looked) {
    if (editions.now().get(Editions.Kind.VOCABULARY) != looked.edition()) {
      throw Refusal.conflict(
          "changed-since", "Other headings were brought in meanwhile. Look at the file again.");
    }
    Collection<Concept> terms = looked.update().terms();
    if (!terms.isEmpty()) {
      Headings before = headings();
      keepers.forEach(keeper -> keeper.headingsWillChange(before));
      mapper.forget(terms.stream().map(Concept::scheme).distinct().toArray(String[]::new));
      List<VocabularyMapper.Row> rows = terms.stream().map(VocabularyMapper.Row::of).toList();
      for (int from = 0; from < rows.size(); from += AT_ONCE) {
        mapper.add(rows.subList(from, Math.min(rows.size(), from + AT_ONCE)));
      }
      editions.next(Editions.Kind.VOCABULARY);
    }
  }

  /** Trees of the properties that have one, by label. */
  @Transactional(readOnly = true)
  public Map<Property, Tree> trees() {
    return now().trees();
  }

  /** Terms of all schemes that order no property: the headings. */
  @Transactional(readOnly = true)
  public Headings headings() {
    return now().headings();
  }

  /** The headings and their aspects in SKOS. */
  @Transactional(readOnly = true)
  public String skos(SkosFormat format) {
    return SkosWriter.write(
        now().all().stream().filter(c -> ordering(c).isEmpty()).toList(), format);
  }

  /** What is no heading and no aspect: the trees that order limits. */
  @Transactional(readOnly = true)
  public String treesAsTurtle() {
    return SkosWriter.write(
        now().all().stream().filter(c -> ordering(c).isPresent()).toList(), SkosFormat.TURTLE);
  }

  private Kept now() {
    int edition = editions.now().get(Editions.Kind.VOCABULARY);
    if (kept.edition() != edition) {
      List<Concept> all = mapper.all().stream().map(VocabularyMapper.Row::concept).toList();
      kept = new Kept(edition, all, trees(all), headings(all));
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

  private static Headings headings(List<Concept> all) {
    return new Headings(
        all.stream().filter(c -> ordering(c).isEmpty() && !isAspect(c)).toList(),
        all.stream().filter(Vocabularies::isAspect).toList());
  }

  private static boolean isAspect(Concept concept) {
    return concept.scheme().equals(ASPECTS);
  }

  private static Optional<Property> ordering(Concept concept) {
    return concept.scheme().startsWith(OURS)
        ? Property.named(concept.scheme().substring(OURS.length()))
            .filter(p -> p.shape() == Property.Shape.TREE || p == Property.SEX)
        : Optional.empty();
  }
}
