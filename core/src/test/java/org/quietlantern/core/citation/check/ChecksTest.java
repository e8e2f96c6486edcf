package org.quietlantern.core.citation.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.citation.shelf.StyleShelf;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

@DisplayName("C2: what is wrong before a work is cited")
class ChecksTest {
  private static final StyleShelf SHELF = new StyleShelf();
  private static final Set<CitedField> ALL = EnumSet.allOf(CitedField.class);
  private static final StylePrints SENTENCE = new StylePrints(ALL, false, false);
  private static final Checks.Beside READ = new Checks.Beside(true, List.of());
  private static final Host HOST = new Host("Verge Letters", "", "12", "1", "44", "56");

  private static Publication work(String title, Host host, Kind kind, Contributor... people) {
    return work(title, host, kind, 0, "10.5555/vl.2025.1", Relations.NONE, people);
  }

  private static Publication work(
      String title,
      Host host,
      Kind kind,
      int pages,
      String doi,
      Relations relations,
      Contributor... people) {
    return work(title, host, kind, VersionKind.of(kind), pages, doi, relations, people);
  }

  private static Publication work(
      String title,
      Host host,
      Kind kind,
      VersionKind version,
      int pages,
      String doi,
      Relations relations,
      Contributor... people) {
    return new Publication(
        title,
        "",
        kind,
        version,
        Contributor.authors(List.of(people)),
        PartialDate.read("2025"),
        host,
        "",
        "en",
        "",
        List.of(),
        List.of(),
        doi,
        relations,
        pages,
        false,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        PartialDate.read("2025"),
        List.of(),
        List.of(people),
        List.of());
  }

  private static Contributor author(String family, String given) {
    return new Contributor(
        new PersonName(family, given), Contributor.AUTHOR, false, "", List.of("Ternhollow"));
  }

  private static final Contributor ADA = author("Oxlade", "Ada");

  private static List<Fault> faults(Publication work, Words words) {
    return new Checks(SENTENCE, words).of(work, READ);
  }

  private static List<Fault> faults(Publication work) {
    return faults(work, new Words());
  }

  @DisplayName("A work without a fault has none")
  @Test
  void none() {
    assertThat(faults(work("Clock genes of moths", HOST, Kind.ARTICLE, ADA))).isEmpty();
  }

  @DisplayName(
      "Capitals throughout: mended by how words are written elsewhere, certain if all are known")
  @Test
  void capitals() {
    Publication shouting =
        work("MOTHS OF THE RHINE: DNA AND CO2 AT LAMPS", HOST, Kind.ARTICLE, ADA);
    Words words =
        new Words()
            .add("We counted moths along the Rhine and took DNA at lamps.")
            .add("The Rhine has moths; lamps attract them.");
    assertThat(faults(shouting, words))
        .singleElement()
        .satisfies(
            fault -> {
              assertThat(fault.kind()).isEqualTo(Fault.Kind.CAPITALS);
              assertThat(fault.mend()).isEqualTo("Moths of the Rhine: DNA and CO2 at lamps");
              assertThat(fault.certain()).isTrue();
            });
    assertThat(faults(shouting).get(0).certain()).isFalse();
  }

  @DisplayName("A heading's capitals are a fault in a style with sentence case alone")
  @Test
  void cases() {
    Publication heading =
        work(
            "Street Lamps and Noctua pronuba in Norway: A Survey of Gardens",
            HOST,
            Kind.ARTICLE,
            ADA);
    Words words =
        new Words()
            .add("In Norway we looked at street lamps and at Noctua pronuba, a survey of gardens.");
    assertThat(faults(heading, words))
        .singleElement()
        .satisfies(
            fault -> {
              assertThat(fault.kind()).isEqualTo(Fault.Kind.CASE);
              assertThat(fault.mend())
                  .isEqualTo("Street lamps and Noctua pronuba in Norway: A survey of gardens");
              assertThat(fault.certain()).isTrue();
            });
    StylePrints title = new StylePrints(ALL, true, false);
    assertThat(new Checks(title, words).of(heading, READ)).isEmpty();
  }

  @DisplayName("What a group wrote itself counts more than what it met")
  @Test
  void learned() {
    Words words = new Words();
    for (int i = 0; i < 10; i++) {
      words.add("about skyglow here");
    }
    words.learn("On Skyglow and rest");
    assertThat(words.usual("SKYGLOW")).contains("Skyglow");
  }

