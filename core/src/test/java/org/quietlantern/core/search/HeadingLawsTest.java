package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.holdings.Journals;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;

/** Headings against brute force over random trees, with circles and several parents. */
class HeadingLawsTest {
  private static final int HEADINGS = 14;
  private static final List<String> ASPECTS = List.of("effects of light on", "methods for");

  /** Soon after the first records of a test came. */
  private static final LocalDate LATELY = LocalDate.of(1970, 1, 15);

  private final Random random = new Random(1809);
  private final Map<Integer, Set<Integer>> below = new HashMap<>();
  private final List<List<HeadingUse>> carried = new ArrayList<>();

  @DisplayName("H2, H3: with narrower, central and aspects hold on one and the same heading")
  @Test
  void againstBruteForce() {
    SearchContext circumstances = circumstances(headings());
    try (Catalogue catalogue = new Catalogue()) {
      List<IndexEntry> entries = new ArrayList<>();
      for (int id = 1; id <= 250; id++) {
        carried.add(uses());
        entries.add(Catalogue.entry(id, Catalogue.carrying(carried.get(id - 1))));
      }
      catalogue.index.apply(entries, List.of(), 250);
      try (Snapshot snapshot = catalogue.index.snapshot()) {
        int met = 0;
        for (int n = 0; n < Laws.times(400); n++) {
          int heading = random.nextInt(HEADINGS);
          boolean narrower = random.nextBoolean();
          boolean central = random.nextInt(3) == 0;
          List<String> aspects = ASPECTS.stream().filter(a -> random.nextInt(3) == 0).toList();
          String modifiers =
              (narrower ? "/narrower" : "")
                  + (central ? "/central" : "")
                  + String.join("", aspects.stream().map(a -> "/" + a.replace(' ', '-')).toList());
          String text =
              "heading" + (modifiers.isEmpty() ? "/exact" : modifiers) + ": \"h" + heading + "\"";
          Compiled.Ready ready =
              (Compiled.Ready) snapshot.compile(Strategy.of(text), circumstances, Library.EMPTY);
          long expected =
              carried.stream()
                  .filter(
                      uses ->
                          uses.stream()
                              .anyMatch(u -> meets(u, heading, narrower, central, aspects)))
                  .count();
          assertThat(snapshot.count(ready)).as(text).isEqualTo((int) expected);
          assertThat(snapshot.all(ready).getCardinality()).isEqualTo((int) expected);
          met += expected > 0 ? 1 : 0;
        }
        assertThat(met).isGreaterThan(Laws.least(200));
      }
    }
  }

  private boolean meets(
      HeadingUse use, int heading, boolean narrower, boolean central, List<String> aspects) {
    Set<Integer> reached = new HashSet<>(Set.of(heading));
    for (int i = 0; narrower && i < HEADINGS; i++) {
      new HashSet<>(reached).forEach(h -> reached.addAll(below.getOrDefault(h, Set.of())));
    }
    return reached.contains(Integer.valueOf(use.uri().substring(5)))
        && (!central || use.central())
        && (aspects.isEmpty() || use.aspects().stream().anyMatch(aspects::contains));
  }

