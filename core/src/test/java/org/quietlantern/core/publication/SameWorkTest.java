package org.quietlantern.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.quietlantern.core.publication.Made.plain;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.quietlantern.core.publication.SameWork.Likeness;

class SameWorkTest {
  private static final String DOI = "10.5555/ave.2025.00007";

  static Stream<Arguments> pairs() {
    return Stream.of(
        pair(
            "a DOI, in another case",
            plain().doi(DOI),
            plain().doi(DOI.toUpperCase(Locale.ROOT)),
            "SAME"),
        pair(
            "the preprint says where it went",
            plain().doi("10.5555/el.1").versionOf(DOI),
            plain().doi(DOI),
            "SAME"),
        pair("title and year", plain(), plain(), "SAME"),
        pair("a year apart", plain().date("2024-12-30"), plain().date("2025"), "SAME"),
        pair("two years apart", plain().date("2023"), plain().date("2025"), "OTHER"),
        pair("no year", plain().date("?"), plain(), "OTHER"),
        pair(
            "capitals, dashes, accents",
            plain().title("Dimming of Vergès – a trial, with moths"),
            plain().title("DIMMING OF VERGES: A TRIAL WITH MOTHS"),
            "SAME"),
        pair(
            "without its subtitle",
            plain().title("Dimming of lamps on road verges"),
            plain().title("Dimming of lamps on road verges: a trial with moths"),
            "SAME"),
        pair(
            "other subtitles",
            plain().title("Dimming of lamps on road verges: effects on bats"),
            plain().title("Dimming of lamps on road verges: a trial with moths"),
            "OTHER"),
        pair(
            "a slip, in the same place of a journal",
            plain().title("Dimimng of verges: a trial with moths").in("Hedgerow Studies", "9", "7"),
            plain().in("HEDGEROW STUDIES", "9", "7"),
            "SAME"),
        pair(
            "same place, another title",
            plain().title("Letters to the editor").in("Hedgerow Studies", "9", "7"),
            plain().in("Hedgerow Studies", "9", "7"),
            "OTHER"),
        pair(
            "a DOI that slipped to another work",
            plain().doi(DOI),
            plain().doi(DOI).title("Bats at crossings"),
            "DOUBTFUL"),
        pair(
            "another first author, same DOI",
            plain().doi(DOI),
            plain().doi(DOI).by("Sey"),
            "DOUBTFUL"),
        pair(
            "only another author is shared",
            plain().by("Oduya, Maren", "Sey, Adaeze"),
            plain().by("Sey, Adaeze", "Wray, Dorian"),
            "DOUBTFUL"),
        pair("same title by others", plain(), plain().by("Wray, Dorian"), "OTHER"),
        pair(
            "an erratum under the DOI of its article",
            plain().doi(DOI),
            plain().doi(DOI).title("Erratum to: Dimming of verges: a trial with moths"),
            "DOUBTFUL"),
        pair("no authors, same title", plain().by(), plain().by(), "OTHER"),
        pair("no authors, same DOI", plain().by().doi(DOI), plain().by().doi(DOI), "SAME"),
        pair(
            "an ISBN with ten digits and with thirteen, another subtitle's letter",
            plain()
                .kind(Kind.BOOK)
                .title("Night roads")
                .number("isbn", "0-306-40615-2")
                .date("1999"),
            plain().kind(Kind.BOOK).title("Night roads").number("isbn", "978 0 306 40615 7"),
            "SAME"),
        pair(
            "an ISBN that slipped to another book",
            plain().kind(Kind.BOOK).title("Night roads").number("isbn", "9780306406157"),
            plain().kind(Kind.BOOK).title("Lit shores").number("isbn", "9780306406157"),
            "DOUBTFUL"),
        pair(
            "the number of a register, years apart",
            plain().number("nightreg", "7781").date("2019"),
            plain().number("nightreg", "7781"),
            "SAME"),
        pair(
            "the same digits of two registers",
            plain().number("nightreg", "7781").title("Bats at crossings"),
            plain().number("dayreg", "7781"),
            "OTHER"),
        pair("nothing in common", plain(), plain().title("Bats at crossings"), "OTHER"));
  }

  private static Arguments pair(String what, Made one, Made other, String likeness) {
    return Arguments.of(what, one.read(), other.read(), Likeness.valueOf(likeness));
  }

  @DisplayName("W1: one work or two")
  @ParameterizedTest(name = "{0}: {3}")
  @MethodSource("pairs")
  void compares(String what, Publication one, Publication other, Likeness likeness) {
    assertThat(SameWork.compare(one, other)).isEqualTo(likeness);
    assertThat(SameWork.compare(other, one)).as("the other way round").isEqualTo(likeness);
    if (likeness != Likeness.OTHER) {
      assertThat(SameWork.keys(one))
          .as("can be looked up")
          .containsAnyElementsOf(SameWork.keys(other));
    }
  }

  @DisplayName("W1: records joined through a third must not contradict each other")
  @Test
  void chained() {
    Publication article = plain().title("Dimming of lamps on road verges: effects on bats").read();
    Publication bare = plain().title("Dimming of lamps on road verges").read();
    Publication trial = plain().title("Dimming of lamps on road verges: a trial with moths").read();
    assertThat(SameWork.compare(article, bare)).isEqualTo(Likeness.SAME);
    assertThat(SameWork.compare(bare, trial)).isEqualTo(Likeness.SAME);
    assertThat(SameWork.fit(article, trial)).isFalse();
    assertThat(SameWork.fit(article, bare)).isTrue();
  }