  @DisplayName(
      "Pages: reversed, twice, and not as many as the record says; a short last page is none")
  @ParameterizedTest
  @CsvSource({
    "124, 103, 0, 103–124, true",
    "103-124-103-124, '', 0, 103–124, true",
    "103, 122, 19, '', false",
    "1234, 41, 8, NONE, false",
    "e12, '', 0, NONE, false",
    "12-30, '', 0, NONE, false",
  })
  void pages(String first, String last, int pages, String mend, boolean certain) {
    Host host = new Host("Verge Letters", "", "12", "1", first, last);
    List<Fault> found =
        faults(work("Moths", host, Kind.ARTICLE, pages, "10.5555/x", Relations.NONE, ADA));
    if (mend.equals("NONE")) {
      assertThat(found).isEmpty();
      return;
    }
    assertThat(found)
        .singleElement()
        .extracting(Fault::kind, Fault::mend, Fault::certain)
        .containsExactly(Fault.Kind.PAGES, mend, certain);
  }

  @DisplayName("What the style prints and the record lacks is named; what it does not print is not")
  @Test
  void missing() {
    Publication bare = work("Moths", new Host("Verge Letters", "", "", "", "", ""), Kind.ARTICLE);
    assertThat(faults(bare))
        .extracting(Fault::sentence)
        .containsExactly(
            "The style prints authors, and the record has none.",
            "The style prints a volume, and the record has none.",
            "The style prints pages, and the record has none.");
    StylePrints few = new StylePrints(Set.of(CitedField.TITLE), false, false);
    assertThat(new Checks(few, new Words()).of(bare, READ)).isEmpty();
  }

  @DisplayName("An institution taken for a person, initials where names are printed, another order")
  @Test
  void people() {
    Publication work =
        work(
            "Moths",
            HOST,
            Kind.ARTICLE,
            author("Verge Lighting Trust", ""),
            author("Berg", "B. J."));
    Fault body = faults(work).get(0);
    assertThat(body.kind()).isEqualTo(Fault.Kind.BODY);
    assertThat(body.mend()).isEqualTo("Verge Lighting Trust; Berg, B. J.");
    Publication mended = CitedField.AUTHORS.with(work, body.mend());
    assertThat(mended.contributors().get(0).body()).isTrue();
    assertThat(mended.contributors().get(1)).isEqualTo(work.contributors().get(1));
    assertThat(faults(mended)).isEmpty();
    StylePrints whole = new StylePrints(ALL, false, true);
    assertThat(new Checks(whole, new Words()).of(mended, READ))
        .extracting(Fault::kind)
        .containsExactly(Fault.Kind.INITIALS);
    List<List<PersonName>> other =
        List.of(List.of(new PersonName("Berg", "Bo"), new PersonName("Verge Lighting Trust", "")));
    assertThat(new Checks(SENTENCE, new Words()).of(mended, new Checks.Beside(true, other)))
        .extracting(Fault::kind)
        .containsExactly(Fault.Kind.ORDER);
  }

  @DisplayName("What another source says of the people is offered, and is certain if it is all")
  @Test
  void peopleElsewhere() {
    Checks whole = new Checks(new StylePrints(ALL, false, true), new Words());
    Publication work =
        work("Moths", HOST, Kind.ARTICLE, author("Oxlade", "R. A."), author("Berg", "B"), ADA);
    List<PersonName> other =
        List.of(
            ADA.name(), new PersonName("Oxlade", "Rhona Anne"), new PersonName("Berg", "Bo Dag"));
    List<Fault> faults = whole.of(work, new Checks.Beside(true, List.of(other)));
    assertThat(faults)
        .extracting(Fault::kind, Fault::mend, Fault::certain)
        .containsExactly(
            tuple(
                Fault.Kind.INITIALS,
                "Oxlade, Rhona Anne; Berg, Bo Dag; " + ADA.name().sorted(),
                true),
            tuple(Fault.Kind.ORDER, ADA.name().sorted() + "; Oxlade, R. A.; Berg, B", false));
    // Somebody else of that family.
    List<PersonName> mixed =
        List.of(new PersonName("Oxlade", "Sam"), new PersonName("Berg", "Bo"), ADA.name());
    Fault some = whole.of(work, new Checks.Beside(true, List.of(mixed))).get(0);
    assertThat(some.mend()).isEqualTo("Oxlade, R. A.; Berg, Bo; " + ADA.name().sorted());
    assertThat(some.certain()).isFalse();
    List<PersonName> twins =
        List.of(new PersonName("Berg", "Bo"), new PersonName("Berg", "Britt"), ADA.name());
    assertThat(whole.of(work, new Checks.Beside(true, List.of(twins))).get(0).mend()).isEmpty();
    // Two mends of one field are not both certain.
    Publication both =
        work("Moths", HOST, Kind.ARTICLE, author("Berg", "B."), author("Verge Lighting Trust", ""));
    List<PersonName> known = List.of(new PersonName("Berg", "Bo"));
    assertThat(whole.of(both, new Checks.Beside(true, List.of(known))))
        .extracting(Fault::kind, Fault::certain)
        .containsExactly(tuple(Fault.Kind.INITIALS, true), tuple(Fault.Kind.BODY, false));
  }

