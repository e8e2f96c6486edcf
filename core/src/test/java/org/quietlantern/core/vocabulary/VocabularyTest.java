package org.quietlantern.core.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class VocabularyTest {
  @DisplayName("H2: two parents and a circle do no harm")
  @Test
  void trees() {
    Tree tree =
        new Tree(
            Map.of(
                "moths", List.of("insects", "night fliers"),
                "insects", List.of("animals"),
                "animals", List.of("insects"),
                "night fliers", List.of()));
    assertThat(tree.below("insects")).containsExactlyInAnyOrder("insects", "moths", "animals");
    assertThat(tree.above("moths"))
        .containsExactlyInAnyOrder("moths", "insects", "night fliers", "animals");
    assertThat(tree.below("nothing known")).containsExactly("nothing known");
  }

  @Test
  void skosIsReadInTurtle() {
    SkosReader.Read read =
        SkosReader.read(
            """
            @prefix skos: <http://www.w3.org/2004/02/skos/core#> .
            <urn:x:bats> a skos:Concept ; skos:inScheme <urn:x> ; skos:prefLabel "Bats"@en ;
              skos:altLabel "Chiroptera"@en ; skos:broader <urn:x:mammals> .
            <urn:x:nameless> skos:broader <urn:x:bats> .
            """);
    assertThat(read.concepts())
        .usingRecursiveFieldByFieldElementComparatorIgnoringFields("said")
        .containsExactly(
            Concept.plain("urn:x:bats", "urn:x", "Bats", List.of("Chiroptera"), List.of()));
    assertThat(read.problems())
        .extracting(SkosReader.Problem::toString)
        .containsExactly(
            "line 3: “Bats” is under urn:x:mammals, which is not there",
            "line 4: urn:x:nameless has no preferred name");
  }

  @Test
  void aBrokenFileIsNamedWithItsLine() {
    SkosReader.Read read = SkosReader.read("@prefix a: <urn:a> .\n<urn:x> b:y a:z .\n");
    assertThat(read.concepts()).isEmpty();
    assertThat(read.problems().get(0).toString()).startsWith("line 2: ");
  }
}
