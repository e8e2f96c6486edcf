package org.quietlantern.core.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class SkosLawTest {
  private static final List<String> ODD =
      List.of("Bats", "“Moths”", "a \"b\" c", "back\\slash", "two\nlines", "Fledermäuse", "1 < 2");
  private final Random random = new Random(1866);

  @DisplayName("What is written in SKOS is read back as it was, whatever stands in its names")
  @Test
  void writtenIsRead() {
    for (int n = 0; n < 200; n++) {
      List<Concept> terms = new ArrayList<>();
      int many = 1 + random.nextInt(8);
      for (int i = 0; i < many; i++) {
        List<String> broader = i == 0 ? List.of() : List.of("urn:x:" + random.nextInt(i));
        List<String> related = i == 0 ? List.of() : List.of("urn:x:" + random.nextInt(i));
        boolean retired = random.nextInt(4) == 0;
        terms.add(
            new Concept(
                "urn:x:" + i,
                "urn:s",
                odd() + " " + i,
                random.nextBoolean() ? List.of(odd() + " other") : List.of(),
                broader,
                related,
                random.nextBoolean() ? odd() : "",
                List.of("urn:aspect:effects"),
                new Concept.Fate(
                    retired, retired && i > 0 ? List.of("urn:x:0") : List.of(), List.of()),
                List.of()));
      }
      for (SkosFormat format : SkosFormat.values()) {
        SkosReader.Read read = read(terms, format);
        assertThat(read.problems()).as("%s", format).isEmpty();
        assertThat(read.concepts())
            .usingRecursiveFieldByFieldElementComparatorIgnoringFields("said")
            .containsExactlyInAnyOrderElementsOf(terms);
        assertThat(read(read.concepts(), format)).isEqualTo(read);
      }
    }
  }

  private static SkosReader.Read read(List<Concept> terms, SkosFormat format) {
    return SkosReader.read(SkosWriter.write(terms, format).getBytes(StandardCharsets.UTF_8));
  }

  @DisplayName("Names and notes are kept with their languages, definitions apart, in every form")
  @Test
  void languages() {
    List<OtherStatement> said =
        List.of(
            new OtherStatement("prefLabel", "de", "Fledermäuse"),
            new OtherStatement("prefLabel", "en", "Bats"),
            new OtherStatement("altLabel", "en", "Chiroptera"),
            new OtherStatement("altLabel", "fr", "Chauves-souris"),
            new OtherStatement("definition", "en", "Mammals that fly."),
            new OtherStatement("definition", "en", "Animals of the order Chiroptera."),
            new OtherStatement("definition", "de", "Fliegende Säugetiere."),
            new OtherStatement("historyNote", "en", "Before 1990 under Mammals."));
    Concept bats =
        new Concept(
            "urn:x:1",
            "urn:s",
            "Bats",
            List.of("Fledermäuse", "Chiroptera", "Chauves-souris"),
            List.of(),
            List.of(),
            "Mammals that fly.\nAnimals of the order Chiroptera.",
            List.of(),
            Concept.Fate.IN_USE,
            said);
    for (SkosFormat format : SkosFormat.values()) {
      Concept read = read(List.of(bats), format).concepts().get(0);
      assertThat(read.said()).as("%s", format).containsExactlyInAnyOrderElementsOf(said);
      assertThat(read.label()).isEqualTo("Bats");
      assertThat(read.names()).containsExactlyInAnyOrderElementsOf(bats.names());
      assertThat(read.note().lines())
          .containsExactlyInAnyOrderElementsOf(bats.note().lines().toList());
    }
  }

  private String odd() {
    return ODD.get(random.nextInt(ODD.size()));
  }

  @DisplayName("H4: a newer edition renames, merges, splits and retires; nothing is forgotten")
  @Test
  void update() {
    Concept bats = term("1", "Bats");
    Concept owls = term("2", "Owls");
    Concept elsewhere = Concept.plain("urn:y:1", "urn:other", "Fens", List.of(), List.of());
    Concept chiroptera = term("1", "Chiroptera");
    Concept split =
        term("3", "Night birds").with(new Concept.Fate(true, List.of("urn:x:1"), List.of()));
    VocabularyUpdate update =
        VocabularyUpdate.of(
            List.of(bats, owls, term("3", "Night birds"), elsewhere),
            List.of(chiroptera, split, term("4", "Lamps")));
    assertThat(update.added()).containsExactly("Lamps");
    assertThat(update.renamed())
        .containsExactly(new VocabularyUpdate.Renamed("Bats", "Chiroptera"));
    assertThat(update.replaced())
        .containsExactly(new VocabularyUpdate.Replaced("Night birds", List.of("Chiroptera")));
    assertThat(update.retired()).containsExactly("Owls");
    assertThat(update.terms())
        .extracting(Concept::label)
        .containsExactly("Chiroptera", "Night birds", "Lamps", "Owls");
    VocabularyUpdate back =
        VocabularyUpdate.of(update.terms(), List.of(bats, term("2", "Owls"), term("4", "Lamps")));
    Headings headings = new Headings(back.terms(), List.of());
    assertThat(headings.find("Chiroptera").orElseThrow().heading().label()).isEqualTo("Bats");
    assertThat(headings.find("Owls").orElseThrow().heading().fate().retired()).isFalse();
    assertThat(back.added()).isEmpty();
  }

  private static Concept term(String id, String label) {
    return Concept.plain("urn:x:" + id, "urn:s", label, List.of(), List.of());
  }
}
