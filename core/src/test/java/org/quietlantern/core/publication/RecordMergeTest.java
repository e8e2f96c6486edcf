package org.quietlantern.core.publication;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

@DisplayName("W2: field by field the best version, what is soundly written, the source, the latest")
class RecordMergeTest {
  private static final Contributor MAREN =
      new Contributor(
          new PersonName("Oduya", "M."), "author", false, "0000-0002-1825-0097", List.of("Fen"));

  /** Of sources in the order of belief, each supplied after the one before. */
  private static Publication merged(Made... readings) {
    List<RecordMerge.Supplied> supplied = new java.util.ArrayList<>();
    for (Made reading : readings) {
      supplied.add(new RecordMerge.Supplied(reading.read(), supplied.size() + 1, supplied.size()));
    }
    return RecordMerge.of(supplied);
  }

  private static Publication of(Made one, int rank, long order, Made other, int its, long later) {
    return RecordMerge.of(
        List.of(
            new RecordMerge.Supplied(one.read(), rank, order),
            new RecordMerge.Supplied(other.read(), its, later)));
  }

  @Test
  void versionBeforeSourceBeforeTime() {
    Made preprint = Made.plain().version(VersionKind.PREPRINT).text("early");
    Made appeared = Made.plain().text("final");
    assertThat(of(preprint, 1, 9, appeared, 5, 1).abstractText()).isEqualTo("final");
    assertThat(of(preprint, 1, 9, appeared, 5, 1).version()).isEqualTo(VersionKind.FINAL);
    Made trusted = Made.plain().text("trusted");
    assertThat(of(appeared, 5, 9, trusted, 1, 1).abstractText()).isEqualTo("trusted");
    assertThat(of(appeared, 2, 1, Made.plain().text("later"), 2, 2).abstractText())
        .isEqualTo("later");
  }

  @Test
  void whatTheBestDoesNotKnowComesFromTheOthers() {
    Publication all =
        merged(
            Made.plain().number("pmid", "1"),
            Made.plain().pages(12).doi("10.5555/x").in("Night", "3", "7").issued("2024"),
            Made.plain().pages(99).number("pmid", "2").issued("2025"));
    assertThat(all.pages()).isEqualTo(12);
    assertThat(all.doi()).isEqualTo("10.5555/x");
    assertThat(all.host().title()).isEqualTo("Night");
    assertThat(all.identifiers()).extracting(Identifier::value).containsExactly("1", "2");
    assertThat(merged(Made.plain(), Made.plain().pages(1)).pages()).isEqualTo(1);
  }

  @DisplayName("The cited year is that of the version whose place is printed; else of the best")
  @Test
  void issued() {
    assertThat(
            merged(
                    Made.plain().date("2023").issued("2023"),
                    Made.plain().in("Night", "3", "7").issued("2024"))
                .citedYear())
        .hasValue(2024);
    assertThat(merged(Made.plain().date(""), Made.plain().date("2022").issued("2022")).citedYear())
        .hasValue(2022);
    Publication placeWithoutYear =
        merged(
            Made.plain().in("Night", "3", "7").date(""),
            Made.plain().in("Day", "1", "1").date("2021").issued("2021"));
    assertThat(placeWithoutYear.citedYear()).hasValue(2021);
  }

  @DisplayName("The date is the earliest appearance, of equal ones the exactest")
  @Test
  void date() {
    assertThat(merged(Made.plain().date("2025-03-04"), Made.plain().date("2024-11")).date())
        .hasValue(PartialDate.read("2024-11").orElseThrow());
    assertThat(merged(Made.plain().date("2025"), Made.plain().date("2025-01-01")).date())
        .hasValue(PartialDate.read("2025-01-01").orElseThrow());
  }

  @Test
  void namesAndTitlesThatAreSound() {
    Publication all =
        merged(
            Made.plain().title("DIMMING OF VERGES").by("Oduya, M.", "Vance, T."),
            Made.plain().title("Something else").by("Brandvold, Ilse", "Vance, Teodor"),
            Made.plain().title("Dimming of verges").by("Oduya, Maren", "Vance, Teodor"));
    assertThat(all.title()).isEqualTo("Dimming of verges");
    assertThat(all.authors())
        .extracting(PersonName::spoken)
        .containsExactly("Maren Oduya", "Teodor Vance");
    assertThat(merged(Made.plain().by("Oduya, M."), Made.plain().by("Vance, Teo")).authors())
        .as("other people are no full names of these")
        .extracting(PersonName::spoken)
        .containsExactly("M. Oduya");
  }

  @DisplayName("What any source knows of an author goes with the name that won, and only with that")
  @Test
  void contributors() {
    Contributor editor =
        new Contributor(new PersonName("Reed", "Una"), "editor", false, "", List.of());
    Contributor stranger =
        new Contributor(new PersonName("Oduya", "Zoe"), "author", true, "z", List.of("Moor"));
    Publication all =
        merged(
            Made.plain().by("Oduya, Maren"),
            Made.plain().by("Oduya, M.").with(stranger, MAREN, editor));
    assertThat(all.contributors()).hasSize(2);
    assertThat(all.contributors().get(0))
        .isEqualTo(
            new Contributor(
                new PersonName("Oduya", "Maren"),
                "author",
                false,
                "0000-0002-1825-0097",
                List.of("Fen")));
    assertThat(all.contributors().get(1)).isEqualTo(editor);
  }

  @Test
  void headingsKeywordsAndNoticesOfAll() {
    Publication all =
        merged(
            Made.plain()
                .heading("Bats", false, "song")
                .keywords("LED", "verges")
                .notices("erratum"),
            Made.plain()
                .heading("Bats", true, "diet")
                .keywords("led", "lamps")
                .noticeOf("10.5555/of")
                .notices("erratum", "retraction"));
    assertThat(all.headings())
        .containsExactly(new HeadingUse("urn:h:Bats", "Bats", true, List.of("diet", "song")));
    assertThat(
            merged(Made.plain().heading("Bats", false), Made.plain().heading("Bats", false))
                .headings()
                .get(0)
                .central())
        .isFalse();
    assertThat(all.keywords()).containsExactly("LED", "verges", "lamps");
    assertThat(all.relations().notices())
        .extracting(Relations.Notice::kind)
        .containsExactly("erratum", "retraction");
    assertThat(all.relations().noticeOf()).isEqualTo("10.5555/of");
    assertThat(all.figures()).isEqualTo(Optional.empty());
  }
}
