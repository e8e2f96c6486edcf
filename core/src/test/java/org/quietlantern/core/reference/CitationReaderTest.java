package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.citation.shelf.StyleShelf;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Fold;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

@DisplayName("Citations are taken apart")
class CitationReaderTest {
  private static final StyleShelf SHELF = new StyleShelf();
  private static final List<String> FAMILIES =
      List.of(
          "Oxlade",
          "Sey",
          "de la Fontanella",
          "van Bergen",
          "O’Dell",
          "Ng",
          "Snekkerud-Vik",
          "Zölestin");
  private static final List<String> GIVEN =
      List.of("Rhona T.", "Bo", "Adaeze Mira", "J. K.", "Amélie", "Halvard H.");
  private static final List<String> TITLES =
      List.of(
          "Moths at dimmed verges: a paired count over two summers",
          "Do lamps change how bats hunt?",
          "Clock genes, rest and lamps in Alsace",
          "Nocturnal pollinators of 12 vineyards");
  private static final List<String> JOURNALS =
      List.of("Annals of Verge Ecology", "Night", "Journal of Lamps and Moths");

  /** Works of the sorts that lists of references are full of; the same each time. */
  private static List<Publication> works() {
    Random random = new Random(7);
    List<Publication> works = new ArrayList<>();
    for (int n = 0; n < 60; n++) {
      List<Contributor> people = new ArrayList<>();
      for (int i = 0; i <= n % 4; i++) {
        PersonName name =
            new PersonName(
                FAMILIES.get((n + i * 3) % FAMILIES.size()), GIVEN.get((n + i) % GIVEN.size()));
        people.add(new Contributor(name, Contributor.AUTHOR, false, "", List.of()));
      }
      int first = 1 + random.nextInt(900);
      works.add(
          new ReadWork(
                  Kind.ARTICLE,
                  TITLES.get(n % TITLES.size()),
                  people,
                  PartialDate.read(Integer.toString(1990 + n % 35)),
                  new Host(
                      JOURNALS.get(n % JOURNALS.size()),
                      "",
                      Integer.toString(1 + n),
                      n % 3 == 0 ? "" : Integer.toString(1 + n % 12),
                      Integer.toString(first),
                      Integer.toString(first + 7)),
                  "",
                  "",
                  "",
                  List.of(),
                  n % 2 == 0 ? "10.5555/made." + n : "",
                  0,
                  List.of())
              .publication());
    }
    return works;
  }

  private static String cited(String style, Publication work) {
    Processor processor = SHELF.processor(SHELF.style(style).orElseThrow(), "");
    processor.setItems(List.of(CitedItem.of("work", work)));
    return processor.bibliography().get(0).text().plain().replace("\n", " ").strip();
  }

  @DisplayName("Of sixty works nearly all are read from what each of these styles makes of them")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "apa",
        "chicago-author-date",
        "ieee",
        "modern-language-association",
        "nlm-citation-sequence",
        "harvard-cite-them-right",
        "elsevier-harvard",
        "american-medical-association",
        "nature",
        "springer-basic-author-date"
      })
  void styles(String style) {
    List<String> wrong = new ArrayList<>();
    for (Publication work : works()) {
      String text = cited(style, work);
      Optional<Publication> read =
          CitationReader.read(text).references().stream()
              .findFirst()
              .map(f -> f.reference().work());
      if (read.isEmpty() || !isSame(read.get(), work, text)) {
        wrong.add(text + " -> " + read.map(CitationReaderTest::told).orElse("nothing"));
      }
    }
    assertThat(wrong).as(style).hasSizeLessThanOrEqualTo(3);
  }

  private static String told(Publication work) {
    return work.title() + " | " + work.authors() + " | " + work.year() + " | " + work.host();
  }

  /** The DOI where the style prints it. */
  private static boolean isSame(Publication read, Publication work, String text) {
    return Fold.letters(read.title()).equals(Fold.letters(work.title()))
        && read.year().equals(work.year())
        && Fold.letters(read.authors().get(0).family())
            .equals(Fold.letters(work.authors().get(0).family()))
        && read.host().volume().equals(work.host().volume())
        && read.host().firstPage().equals(work.host().firstPage())
        && (read.doi().equals(work.doi()) || !text.contains("10.5555"));
  }

  @DisplayName("What cannot be told apart is named, and prose is no list of citations")
  @Test
  void untold() {
    ReadFile read = CitationReader.read("10.5555/verge.1\n\nSee above.\n");
    assertThat(read.references()).isEmpty();
    assertThat(read.problems()).hasSize(2);
    assertThat(read.problems().get(1).sentence()).contains("See above.");
    String many = "Oxlade, R. (2020). Lamps and moths. Night, 3(2), 1–9.\n".repeat(1_200);
    ReadFile cut = CitationReader.read(many);
    assertThat(cut.references()).hasSize(ReferenceList.MOST);
    assertThat(cut.problems().get(0).sentence()).contains("1,000 are read at once");
    String prose = "We met in spring. It rained, and nobody came.\n\nIn summer we met again.";
    assertThat(
            ReferenceFiles.read(
                    "a.txt",
                    prose.getBytes(java.nio.charset.StandardCharsets.UTF_8),
                    java.util.Map.of())
                .get(0)
                .format())
        .isEmpty();
  }

  @DisplayName("Nothing that is pasted takes long or ends the reader")
  @Test
  void hostile() {
    String many = "Oxlade, R., ".repeat(20_000) + "2020. Lamps.";
    String initials = "A. ".repeat(20_000);
    String capitals = "Aa ".repeat(20_000);
    for (String text :
        List.of(
            many,
            initials,
            capitals,
            "“".repeat(50_000),
            "((((".repeat(9_000),
            "1 (".repeat(9_000))) {
      Stream.of(text, text + " 2020", "\"" + text).forEach(CitationReader::read);
    }
    assertThat(
            CitationReader.read(many).problems().size()
                + CitationReader.read(many).references().size())
        .isEqualTo(1);
  }
}