  @DisplayName("W2: the best version first, then sound spelling, then the source, then the latest")
  @Test
  void winning() {
    Publication tidy =
        plain()
            .by("Oduya, Maren", "Sey, Adaeze")
            .date("2025-03")
            .doi(DOI)
            .heading("Road verges", false, "methods for")
            .keywords("moths")
            .pages(12)
            .read();
    Publication shelf =
        plain()
            .title("DIMMING OF VERGES: A TRIAL WITH MOTHS")
            .by("Oduya, M.", "Sey, A.")
            .version(VersionKind.ACCEPTED)
            .date("2025")
            .text("Visits rose.")
            .heading("Road verges", true, "effects of light on")
            .keywords("Moths", "curfew")
            .read();
    Publication early =
        plain().title("Early work").version(VersionKind.PREPRINT).date("2024-06-01").read();
    Publication joined =
        RecordMerge.of(
            List.of(
                new RecordMerge.Supplied(early, 3, 1),
                new RecordMerge.Supplied(shelf, 2, 2),
                new RecordMerge.Supplied(tidy, 1, 3)));
    assertThat(joined)
        .usingRecursiveComparison()
        .isEqualTo(
            plain()
                .by("Oduya, Maren", "Sey, Adaeze")
                .date("2024-06-01")
                .doi(DOI)
                .text("Visits rose.")
                .heading("Road verges", true, "effects of light on", "methods for")
                .keywords("moths", "curfew")
                .pages(12)
                .issued("2025-03")
                .read());
  }

  @DisplayName("C: the year to cite is that of the version whose volume and pages stand there")
  @Test
  void citedYear() {
    Publication preprint = plain().version(VersionKind.PREPRINT).date("2023-11-02").read();
    Publication shelf = plain().version(VersionKind.ACCEPTED).date("2024").read();
    Publication article = plain().date("2025-02").in("Hedgerow Studies", "9", "7").read();
    assertThat(joined(preprint, shelf, article).citedYear()).contains(2025);
    assertThat(joined(preprint, shelf, article).year()).as("L4").contains(2023);
    assertThat(joined(preprint, shelf).citedYear()).as("the best version").contains(2024);
    Publication undated = plain().date("?").in("Hedgerow Studies", "9", "7").read();
    assertThat(joined(preprint, undated).citedYear()).as("nothing better").contains(2023);
  }

  private static Publication joined(Publication... readings) {
    return RecordMerge.of(
        java.util.stream.IntStream.range(0, readings.length)
            .mapToObj(i -> new RecordMerge.Supplied(readings[i], 1, i))
            .toList());
  }

  @DisplayName("W2: of each author all is kept that any source says")
  @Test
  void contributors() {
    PersonName sey = new PersonName("Sey", "Adaeze");
    Publication tidy =
        plain()
            .by("Sey, Adaeze")
            .with(
                new Contributor(sey, "author", false, "", List.of("Tern Hollow")),
                new Contributor(new PersonName("Wray", "Dorian"), "editor", false, "", List.of()))
            .read();
    Publication early =
        plain()
            .by("Sey, A.")
            .version(VersionKind.PREPRINT)
            .with(
                new Contributor(
                    new PersonName("Sey", "A."), "author", false, "0000-0002-1825-0097", List.of()))
            .read();
    assertThat(joined(early, tidy).contributors())
        .containsExactly(
            new Contributor(sey, "author", false, "0000-0002-1825-0097", List.of("Tern Hollow")),
            new Contributor(new PersonName("Wray", "Dorian"), "editor", false, "", List.of()));
  }

  @DisplayName("W2: an unsound winner takes the sound spelling of a lesser record")
  @Test
  void soundSpelling() {
    Publication shouted =
        plain().title("DIMMING OF VERGES: A TRIAL WITH MOTHS").by("Oduya, M.").read();
    Publication preprint = plain().version(VersionKind.PREPRINT).read();
    Publication joined =
        RecordMerge.of(
            List.of(
                new RecordMerge.Supplied(shouted, 1, 2), new RecordMerge.Supplied(preprint, 9, 1)));
    assertThat(joined.title()).isEqualTo("Dimming of verges: a trial with moths");
    assertThat(joined.authors()).containsExactly(new PersonName("Oduya", "Maren"));
    assertThat(joined.version()).isEqualTo(VersionKind.FINAL);
    Publication other = plain().version(VersionKind.PREPRINT).title("Something else").read();
    assertThat(
            RecordMerge.of(
                    List.of(
                        new RecordMerge.Supplied(shouted, 1, 2),
                        new RecordMerge.Supplied(other, 9, 1)))
                .title())
        .as("another title is no better spelling of this one")
        .isEqualTo(shouted.title());
  }

  @DisplayName("W2: what wins does not hang on the order in which records came together")
  @Test
  void orderMakesNoDifference() {
    List<VersionKind> kinds = List.of(VersionKind.values());
    List<RecordMerge.Supplied> supplied = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      supplied.add(
          new RecordMerge.Supplied(
              plain()
                  .version(kinds.get(i % kinds.size()))
                  .text(i % 2 == 0 ? "" : "text " + i)
                  .pages(i)
                  .read(),
              i / 2,
              i));
    }
    Publication first = RecordMerge.of(supplied);
    Random random = new Random(5);
    for (int i = 0; i < 50; i++) {
      Collections.shuffle(supplied, random);
      assertThat(RecordMerge.of(supplied)).isEqualTo(first);
    }
  }

  @Test
  void lettersAreFoldedAlike() {
    assertThat(Fold.letters("Sølvberg’s “Straße” ﬁeld-work Ł"))
        .isEqualTo("solvbergsstrassefieldworkl");
    assertThat(Distance.within("dimming", "dimimng", 2)).isTrue();
    assertThat(Distance.within("dimming", "dimimng", 1)).isFalse();
    assertThat(Distance.within("", "abc", 3)).isTrue();
    assertThat(Distance.within("abcdef", "a", 4)).isFalse();
  }
}