  @DisplayName(
      "Signs of a page, a repeated title, a year unlike the DOI's, retracted, abstract only")
  @Test
  void others() {
    Fault signs = faults(work("Moths &amp; <em>lamps</em>", HOST, Kind.ARTICLE, ADA)).get(0);
    assertThat(signs.mend()).isEqualTo("Moths & lamps");
    assertThat(signs.certain()).isTrue();
    assertThat(faults(work("On <i>Noctua</i>", HOST, Kind.ARTICLE, ADA))).isEmpty();
    assertThat(faults(work("Verge letters", HOST, Kind.ARTICLE, ADA)))
        .extracting(Fault::kind)
        .containsExactly(Fault.Kind.REPEATED);
    assertThat(
            faults(work("Moths", HOST, Kind.ARTICLE, 0, "10.5555/vl.2019.7", Relations.NONE, ADA)))
        .extracting(Fault::kind, Fault::mend)
        .containsExactly(tuple(Fault.Kind.YEAR, "2019"));
    Relations retracted =
        new Relations("", "", List.of(new Relations.Notice("retraction", "10.5555/r", "2026")));
    assertThat(faults(work("Moths", HOST, Kind.ARTICLE, 0, "10.5555/x", retracted, ADA)))
        .extracting(Fault::kind)
        .containsExactly(Fault.Kind.RETRACTED);
    assertThat(
            new Checks(SENTENCE, new Words())
                .of(work("Moths", HOST, Kind.ARTICLE, ADA), new Checks.Beside(false, List.of())))
        .extracting(Fault::kind)
        .containsExactly(Fault.Kind.ABSTRACT_ONLY);
  }

  @DisplayName("A preprint whose final version is known")
  @Test
  void preprint() {
    Relations later = new Relations("10.5555/vl.2026.9", "", List.of());
    assertThat(faults(work("Moths", Host.NONE, Kind.PREPRINT, 0, "10.5555/x", later, ADA)))
        .extracting(Fault::sentence)
        .containsExactly("A final version is known: doi:10.5555/vl.2026.9. Cite that one.");
    // Nobody misses the volume of an article that has not appeared yet.
    Publication early =
        work("Moths", Host.NONE, Kind.ARTICLE, VersionKind.PREPRINT, 0, "10.5555/x", later, ADA);
    assertThat(faults(early)).extracting(Fault::kind).containsExactly(Fault.Kind.PREPRINT);
  }

  @DisplayName("Each field is written as it is read, and refuses what it cannot be")
  @ParameterizedTest
  @EnumSource(CitedField.class)
  void fields(CitedField field) {
    Publication work = work("Moths", HOST, Kind.ARTICLE, ADA, author("Verge", ""));
    assertThat(field.of(field.with(work, field.of(work)))).isEqualTo(field.of(work));
    assertThat(CitedField.named(field.word())).contains(field);
    assertThat(field.with(work, field.of(work))).isEqualTo(work);
  }

  @DisplayName("What cannot stand in a field is refused with a sentence")
  @Test
  void refused() {
    assertThat(CitedField.YEAR.refused("yesterday")).startsWith("A date is");
    assertThat(CitedField.TITLE.refused(" ")).isEqualTo("A work has a title.");
    Publication work = work("Moths", HOST, Kind.ARTICLE, ADA);
    assertThat(CitedField.YEAR.with(work, "x")).isEqualTo(work);
    assertThat(CitedField.AUTHORS.with(work, ";;,;").contributors()).isEmpty();
  }

  @DisplayName("What a style prints is found out by asking it")
  @Test
  void prints() {
    StylePrints apa = prints("apa", "article-journal");
    assertThat(apa.titleCase()).isFalse();
    assertThat(apa.wholeNames()).isFalse();
    assertThat(apa.fields()).contains(CitedField.VOLUME, CitedField.PAGES, CitedField.DOI);
    assertThat(apa.fields()).doesNotContain(CitedField.PUBLISHER);
    StylePrints mla = prints("modern-language-association", "article-journal");
    assertThat(mla.titleCase()).isTrue();
    assertThat(mla.wholeNames()).isTrue();
    assertThat(CitedItem.type(work("Moths", HOST, Kind.ARTICLE, ADA))).isEqualTo("article-journal");
  }

  private static StylePrints prints(String style, String type) {
    return StylePrints.of(SHELF.processor(SHELF.style(style).orElseThrow(), ""), type);
  }
}