  private List<HeadingUse> uses() {
    List<HeadingUse> uses = new ArrayList<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      int heading = random.nextInt(HEADINGS);
      uses.add(
          new HeadingUse(
              "urn:h" + heading,
              "h" + heading,
              random.nextInt(3) == 0,
              ASPECTS.stream().filter(a -> random.nextInt(3) == 0).toList()));
    }
    return uses;
  }

  private Headings headings() {
    List<Concept> concepts = new ArrayList<>();
    for (int i = 0; i < HEADINGS; i++) {
      List<String> broader = new ArrayList<>();
      for (int j = random.nextInt(3); j > 0; j--) {
        int above = random.nextInt(HEADINGS);
        broader.add("urn:h" + above);
        below.computeIfAbsent(above, a -> new HashSet<>()).add(i);
      }
      concepts.add(Concept.plain("urn:h" + i, "urn:s", "h" + i, List.of(), broader));
    }
    return new Headings(
        concepts,
        ASPECTS.stream()
            .map(a -> Concept.plain("urn:" + a, "urn:a", a, List.of(), List.of()))
            .toList());
  }

  static SearchContext circumstances(Headings headings) {
    return new SearchContext(
        LocalDate.of(2026, 11, 25),
        ZoneId.of("Europe/Oslo"),
        Holdings.NONE,
        List.of(),
        Journals.NONE,
        Map.of(),
        headings,
        InsideTexts.NONE,
        "headings");
  }

  @DisplayName("H5: of headings only it is told how many that came lately have none")
  @Test
  void whatHasNoHeadings() {
    Headings headings =
        new Headings(
            List.of(Concept.plain("urn:h1", "urn:s", "Moths", List.of(), List.of())), List.of());
    try (Catalogue catalogue = new Catalogue()) {
      catalogue.add(
          Catalogue.carrying(List.of(new HeadingUse("urn:h1", "Moths", false, List.of()))));
      catalogue.titles("one lately", "two lately");
      assertThat(unheaded(catalogue, headings, LATELY, "heading/exact: Moths")).contains(2);
      assertThat(unheaded(catalogue, headings, LATELY, "heading: moths")).contains(2);
      assertThat(unheaded(catalogue, headings, LATELY, "heading/exact: Moths", "not one"))
          .contains(1);
      assertThat(unheaded(catalogue, headings, LATELY, "heading/exact: Moths or owls")).isEmpty();
      assertThat(unheaded(catalogue, headings, LATELY, "heading/exact: Moths", "lately")).isEmpty();
      LocalDate later = LATELY.plusDays(90);
      assertThat(unheaded(catalogue, headings, later, "heading/exact: Moths")).contains(0);
    }
  }

  private static Optional<Integer> unheaded(
      Catalogue catalogue, Headings headings, LocalDate today, String... texts) {
    List<Line> lines = new ArrayList<>();
    for (String text : texts) {
      lines.add(new Line.Words("l" + lines.size(), text, false));
    }
    Strategy strategy = new Strategy(lines);
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      Compiled.Ready ready =
          (Compiled.Ready)
              snapshot.compile(strategy, circumstances(headings).on(today), Library.EMPTY);
      return Unheaded.count(snapshot, strategy, Library.EMPTY, ready);
    }
  }

  @DisplayName("H4: renamed, merged and retired headings go on working, and it is said")
  @Test
  void whatBecameOfThem() {
    Headings headings =
        new Headings(
            List.of(
                Concept.plain("urn:h1", "urn:s", "Moths", List.of(), List.of())
                    .with(new Concept.Fate(false, List.of(), List.of("Heterocera"))),
                Concept.plain("urn:h2", "urn:s", "Millers", List.of(), List.of())
                    .with(new Concept.Fate(true, List.of("urn:h1"), List.of())),
                Concept.plain("urn:h3", "urn:s", "Ether", List.of(), List.of())
                    .with(new Concept.Fate(true, List.of(), List.of()))),
            List.of());
    try (Catalogue catalogue = new Catalogue()) {
      for (int i = 1; i <= 3; i++) {
        catalogue.add(
            Catalogue.carrying(
                List.of(new HeadingUse("urn:h" + i, "as it was", false, List.of()))));
      }
      assertThat(said(catalogue, headings, "Heterocera", 1))
          .containsExactly(Problem.Code.HEADING_RENAMED);
      assertThat(said(catalogue, headings, "Millers", 2))
          .containsExactly(Problem.Code.HEADING_REPLACED);
      assertThat(said(catalogue, headings, "Ether", 1))
          .containsExactly(Problem.Code.HEADING_RETIRED);
      assertThat(said(catalogue, headings, "Moths", 1)).isEmpty();
      assertThat(said(catalogue, headings, "Owls", 0))
          .containsExactly(Problem.Code.HEADING_UNKNOWN);
    }
  }

  private static List<Problem.Code> said(
      Catalogue catalogue, Headings headings, String name, int found) {
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      Strategy strategy = Strategy.of("heading/exact: \"" + name + "\"");
      Compiled.Ready ready =
          (Compiled.Ready) snapshot.compile(strategy, circumstances(headings), Library.EMPTY);
      assertThat(snapshot.count(ready)).as(name).isEqualTo(found);
      return ready.notes().stream().map(placed -> placed.problem().code()).toList();
    }
  }
}
