package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Sentence;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;

/** M6: a line widened by what the vocabulary knows of its headings, and of words that name one. */
class HeadingWideningTest {
  private static final Headings HEADINGS =
      new Headings(
          List.of(
              concept("bats", "Bats", List.of("Chiroptera", "flying mammals"), List.of()),
              concept("horseshoe", "Horseshoe bats", List.of(), List.of("urn:bats")),
              related("roosts", "Roosts", "urn:bats"),
              related("nothing", "Nothing carries it", "urn:bats")),
          List.of());

  private final Catalogue catalogue = new Catalogue();
  private final Snapshot snapshot;

  HeadingWideningTest() {
    catalogue.add(carrying("bats", true)); // p1
    catalogue.add(carrying("horseshoe", false)); // p2
    catalogue.add(carrying("roosts", false)); // p3
    catalogue.titles("Chiroptera of fens", "Mammals flying by", "Flying mammals", "On bats");
    snapshot = catalogue.index.snapshot();
  }

  @AfterEach
  void close() {
    snapshot.close();
    catalogue.close();
  }

  private static Concept concept(
      String id, String label, List<String> names, List<String> broader) {
    return Concept.plain("urn:" + id, "urn:s", label, names, broader);
  }

  /** A heading that stands beside another, in both directions. */
  private static Concept related(String id, String label, String beside) {
    Concept plain = concept(id, label, List.of(), List.of());
    return new Concept(
        plain.uri(),
        plain.scheme(),
        plain.label(),
        plain.names(),
        plain.broader(),
        List.of(beside),
        plain.note(),
        plain.aspects(),
        plain.fate(),
        List.of());
  }

  private static org.quietlantern.core.publication.Publication carrying(
      String id, boolean central) {
    return Catalogue.carrying(List.of(new HeadingUse("urn:" + id, id, central, List.of())));
  }

  private Set<String> found(String text, Widening... by) {
    Line.Words line = new Line.Words("w", text, false, Set.of(by));
    Compiled.Ready ready =
        (Compiled.Ready)
            snapshot.compile(
                new Strategy(List.of(line)),
                HeadingLawsTest.circumstances(HEADINGS),
                Library.EMPTY);
    return new TreeSet<>(snapshot.search(ready, Ordering.RELEVANCE).publicIds());
  }

  @DisplayName("A heading with its other names, as words and phrases")
  @Test
  void names() {
    assertThat(found("heading/exact: Bats")).containsExactly("p1");
    assertThat(found("heading/exact: Bats", Widening.NAMES)).containsExactly("p1", "p4", "p6");
    assertThat(found("title: bats", Widening.NAMES)).containsExactly("p4", "p6", "p7");
    assertThat(found("flying mammals", Widening.NAMES))
        .as("neighbouring words name it together")
        .contains("p4", "p5", "p6", "p7");
    assertThat(found("owls or \"on bats\"", Widening.NAMES)).containsExactly("p7");
  }

  @DisplayName("H1: words that find nothing but name a heading are offered it, in any number")
  @Test
  void offered() {
    LineHelp help = new LineHelp(snapshot, HeadingLawsTest.circumstances(HEADINGS), Library.EMPTY);
    assertThat(help.pressing(new Line.Words("w", "\"flying mammal\"", false)))
        .extracting(LineHelp.Offer::kind, LineHelp.Offer::text, LineHelp.Offer::count)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(
                LineHelp.Kind.HEADING, "heading/exact: \"Bats\"", 1));
    assertThat(help.pressing(new Line.Words("w", "title: \"flying mammal\"", false))).isEmpty();
    assertThat(help.pressing(new Line.Words("w", "mammals", false))).isEmpty();
  }

  @DisplayName(
      "M6: a heading is found by its other names, in any number, where headings are asked for")
  @Test
  void headingsByOtherNames() {
    assertThat(found("heading: chiroptera")).containsExactly("p1");
    assertThat(found("heading: \"flying mammal\"")).containsExactly("p1");
    assertThat(found("title: \"flying mammal\"")).isEmpty();
    assertThat(found("\"flying mammals\"", Widening.NAMES))
        .isEqualTo(found("\"flying mammals\" or chiroptera or bats"));
  }

  @DisplayName("With those below and beside it, asked for as it is asked for itself")
  @Test
  void narrowerAndRelated() {
    assertThat(found("heading/exact: Bats", Widening.NARROWER)).containsExactly("p1", "p2");
    assertThat(found("heading/central: Bats", Widening.NARROWER)).containsExactly("p1");
    assertThat(found("heading/exact: Roosts", Widening.RELATED)).containsExactly("p1", "p3");
    assertThat(found("roosts", Widening.RELATED)).contains("p1", "p3");
    assertThat(found("title: roosts", Widening.RELATED))
        .as("no heading stands in a title")
        .isEmpty();
    assertThat(found("not bats", Widening.NARROWER))
        .as("what rules out rules out more")
        .doesNotContain("p2", "p7")
        .contains("p3");
  }

  @DisplayName("What widening met is a reason, too; and the sentence says that the line is widened")
  @Test
  void reasons() {
    Line.Words line =
        new Line.Words(
            "w", "heading/exact: Bats", false, Set.of(Widening.NARROWER, Widening.NAMES));
    Strategy strategy = new Strategy(List.of(line));
    Explainer reasons = new Explainer(snapshot, Library.EMPTY, HEADINGS, InsideTexts.NONE);
    assertThat(reasons.of(strategy, 4))
        .extracting(Explanation::typed)
        .containsExactly("Chiroptera");
    assertThat(reasons.of(strategy, 2))
        .extracting(Explanation::typed)
        .containsExactly("Bats or one below it");
    assertThat(Sentence.of(strategy, name -> name))
        .isEqualTo(
            "Publications with the heading “Bats” (and other names of its headings, narrower"
                + " headings).");
  }
}
